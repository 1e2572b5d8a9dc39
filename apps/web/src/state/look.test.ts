import fc from 'fast-check'
import { addressOf, lookAt, lookNow, setLook, type Look } from './look'

const look = fc.record<Look>({
  level: fc.option(fc.constantFrom('level:a', 'level:b c')),
  case: fc.option(fc.constantFrom('imposed/C/partitions', 'wind/west')),
  view: fc.constantFrom('plan', 'x', 'y'),
  shown: fc.constantFrom('area', 'member', 'both', 'split'),
  parts: fc.constantFrom('all', 'patches', 'default'),
  numbers: fc.constantFrom('all', 'picked'),
  text: fc.constantFrom('usual', 'large', 'larger'),
  picked: fc.uniqueArray(fc.constantFrom('member:1@level:a', 'panel:2@level:b'), { maxLength: 2 }),
  sheet: fc.constantFrom('narrow', 'wide', 'table'),
  list: fc.boolean(),
  dividing: fc.boolean(),
  rule: fc.option(fc.constantFrom('strength', 'frequent')),
  effect: fc.option(fc.constant('reaction:member:1@level:a:Z')),
})

test('what is looked at survives the address', () => {
  fc.assert(fc.property(look, (value) => expect(lookAt(addressOf(value))).toEqual(value)))
})

test('what is usual is not in the address, and rubbish in it is taken as usual', () => {
  expect(addressOf(lookAt(''))).toBe('')
  expect(lookAt('?view=inside&shown=&sheet=1e9&pick=,,&list=yes')).toEqual(lookAt(''))
})

test('what is looked at is there at once for what happens next', () => {
  setLook(lookAt('?level=level:a&view=x'))
  expect(lookNow()).toMatchObject({ level: 'level:a', view: 'x', picked: [] })
})
