import type { RuleRow } from '../family'

const ultimate = (row: number) => `BS 8110-1 table 2.1, combination ${row}`
const service = 'BS 8110-2 3.3: characteristic values'
const all = (factor: number) => ({ Q: factor, Qr: factor })

/** BS 8110-1:1997, table 2.1, with both factors on dead load; and the values themselves for service. */
export const bsRows: readonly RuleRow[] = [
  {
    id: 'ultimate-1',
    set: 'strength',
    name: 'BS 8110: G + Q',
    clause: ultimate(1),
    permanent: [1.4, 1],
    factors: all(1.6),
  },
  {
    id: 'ultimate-2',
    principal: 'wind',
    set: 'strength',
    name: 'BS 8110: G + W',
    clause: ultimate(2),
    permanent: [1.4, 1],
    factors: { wind: 1.4 },
  },
  {
    id: 'ultimate-3',
    principal: 'wind',
    set: 'strength',
    name: 'BS 8110: G + Q + W',
    clause: ultimate(3),
    permanent: [1.2, 1.2],
    factors: { ...all(1.2), wind: 1.2 },
  },
  {
    id: 'service-1',
    set: 'service',
    name: 'service: G + Q + W',
    clause: service,
    permanent: [1, 1],
    factors: { ...all(1), wind: 1 },
  },
]
