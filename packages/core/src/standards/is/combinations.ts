import type { RuleRow } from '../family'

const concrete = 'IS 456 table 18'
const steel = 'IS 800 table 4'
const all = (factor: number) => ({ IL: factor, ILr: factor })

/** IS 456:2000 table 18 and IS 800:2007 table 4, the rows with dead, imposed and wind load. */
export const isRows: readonly RuleRow[] = [
  {
    id: 'concrete-1',
    set: 'strength',
    name: 'IS 456: DL + IL',
    clause: `${concrete}, collapse`,
    permanent: [1.5, 1.5],
    factors: all(1.5),
  },
  {
    id: 'concrete-2',
    set: 'strength',
    name: 'IS 456: DL + WL',
    clause: `${concrete}, collapse, note 1`,
    permanent: [1.5, 0.9],
    factors: { wind: 1.5 },
  },
  {
    id: 'concrete-3',
    set: 'strength',
    name: 'IS 456: DL + IL + WL',
    clause: `${concrete}, collapse`,
    permanent: [1.2, 1.2],
    factors: { ...all(1.2), wind: 1.2 },
  },
  {
    id: 'concrete-4',
    set: 'service',
    name: 'IS 456: DL + IL',
    clause: `${concrete}, serviceability`,
    permanent: [1, 1],
    factors: all(1),
  },
  {
    id: 'concrete-5',
    set: 'service',
    name: 'IS 456: DL + WL',
    clause: `${concrete}, serviceability`,
    permanent: [1, 1],
    factors: { wind: 1 },
  },
  {
    id: 'concrete-6',
    set: 'service',
    name: 'IS 456: DL + IL + WL',
    clause: `${concrete}, serviceability`,
    permanent: [1, 1],
    factors: { ...all(0.8), wind: 0.8 },
  },
  {
    id: 'steel-1',
    set: 'steel',
    name: 'IS 800: DL + LL',
    clause: `${steel}, strength`,
    permanent: [1.5, 1.5],
    factors: all(1.5),
  },
  {
    id: 'steel-2',
    set: 'steel',
    name: 'IS 800: DL + LL + WL, imposed leads',
    clause: `${steel}, strength`,
    permanent: [1.2, 1.2],
    factors: { ...all(1.2), wind: 0.6 },
  },
  {
    id: 'steel-3',
    set: 'steel',
    name: 'IS 800: DL + LL + WL, both whole',
    clause: `${steel}, strength`,
    permanent: [1.2, 1.2],
    factors: { ...all(1.2), wind: 1.2 },
  },
  {
    id: 'steel-4',
    set: 'steel',
    name: 'IS 800: DL + WL',
    clause: `${steel}, strength`,
    permanent: [1.5, 0.9],
    factors: { wind: 1.5 },
  },
  {
    id: 'steel-5',
    set: 'steelService',
    name: 'IS 800: DL + LL',
    clause: `${steel}, serviceability`,
    permanent: [1, 1],
    factors: all(1),
  },
  {
    id: 'steel-6',
    set: 'steelService',
    name: 'IS 800: DL + LL + WL',
    clause: `${steel}, serviceability`,
    permanent: [1, 1],
    factors: { ...all(0.8), wind: 0.8 },
  },
  {
    id: 'steel-7',
    set: 'steelService',
    name: 'IS 800: DL + WL',
    clause: `${steel}, serviceability`,
    permanent: [1, 1],
    factors: { wind: 1 },
  },
]
