import type { RuleRow } from '../family'

const lrfd = (row: number) => `ASCE 7-16 2.3.1, combination ${row}`
const asd = (row: number) => `ASCE 7-16 2.4.1, combination ${row}`

/**
 * ASCE 7-16, 2.3.1 (strength) and 2.4.1 (allowable stress), the rows with D, L, L_r and W. In rows 3 and 4 the factor on L
 * is 0.5 where the exception of 2.3.1 allows it: not in garages, public assembly, nor above 100 psf (group Lp).
 */
export const asceRows: readonly RuleRow[] = [
  { id: 'lrfd-1', set: 'strength', name: 'LRFD 1', clause: lrfd(1), permanent: [1.4, 1.4], factors: {} },
  {
    id: 'lrfd-2',
    set: 'strength',
    name: 'LRFD 2',
    clause: lrfd(2),
    permanent: [1.2, 1.2],
    factors: { L: 1.6, Lp: 1.6, Lr: 0.5 },
  },
  {
    id: 'lrfd-3',
    set: 'strength',
    name: 'LRFD 3',
    clause: lrfd(3),
    permanent: [1.2, 1.2],
    factors: { Lr: 1.6, L: 0.5, Lp: 1, wind: 0.5 },
    either: [['imposed', 'wind']],
  },
  {
    id: 'lrfd-4',
    principal: 'wind',
    set: 'strength',
    name: 'LRFD 4',
    clause: lrfd(4),
    permanent: [1.2, 1.2],
    factors: { wind: 1, L: 0.5, Lp: 1, Lr: 0.5 },
  },
  {
    id: 'lrfd-5',
    principal: 'wind',
    set: 'strength',
    name: 'LRFD 5',
    clause: lrfd(5),
    permanent: [0.9, 0.9],
    factors: { wind: 1 },
  },
  { id: 'asd-1', set: 'allowable', name: 'ASD 1', clause: asd(1), permanent: [1, 1], factors: {} },
  { id: 'asd-2', set: 'allowable', name: 'ASD 2', clause: asd(2), permanent: [1, 1], factors: { L: 1, Lp: 1 } },
  { id: 'asd-3', set: 'allowable', name: 'ASD 3', clause: asd(3), permanent: [1, 1], factors: { Lr: 1 } },
  {
    id: 'asd-4',
    set: 'allowable',
    name: 'ASD 4',
    clause: asd(4),
    permanent: [1, 1],
    factors: { L: 0.75, Lp: 0.75, Lr: 0.75 },
  },
  {
    id: 'asd-5',
    principal: 'wind',
    set: 'allowable',
    name: 'ASD 5',
    clause: asd(5),
    permanent: [1, 1],
    factors: { wind: 0.6 },
  },
  {
    id: 'asd-6',
    principal: 'wind',
    set: 'allowable',
    name: 'ASD 6',
    clause: asd(6),
    permanent: [1, 1],
    factors: { L: 0.75, Lp: 0.75, wind: 0.45, Lr: 0.75 },
  },
  {
    id: 'asd-7',
    principal: 'wind',
    set: 'allowable',
    name: 'ASD 7',
    clause: asd(7),
    permanent: [0.6, 0.6],
    factors: { wind: 0.6 },
  },
]
