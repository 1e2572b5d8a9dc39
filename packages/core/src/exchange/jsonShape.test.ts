import fc from 'fast-check'
import { holds } from '../../test/holds'
import { shapeProblem } from './jsonShape'

type Json = null | number | string | readonly Json[] | { readonly [key: string]: Json }

/** An empty list or object counts as one that holds one value: signs are counted. */
const valuesOf = (value: Json): number =>
  typeof value === 'object' && value !== null
    ? 1 +
      Math.max(
        1,
        Object.values(value).reduce<number>((sum, one) => sum + valuesOf(one), 0),
      )
    : 1
const depthOf = (value: Json): number =>
  typeof value === 'object' && value !== null ? 1 + Math.max(0, ...Object.values(value).map((one) => depthOf(one))) : 0

describe('the shape of a JSON text', () => {
  test('law: depth and number of values are those of what the parser makes of it, whatever stands in its texts', () => {
    holds(
      fc.property(
        fc.jsonValue({ maxDepth: 5 }).filter((value) => !JSON.stringify(value).includes('__proto__')),
        fc.constantFrom(undefined, 1),
        (value, indent) => {
          const text = JSON.stringify(value, null, indent)
          const [depth, values] = [depthOf(value as Json), valuesOf(value as Json)]
          expect(shapeProblem(text, { depth, values })).toBeNull()
          expect(shapeProblem(text, { depth, values: values - 1 })).not.toBeNull()
          if (depth > 0) expect(shapeProblem(text, { depth: depth - 1, values })?.problem).toMatch(/nested deeper/)
        },
      ),
    )
  })

  test('values are counted to the last one', () => {
    expect(shapeProblem('[1,2,3]', { depth: 1, values: 4 })).toBeNull()
    expect(shapeProblem('[1,2,[3]]', { depth: 2, values: 4 })).toMatchObject({ path: '[2][0]' })
  })

  test.each([
    ['{"a":{"b":[0,{"c":{}}]}}', 4, 'a.b[1].c'],
    ['[[[[]]]]', 3, '[0][0][0]'],
    ['{"a":"]}\\"{[","b":[[]]}', 2, 'b[0]'],
  ])('%s in %d levels is refused at its place %s', (text, depth, path) => {
    expect(shapeProblem(text, { depth, values: 100 })).toEqual({
      path,
      problem: `The data is nested deeper than ${depth} levels.`,
      tooLarge: true,
    })
  })

  test.each([
    ['{"a":[1,{"__proto__":{}}]}', 'a[1].__proto__'],
    [String.raw`{"\u005f_proto__":1}`, '__proto__'],
  ])('%s: a key that changes what an object is', (text, path) => {
    expect(shapeProblem(text, { depth: 9, values: 100 })).toMatchObject({ path })
  })

  test('the same words as a value, or cut short, are none of it', () => {
    expect(shapeProblem('{"a":"__proto__","b":["__proto__"]}', { depth: 9, values: 100 })).toBeNull()
    for (const text of ['', '"', '{"a', '{"a":"\\', ']]]]', '{{{']) shapeProblem(text, { depth: 9, values: 100 })
  })
})
