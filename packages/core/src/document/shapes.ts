import { once } from '../outcome/once'
import type {
  AreaLoad,
  LineLoad,
  Material,
  Member,
  Opening,
  Panel,
  Patch,
  PointLoad,
  Rec,
  Section,
  Slope,
  Stair,
  Strut,
  WallRun,
  WallSurface,
} from './recordKinds'

/** Takes some fields of a record as a frozen record of its own, the same object each time. */
function picker<R extends Rec>() {
  return <K extends keyof R>(...fields: readonly K[]) =>
    once((record: R) => Object.freeze(Object.fromEntries(fields.map((field) => [field, record[field]])) as Pick<R, K>))
}

// What of a record shapes the paths of load. Labels, sections, weights and load keys are left out, so that a change of
// a load does not solve the geometry again.
export const memberShape = picker<Member>()(
  'id',
  'role',
  'path',
  'startRelease',
  'endRelease',
  'spans',
  'takesLoad',
  'sparedActions',
)
export const trussShape = picker<Member>()('id', 'path', 'truss')
export const panelShape = picker<Panel>()(
  'id',
  'layout',
  'outline',
  'spanAngle',
  'overhang',
  'openings',
  'sharing',
  'sparedAngle',
  'sparedMembers',
  'supportReach',
  'spanLimit',
)
export const slopeShape = picker<Slope>()('id', 'outline', 'pitch', 'uphill', 'eaves')
export const strutShape = picker<Strut>()('id', 'path', 'startHeight', 'endHeight')
export const openingShape = picker<Opening>()('id', 'outline')
export const patchShape = picker<Patch>()('id', 'outline', 'mode', 'order')
export const wallShape = picker<WallRun>()('id', 'path', 'closed')
/** Whether a load varies shapes its paths; by how much does not. */
export const lineLoadShape = once(({ id, path, endValue }: LineLoad) =>
  Object.freeze({ id, path, varies: endValue !== null }),
)
export const areaLoadShape = once(({ id, outline, angle, measured, endValue }: AreaLoad) =>
  Object.freeze({ id, outline, angle, measured, varies: endValue !== null }),
)
export const stairShape = picker<Stair>()('id', 'path', 'width')
export const wallSurfaceShape = picker<WallSurface>()(
  'id',
  'path',
  'closed',
  'above',
  'depth',
  'sharing',
  'overOpenings',
  'openings',
)
export const pointLoadShape = picker<PointLoad>()('id', 'path')

// And what of it weighs, so that a new label weighs nothing again.
export const memberStock = picker<Member | Strut>()('id', 'section', 'material')
export const wallStock = picker<Member>()('id', 'path', 'section', 'material', 'openShare')
export const panelSlab = picker<Panel>()('id', 'slab')
export const stairStock = picker<Stair>()('id', 'path', 'rise', 'waist', 'riser', 'material')
export const sectionArea = picker<Section>()('id', 'area', 'width')
export const sectionBending = picker<Section>()('id', 'shape', 'area', 'depth', 'width')
export const materialElastic = picker<Material>()('id', 'elasticModulus')
export const materialWeight = picker<Material>()('id', 'unitWeight')

export type MemberShape = ReturnType<typeof memberShape>
export type TrussShape = ReturnType<typeof trussShape>
export type PanelShape = ReturnType<typeof panelShape>
export type SlopeShape = ReturnType<typeof slopeShape>
export type StrutShape = ReturnType<typeof strutShape>
export type OpeningShape = ReturnType<typeof openingShape>
export type PatchShape = ReturnType<typeof patchShape>
export type WallShape = ReturnType<typeof wallShape>
export type LineLoadShape = ReturnType<typeof lineLoadShape>
export type AreaLoadShape = ReturnType<typeof areaLoadShape>
export type StairShape = ReturnType<typeof stairShape>
export type StairStock = ReturnType<typeof stairStock>
export type WallSurfaceShape = ReturnType<typeof wallSurfaceShape>
export type PointLoadShape = ReturnType<typeof pointLoadShape>
export type MemberStock = ReturnType<typeof memberStock>
export type WallStock = ReturnType<typeof wallStock>
export type PanelSlab = ReturnType<typeof panelSlab>
export type SectionArea = ReturnType<typeof sectionArea>
export type SectionBending = ReturnType<typeof sectionBending>
export type MaterialElastic = ReturnType<typeof materialElastic>
export type MaterialWeight = ReturnType<typeof materialWeight>
