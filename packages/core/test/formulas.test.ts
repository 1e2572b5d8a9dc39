import fc from 'fast-check'
import { holds } from './holds'
import { evaluate } from 'mathjs'
import fs from 'node:fs'
import path from 'node:path'
import { given } from '../src/trace/traced'
import type { Quantity } from '../src/units/quantity'
import { formulas } from './formulas'

/** SI value of a formula's result from those of its inputs, for the check of dimensions: [m, kg, s] of each quantity. */
const dimensions: Readonly<Record<Quantity, readonly [length: number, mass: number, time: number]>> = {
  factor: [0, 0, 0],
  coefficient: [0, 0, 0],
  count: [0, 0, 0],
  angle: [0, 0, 0],
  length: [1, 0, 0],
  smallLength: [1, 0, 0],
  roughness: [1, 0, 0],
  area: [2, 0, 0],
  sectionArea: [2, 0, 0],
  force: [1, 1, -2],
  mass: [0, 1, 0],
  moment: [2, 1, -2],
  lineMoment: [1, 1, -2],
  lineLoad: [0, 1, -2],
  stiffness: [0, 1, -2],
  pressure: [-1, 1, -2],
  unitWeight: [-2, 1, -2],
  density: [-3, 1, 0],
  velocity: [1, 0, -1],
  acceleration: [1, 0, -2],
  period: [0, 0, 1],
}

describe.each([...formulas])('%s', (_, formula) => {
  const names = Object.keys(formula.inputs)
  const someInputs = fc.record(
    Object.fromEntries(names.map((name) => [name, fc.integer({ min: 1, max: 6000 }).map((n) => n / 100)])),
  )
  // a logarithm of (almost) one makes turbulence explode: compared by ratio
  const alike = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(b)))

  test('its text says the same as its arithmetic (mathjs as the reader of the text)', () => {
    holds(
      fc.property(someInputs, (inputs) => {
        const byText: unknown = evaluate(formula.expression, { ...inputs })
        if (typeof byText !== 'number' || !Number.isFinite(byText)) return
        alike(formula.evaluate(inputs), byText)
      }),
    )
  })

  test('the text names every input and nothing else', () => {
    const used = new Set(
      formula.expression.match(/[A-Za-z]\w*/g)?.filter((name) => !['max', 'min', 'sqrt', 'log', 'cos'].includes(name)),
    )
    expect([...used].sort()).toEqual([...names].sort())
    expect(formula.clause).not.toBe('')
  })

  test('the result has the dimension that it says: in feet, slugs and minutes it is the same quantity', () => {
    // formulas with numbers in metres in them hold in metres only
    if (/\(z \/ 10\)|h \^ x/.test(formula.expression)) return
    const [foot, slug, minute] = [1 / 0.3048, 1 / 14.6, 1 / 60]
    const scale = (quantity: Quantity) => {
      const [l, m, t] = dimensions[quantity]
      return foot ** l * slug ** m * minute ** t
    }
    holds(
      fc.property(someInputs, (inputs) => {
        const scaled = Object.fromEntries(
          Object.entries(inputs).map(([name, value]) => [name, value * scale(formula.inputs[name] ?? 'factor')]),
        )
        const plain = formula.evaluate(inputs)
        if (Number.isFinite(plain)) alike(formula.evaluate(scaled) / scale(formula.quantity), plain)
      }),
    )
  })

  test('called with traced inputs it keeps them', () => {
    const inputs = Object.fromEntries(
      names.map((name, i) => [name, given(name, formula.inputs[name] ?? 'factor', i + 2, 'here')]),
    )
    const traced = formula(inputs)
    expect(traced.basis).toEqual({ kind: 'formula', clause: formula.clause, expression: formula.expression, inputs })
    expect(traced.quantity).toBe(formula.quantity)
  })
})

test('every formula of the core is here', () => {
  const root = path.join(__dirname, '../src')
  const made = fs
    .readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && file !== path.join('trace', 'formula.ts'))
    .flatMap((file) => fs.readFileSync(path.join(root, file), 'utf8').match(/= formula\(\{/g) ?? [])
  expect(formulas.size).toBe(made.length)
})
