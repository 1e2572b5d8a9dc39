import { evaluate } from 'mathjs'
import { families, shippedSets, standardOf } from '../../src/standards/families'
import { resolveLayers, type Standard, type StandardLayer } from '../../src/standards/layer'
import type { Table } from '../../src/trace/table'
import { formulas } from '../formulas'
import { expectPage, markdownTable } from '../writtenPage'
import { formulaChecks as clauseChecks } from './formulaChecks'
import { barrierChecks, enBarrierChecks, germanBarrierChecks } from './barrierChecks'
import { earthquakeFormulaChecks, isEarthquakeChecks } from './earthquakeChecks'
import { asce705Checks, familyChecks as ownChecks, germanUseChecks } from './familyChecks'
import { asce722Checks, asceWindChecks, isWindChecks, windFormulaChecks } from './windChecks'
import { germanChecks, recommendedChecks as enChecks, type StandardCheck } from './standardChecks'

const enFamily = families.EN
const [germany] = shippedSets.EN
const [asce705] = shippedSets.ASCE
const asce722 = shippedSets.ASCE.find(({ name }) => name === 'ASCE 7-22')
if (!germany || !asce705 || !asce722) throw new Error('No national set')
const germanAnnexes = [...germanChecks, ...germanUseChecks, ...germanBarrierChecks]
const recommendedChecks = [...enChecks, ...enBarrierChecks]
const formulaChecks = [...clauseChecks, ...windFormulaChecks, ...earthquakeFormulaChecks]
const familyChecks = {
  ASCE: [...ownChecks.ASCE, ...barrierChecks.ASCE, ...asceWindChecks],
  IS: [...ownChecks.IS, ...barrierChecks.IS, ...isWindChecks, ...isEarthquakeChecks],
  BS: [...ownChecks.BS, ...barrierChecks.BS],
}

/** A value that the standard no longer has (put outside its limits, it is not used) is a difference as well. */
function holds({ read, value }: StandardCheck, standard: Standard): boolean {
  try {
    const found = read(standard)
    return Number.isNaN(value) ? Number.isNaN(found) : Math.abs(found - value) <= 1e-6 * Math.max(1e-3, Math.abs(value))
  } catch {
    return false
  }
}
const german = resolveLayers(enFamily, [germany])

describe('recommended values against EN 1990, EN 1991-1-1 and EN 1991-1-4', () => {
  const standard = standardOf('EN', [])
  test.each(recommendedChecks.map((check) => [check.source, check] as const))('%s', (_, check) => {
    expect(holds(check, standard)).toBe(true)
  })
})

describe('the German set against its annexes', () => {
  test.each(germanAnnexes.map((check) => [check.source, check] as const))('%s', (_, check) => {
    expect(holds(check, german)).toBe(true)
  })

  test('it chooses the profile of mixed terrain inland', () => {
    expect(german.methods['wind.peakPressure']).toBe('mixedInland')
    expect(standardOf('EN', []).methods['wind.peakPressure']).toBe('roughness')
  })
})

const others = ['ASCE', 'IS', 'BS'] as const

describe.each(others)('the tables of %s, row by row', (id) => {
  const standard = standardOf(id, [])
  test.each(familyChecks[id].map((check) => [check.source, check] as const))('%s', (_, check) => {
    expect(holds(check, standard)).toBe(true)
  })
})

test.each(asce705Checks.map((check) => [check.source, check] as const))('%s', (_, check) => {
  expect(holds(check, resolveLayers(families.ASCE, [asce705]))).toBe(true)
})

test.each(asce722Checks.map((check) => [check.source, check] as const))('%s', (_, check) => {
  expect(holds(check, resolveLayers(families.ASCE, [asce722]))).toBe(true)
})

describe('formulas against handbooks, facts of the trade and hand calculation', () => {
  test.each(formulaChecks.map((check) => [`${check.formula}: ${check.source}`, check] as const))('%s', (_, check) => {
    const { formula, inputs, result, within } = check
    expect(Math.abs((formulas.get(formula)?.evaluate(inputs) ?? NaN) - result)).toBeLessThanOrEqual(within + 1e-12)
  })
})

/** One changed entry of a layer, by a few words that say which. */
interface Mutation {
  readonly where: string
  readonly layer: StandardLayer
}

const byOnePercent = (value: number): readonly number[] => (value === 0 ? [0.01] : [value * 1.01, value * 0.99])

function mutationsOf(layer: StandardLayer): readonly Mutation[] {
  const ofValues = Object.entries(layer.values).flatMap(([key, entry]) =>
    byOnePercent(entry.value).map((value) => ({
      where: `${key} = ${value}`,
      layer: { ...layer, values: { ...layer.values, [key]: { ...entry, value } } },
    })),
  )
  const ofTables = Object.entries(layer.tables).flatMap(([key, table]) =>
    tableMutations(table).map(({ where, table: changed }) => ({
      where: `${key} ${where}`,
      layer: { ...layer, tables: { ...layer.tables, [key]: changed } },
    })),
  )
  return [...ofValues, ...ofTables]
}

function tableMutations(table: Table): readonly { readonly where: string; readonly table: Table }[] {
  const replaced = (values: readonly number[], i: number, value: number) => values.map((v, k) => (k === i ? value : v))
  const cells = Object.entries(table.rows).flatMap(([row, values]) =>
    values.flatMap((cell, i) =>
      byOnePercent(cell).map((value) => ({
        where: `row ${row}, column ${i} = ${value}`,
        table: { ...table, rows: { ...table.rows, [row]: replaced(values, i, value) } },
      })),
    ),
  )
  const points = table.axis.at.flatMap((point, i) =>
    byOnePercent(point).map((value) => ({
      where: `axis point ${i} = ${value}`,
      table: { ...table, axis: { ...table.axis, at: replaced(table.axis.at, i, value) } },
    })),
  )
  return [...cells, ...points]
}

const unseen = (checks: readonly StandardCheck[], standard: Standard): boolean =>
  checks.every((check) => holds(check, standard))

describe('a slip of 1 % in any value, table cell or table bound is noticed by a sourced check', () => {
  test('of the recommended values', () => {
    const family = (layer: StandardLayer) => ({ ...enFamily, recommended: layer })
    const unnoticed = mutationsOf(enFamily.recommended)
      .filter(({ layer }) => unseen(recommendedChecks, resolveLayers(family(layer), [])))
      .map(({ where }) => where)
    expect(unnoticed).toEqual([])
  })

  test.each(others)('of %s', (id) => {
    const family = families[id]
    const unnoticed = mutationsOf(family.recommended)
      .filter(({ layer }) => unseen(familyChecks[id], resolveLayers({ ...family, recommended: layer }, [])))
      .map(({ where }) => where)
    expect(unnoticed).toEqual([])
  })

  test.each([
    ['7-05', asce705, asce705Checks],
    ['7-22', asce722, asce722Checks],
  ] as const)('of ASCE %s', (_, edition, checks) => {
    const unnoticed = mutationsOf(edition)
      .filter(({ layer }) => unseen(checks, resolveLayers(families.ASCE, [layer])))
      .map(({ where }) => where)
    expect(unnoticed).toEqual([])
  })

  test('of the German set', () => {
    const unnoticed = mutationsOf(germany)
      .filter(({ layer }) => unseen(germanAnnexes, resolveLayers(enFamily, [layer])))
      .map(({ where }) => where)
    expect(unnoticed).toEqual([])
  })

  test('of any number within a formula', () => {
    const unnoticed = [...formulas].flatMap(([name, { expression }]) => {
      const checks = formulaChecks.filter(({ formula }) => formula === name)
      return textMutations(expression).filter((changed) =>
        checks.every(({ inputs, result, within }) => {
          const found: unknown = evaluate(changed, { ...inputs })
          return typeof found === 'number' && Math.abs(found - result) <= within + 1e-12
        }),
      )
    })
    expect(unnoticed).toEqual([])
  })
})

/** The expression with one of its numbers changed; the digits of a symbol are not numbers. */
const textMutations = (expression: string): readonly string[] =>
  [...expression.matchAll(/(?<![\w.])\d+(\.\d+)?/g)].flatMap(({ 0: found, index }) =>
    byOnePercent(Number(found)).map(
      (value) => expression.slice(0, index) + String(value) + expression.slice(index + found.length),
    ),
  )

const figure = (value: number): string => Number(value.toPrecision(6)).toString()

test('docs/reference/verification.md lists every sourced check with what is expected and what is found', () => {
  const ofStandard = (title: string, checks: readonly StandardCheck[], standard: Standard) => [
    `## ${title}`,
    markdownTable(
      ['check, source', 'from memory', 'expected', 'found'],
      checks.map(({ source, fromMemory, read, value }) => [
        source,
        fromMemory ? 'yes' : '',
        figure(value),
        figure(read(standard)),
      ]),
    ),
  ]
  const byFormula = formulaChecks.map(({ formula, source, fromMemory, inputs, result, within }) => [
    formula,
    source,
    fromMemory ? 'yes' : '',
    Object.entries(inputs)
      .map(([name, value]) => `${name} ${figure(value)}`)
      .join(', '),
    `${figure(result)} ± ${figure(within)}`,
    figure(formulas.get(formula)?.evaluate(inputs) ?? NaN),
  ])
  expectPage(
    'verification',
    `${[
      '# Verification manual',
      'Written from the sourced checks (`HEDRION_WRITE=1 npm run unit -- sources`): values of the standards as a second person wrote them out, and formulas against handbooks, facts of the trade and hand calculation. SI units, unless the source names others. Values from memory are not yet checked against print. Checks of worked examples are named in [methods](../methods/README.md).',
      ...ofStandard('EN, recommended values', recommendedChecks, standardOf('EN', [])),
      ...ofStandard(germany.name, germanAnnexes, german),
      ...others.flatMap((id) => ofStandard(families[id].name, familyChecks[id], standardOf(id, []))),
      ...ofStandard('ASCE 7-05', asce705Checks, resolveLayers(families.ASCE, [asce705])),
      ...ofStandard('ASCE 7-22', asce722Checks, resolveLayers(families.ASCE, [asce722])),
      '## Formulas',
      markdownTable(['formula', 'source', 'from memory', 'inputs', 'expected', 'found'], byFormula),
    ].join('\n\n')}\n`,
  )
})

test('every formula has a sourced check', () => {
  const checked = new Set(formulaChecks.map(({ formula }) => formula))
  expect([...formulas.keys()].filter((name) => !checked.has(name))).toEqual([])
})

test('the share of checks that stand from memory is said, and each such value is marked on the screen', () => {
  const all = [
    ...recommendedChecks,
    ...germanAnnexes,
    ...others.flatMap((id) => familyChecks[id]),
    ...asce705Checks,
    ...asce722Checks,
    ...formulaChecks,
  ]
  const remembered = all.filter(({ fromMemory }) => fromMemory === true)
  const share = Math.round((100 * remembered.length) / all.length)
  process.stdout.write(`${remembered.length} of ${all.length} sourced checks (${share} %) stand from memory\n`)
  for (const layer of [...Object.values(families).map(({ recommended }) => recommended), germany, asce705, asce722]) {
    for (const [key, { fromMemory }] of Object.entries(layer.values)) expect([key, fromMemory]).toEqual([key, true])
    for (const [key, { fromMemory }] of Object.entries(layer.tables)) expect([key, fromMemory]).toEqual([key, true])
  }
})
