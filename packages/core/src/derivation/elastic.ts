import { entry } from '../outcome/assert'
import { flexuralStiffness, plateStiffness } from '../building/bending'
import { heldEnds, isContinuous, type Beam, type FramePlan } from '../building/frame'
import { recordsOf, type Document } from '../document/document'
import { once } from '../outcome/once'
import {
  materialElastic,
  memberStock,
  panelSlab,
  sectionBending,
  trussShape,
  type MaterialElastic,
  type MemberStock,
  type PanelSlab,
  type SectionBending,
  type TrussShape,
} from '../document/shapes'
import { poisson } from '../plate/bendingTriangle'
import type { BeamSeat, ElasticBeam } from '../plate/grillage'
import type { Elastic } from '../sharing/byStiffness'
import type { Carrier } from '../sharing/rails'
import { byLayout } from './byLayout'

/** What of a layout makes its slabs and members stiff. */
export interface Stock {
  readonly slabs: readonly PanelSlab[]
  readonly stocks: readonly MemberStock[]
  readonly trusses: readonly TrussShape[]
  readonly sections: readonly SectionBending[]
  readonly materials: readonly MaterialElastic[]
}

export const noStock: Stock = { slabs: [], stocks: [], trusses: [], sections: [], materials: [] }

export function stockOf(document: Document, layoutId: string): Stock {
  const members = byLayout(recordsOf(document, 'member')).get(layoutId) ?? []
  return {
    slabs: (byLayout(recordsOf(document, 'panel')).get(layoutId) ?? []).map(panelSlab),
    stocks: members.map(memberStock),
    trusses: members.filter(({ truss }) => truss !== null).map(trussShape),
    sections: recordsOf(document, 'section').map(sectionBending),
    materials: recordsOf(document, 'material').map(materialElastic),
  }
}

const byId = <T extends { readonly id: string }>(list: readonly T[]): ReadonlyMap<string, T> =>
  new Map(list.map((entry) => [entry.id, entry]))

const indexed = once(({ slabs, stocks, trusses, sections, materials }: Stock) => ({
  slabs: byId(slabs),
  stocks: byId(stocks),
  trusses: byId(trusses),
  sections: byId(sections),
  materials: byId(materials),
}))

/** The slab of a panel, and the beams under it with all that they stand on, as far as columns. */
export function elasticUnder(stock: Stock, frame: FramePlan, panelId: string, carriers: readonly Carrier[]): Elastic {
  const { slabs, stocks, trusses, sections, materials } = indexed(stock)
  const slab = slabs.get(panelId)?.slab
  const concrete = slab && materials.get(slab.material)
  const places = new Map(frame.beams.map(({ member }, i) => [member.id as string, i]))
  const wanted: number[] = []
  // a beam that cannot stand by itself bears nothing: what the plate would hang on it is no load of it
  const want = (index: number | undefined) => {
    const beam = index === undefined ? undefined : frame.beams[index]
    // a wall is no beam: the plate rests on the middles of its stretches
    if (index !== undefined && beam?.stable && !beam.stretches && !wanted.includes(index)) wanted.push(index)
  }
  for (const { member } of carriers) want(places.get(member))
  // grows while it is walked
  for (const index of wanted)
    for (const support of frame.beams[index]?.supports ?? []) if (support.on === 'beam') want(support.index)
  const stiffnessOf = (id: string): number => {
    const own = stocks.get(id)
    const truss = trusses.get(id)?.truss ?? null
    return flexuralStiffness({
      section: own && sections.get(own.section),
      material: own && materials.get(own.material),
      truss,
      bottom: truss ? sections.get(truss.bottomSection) : undefined,
    })
  }
  const beams = wanted.flatMap((index) => frame.beams[index] ?? [])
  return {
    slab:
      slab && concrete
        ? {
            stiffness: plateStiffness(concrete.elasticModulus, slab.thickness, poisson),
            thickness: slab.thickness,
          }
        : null,
    beams: beams.map((beam) => elasticBeam(beam, frame, stiffnessOf(beam.member.id))),
  }
}

function elasticBeam(beam: Beam, frame: FramePlan, stiffness: number): ElasticBeam {
  const seats = beam.stations.flatMap(({ s, supports: [first] }): BeamSeat[] => {
    const support = beam.supports[first ?? -1]
    if (!support) return []
    const under = support.on === 'beam' ? entry(frame.beams, support.index) : undefined
    // a wall gives no more than a column does
    if (!under || under.stretches) return [{ s, on: null }]
    // what cannot stand by itself holds nothing: the end hangs on the plate
    return under.stable ? [{ s, on: { member: under.member.id, at: support.at } }] : []
  })
  return {
    member: beam.member.id,
    stiffness,
    length: beam.length,
    seats,
    held: heldEnds(beam),
    hinges: isContinuous(beam) ? [] : beam.stations.slice(1, -1).map(({ s }) => s),
  }
}
