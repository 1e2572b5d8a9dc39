import { familyOf, standardOf } from '@hedrion/core'
import { groupOfValue } from './valueGroups'

test.each(['EN', 'ASCE', 'IS', 'BS'] as const)(
  'every value of %s stands in a fold, where it can be changed',
  (family) => {
    const { values } = standardOf(family, [])
    expect(Object.keys(values).length).toBeGreaterThan(50)
    expect(Object.keys(values).filter((key) => groupOfValue(key) < 0)).toEqual([])
    expect(familyOf(family).id).toBe(family)
  },
)
