import { Memo } from './memo'
import { stage } from './stage'

interface Sum {
  readonly sum: number
}
const adding = (bytes?: number) =>
  stage(
    'adding',
    (a: number, more: readonly number[]): Sum => ({ sum: more.reduce((s, x) => s + x, a) }),
    bytes === undefined ? undefined : () => bytes,
  )

describe('results are remembered by the content of what went in', () => {
  test('equal input, another object: the same result, computed once', () => {
    const memo = new Memo()
    const add = adding()
    const first = memo.get(add, 1, [2, 3])
    expect(memo.get(add, 1, [2, 3])).toBe(first)
    expect(memo.get(add, 1, [3, 2])).not.toBe(first)
    expect(memo.computed).toEqual({ adding: 2 })
    memo.resetCounts()
    expect(memo.computed).toEqual({})
  })

  test('a result is known by itself when it goes into the next stage: never read as content', () => {
    const memo = new Memo()
    const make = stage('make', (n: number) => ({ values: Float64Array.from([n, n + 1]) }))
    const use = stage('use', (block: { readonly values: Float64Array }) => ({
      total: (block.values[0] ?? 0) + (block.values[1] ?? 0),
    }))
    const block = memo.get(make, 1)
    expect(memo.get(use, block)).toEqual({ total: 3 })
    expect(memo.get(use, memo.get(make, 1))).toBe(memo.get(use, block))
    expect(memo.computed).toEqual({ make: 1, use: 1 })
    // a block from elsewhere is no plain data
    expect(() => memo.get(use, { values: new Float64Array(2) })).toThrow(/Not plain data/)
  })

  test('every input counts, however many there are', () => {
    const memo = new Memo()
    const join = stage('join', (...parts: readonly string[]) => ({ text: parts.join('') }))
    const input = [...'abcdefghijkl']
    expect(memo.get(join, ...input).text).toBe('abcdefghijkl')
    input.forEach((_, i) => {
      const other = input.with(i, '?')
      expect(memo.get(join, ...other).text).toBe(other.join(''))
    })
  })

  test('another name or version is another stage', () => {
    const memo = new Memo()
    const one = stage('n', (n: number) => ({ n }))
    const two = stage('n', (n: number) => ({ n: n + 1 }), undefined, 2)
    expect(memo.get(one, 1)).toEqual({ n: 1 })
    expect(memo.get(two, 1)).toEqual({ n: 2 })
  })

  test('lists are told apart by their parts: [1, [2]] is not [[1], 2]', () => {
    const memo = new Memo()
    const show = stage('show', (value: unknown) => ({ text: JSON.stringify(value) }))
    for (const value of [[1, [2]], [[1], 2], ['1,2'], [1, 2], [], [[]], {}, '', null, 0, -0, undefined])
      expect(memo.get(show, value).text).toBe(JSON.stringify(value))
  })
})

describe('within its limits', () => {
  test('what was used least recently goes, and is computed again when asked for', () => {
    const memo = new Memo({ results: 3000 })
    const add = adding(800)
    const [first] = [memo.get(add, 1, []), memo.get(add, 2, []), memo.get(add, 3, [])]
    memo.get(add, 1, [])
    memo.get(add, 4, [])
    expect(memo.computed['adding']).toBe(4)
    expect(memo.get(add, 1, [])).toBe(first)
    memo.get(add, 2, [])
    expect(memo.computed['adding']).toBe(5)
  })

  test('one result larger than all the room is kept until the next', () => {
    const memo = new Memo({ results: 100 })
    const add = adding(1000)
    expect(memo.get(add, 1, [])).toBe(memo.get(add, 1, []))
    expect(memo.computed['adding']).toBe(1)
  })

  test('forgotten contents cost work, never a wrong answer', () => {
    const memo = new Memo({ contents: 20 })
    const show = stage('show', (text: string) => ({ text }))
    for (let round = 0; round < 3; round++)
      for (let i = 0; i < 30; i++) expect(memo.get(show, `a text ${i}`).text).toBe(`a text ${i}`)
  })
})
