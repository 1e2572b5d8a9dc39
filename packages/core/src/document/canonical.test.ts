import fc from 'fast-check'
import { holds } from '../../test/holds'
import { canonical } from './canonical'

describe('equal text for equal content', () => {
  test('whatever the order of the keys, and fields that are undefined are not there', () => {
    expect(canonical({ b: 1, a: [true, null, 'x'] })).toBe('{"a":[true,null,"x"],"b":1}')
    expect(canonical({ a: 1, b: undefined })).toBe(canonical({ a: 1 }))
  })

  test('it tells apart what is not equal', () => {
    expect(canonical(0)).not.toBe(canonical(-0))
    expect(canonical('1')).not.toBe(canonical(1))
    expect(canonical([1, [2]])).not.toBe(canonical([[1], 2]))
    expect(canonical({ a: { b: 1 } })).not.toBe(canonical({ a: 1, b: 1 }))
  })

  test.each([[new Date()], [new Map()], [() => 1], [NaN], [Infinity], [10n], [undefined]])(
    '%p is no record',
    (value) => {
      expect(() => canonical(value)).toThrow()
    },
  )

  test('it is JSON that reads back to the same content', () => {
    holds(
      fc.property(fc.jsonValue(), (value) => {
        const text = canonical(value)
        expect(canonical(JSON.parse(text))).toBe(text)
      }),
    )
  })
})
