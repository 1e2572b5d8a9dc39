import { resultFormat } from './results'

const text = { type: 'string' } as const
const number = { type: 'number' } as const
/** Null where a row has none: one unit a field. */
const optional = { type: ['number', 'null'] } as const
const flag = { type: 'boolean' } as const
const leading = { type: ['string', 'null'] } as const

const object = (properties: Readonly<Record<string, object>>) => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
  additionalProperties: false,
})
const rows = (properties: Readonly<Record<string, object>>) => ({ type: 'array', items: object(properties) })

const combination = object({
  name: text,
  leading,
  factors: { type: 'object', additionalProperties: number },
})

const stages = {
  cases: rows({
    id: text,
    name: text,
    action: text,
    rule: text,
    applied: number,
    onMembers: number,
    atSupports: number,
    notCarried: number,
    notInReactions: flag,
  }),
  memberLoads: rows({
    case: text,
    id: text,
    label: text,
    level: text,
    from: number,
    to: number,
    q0: optional,
    q1: optional,
    force: optional,
  }),
  memberTorsion: rows({
    case: text,
    id: text,
    label: text,
    level: text,
    from: number,
    to: number,
    m0: optional,
    m1: optional,
    moment: optional,
  }),
  storeyForces: rows({
    case: text,
    id: text,
    label: text,
    level: text,
    fx: number,
    fy: number,
    x: number,
    y: number,
    z: number,
  }),
  lateralElements: rows({
    case: text,
    id: text,
    label: text,
    level: text,
    x0: number,
    y0: number,
    x1: number,
    y1: number,
    fx: number,
    fy: number,
    moment: number,
    stiffness: number,
  }),
  thrusts: rows({
    case: text,
    id: text,
    label: text,
    level: text,
    x0: number,
    y0: number,
    x1: number,
    y1: number,
    fx: number,
    fy: number,
    axial: number,
  }),
  horizontalMemberLoads: rows({
    case: text,
    id: text,
    label: text,
    level: text,
    from: number,
    to: number,
    qx0: optional,
    qy0: optional,
    qx1: optional,
    qy1: optional,
    fx: optional,
    fy: optional,
  }),
  barriers: rows({
    case: text,
    id: text,
    label: text,
    level: text,
    use: { type: ['string', 'null'] },
    x0: number,
    y0: number,
    x1: number,
    y1: number,
    fx: number,
    fy: number,
    height: number,
    moment: number,
  }),
  combinations: rows({ rule: text, clause: text, count: text, list: { type: 'array', items: combination } }),
  envelopes: rows({
    rule: text,
    effect: text,
    id: text,
    label: text,
    level: text,
    component: text,
    max: number,
    maxRule: text,
    maxLeading: leading,
    min: number,
    minRule: text,
    minLeading: leading,
  }),
  overriddenValues: rows({
    kind: { enum: ['value', 'table', 'method', 'use'] },
    key: text,
    name: text,
    layer: text,
    clause: text,
    quantity: { type: ['string', 'null'] },
    value: { type: ['number', 'null'] },
    replaced: { type: 'array', items: { type: ['number', 'string'] } },
    fromMemory: flag,
  }),
}

/** JSON Schema (draft 2020-12) of the results file. */
export const resultsSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Hedrion results',
  type: 'object',
  properties: {
    format: { const: resultFormat },
    version: { const: 3 },
    project: text,
    units: object({ force: { const: 'N' }, length: { const: 'm' }, lineLoad: { const: 'N/m' } }),
    axes: text,
    standard: { type: 'array', items: text },
    ...stages,
  },
  required: ['format', 'version', 'project', 'units', 'axes', 'standard'],
  additionalProperties: false,
} as const
