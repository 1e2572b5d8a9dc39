import { readCase } from '../derivation/cells'
import { expandedAt, floorSeen } from '../derivation/floorQueries'
import type { FloorState } from '../derivation/floorStates'
import type { ProjectState } from '../derivation/project'
import { labelOf } from '../document/labels'
import { even } from '../geometry/density'
import { auditShare } from '../sharing/audit'
import { sharerOf } from '../sharing/ground'
import type { SharingRule } from '../sharing/sharer'
import { carriersOf } from '../sharing/rails'
import type { PlateLack, Share } from '../sharing/share'
import { panelGrounds } from '../derivation/panelGrounds'

/** One member and what it takes by each rule, N; 0 where a rule gives it nothing. */
export interface ComparedMember {
  readonly expandedId: string
  readonly label: string
  readonly kind: 'beam' | 'column'
  readonly forces: readonly number[]
}

/** The same load by several rules, side by side. Every list runs in the order of the rules. */
export interface ComparedRules {
  readonly members: readonly ComparedMember[]
  /** Why a rule gives nothing of one of the panels; null where it does. */
  readonly lacks: readonly (PlateLack | 'corners' | null)[]
  /** What nothing carries, N. */
  readonly notCarried: readonly number[]
  /** The moment left over (its size about a level axis), Nm. */
  readonly leftOver: readonly number[]
}

/**
 * What area loads of one panel, or of all of a level, give to members if they were shared by each of the rules; null stands for
 * the rule of each panel.
 */
export function compareRules(
  state: ProjectState,
  levelId: string,
  panelId: string | null,
  caseId: string,
  rules: readonly (SharingRule | null)[],
): ComparedRules | null {
  const floor = floorSeen(state, levelId, caseId)
  if (!floor) return null
  const tables = rules.map((rule) => byRule(state, floor, panelId, caseId, rule))
  const ids = [...new Set(tables.flatMap(({ forces }) => [...forces.keys()]))]
  const order = new Map<string, number>(
    [...floor.operator.plan.frame.beams, ...floor.operator.plan.frame.columns].map(({ member }, i) => [member.id, i]),
  )
  const columns = new Set<string>(floor.operator.plan.frame.columns.map(({ member }) => member.id))
  return {
    members: ids
      .sort((p, q) => (order.get(p) ?? 0) - (order.get(q) ?? 0))
      .map((id) => ({
        expandedId: expandedAt(floor, id),
        label: labelOf(state.document, id),
        kind: columns.has(id) ? 'column' : 'beam',
        forces: tables.map(({ forces }) => forces.get(id) ?? 0),
      })),
    lacks: tables.map(({ lacks }) => lacks),
    notCarried: tables.map(({ notCarried }) => notCarried),
    leftOver: tables.map(({ moments: [mx, my] }) => Math.hypot(mx, my)),
  }
}

function byRule(
  state: ProjectState,
  floor: FloorState,
  panelId: string | null,
  caseId: string,
  rule: SharingRule | null,
) {
  const at = readCase(state, caseId)
  const every = floor.operator.plan.frame.beams.flatMap(carriersOf)
  const forces = new Map<string, number>()
  let [notCarried, mx, my] = [0, 0, 0]
  let lacks: ComparedRules['lacks'][number] = null
  for (const { plan, ground } of panelGrounds(state, floor)) {
    if (panelId !== null && plan.panel.id !== panelId) continue
    const asSet = rule === null || rule === plan.panel.sharing
    const sharer = sharerOf(asSet ? ground : { ...ground, rule })
    floor.operator.plan.sources.forEach((source, row) => {
      if (source.kind !== 'region' || source.panel !== plan) return
      const intensity = at(floor.intensities, row)
      if (intensity === 0) return
      const share = asSet ? source.share : sharer.area(source.region.region, even)
      for (const [id, force] of forcesOf(share)) forces.set(id, (forces.get(id) ?? 0) + intensity * force)
      const { moments } = auditShare(share, every)
      notCarried += intensity * share.notCarried
      lacks ??= share.lacks ?? (share.notCarried > 0 && (rule ?? plan.panel.sharing) === 'corners' ? 'corners' : null)
      mx += intensity * moments[0]
      my += intensity * moments[1]
    })
  }
  return { forces, lacks, notCarried, moments: [mx, my] as const }
}

function forcesOf({ lines, points, onColumns }: Share): ReadonlyMap<string, number> {
  const forces = new Map<string, number>()
  const add = (member: string, force: number) => forces.set(member, (forces.get(member) ?? 0) + force)
  for (const { member, s0, s1, q0, q1 } of lines) add(member, ((s1 - s0) * (q0 + q1)) / 2)
  for (const { member, force } of [...points, ...onColumns]) add(member, force)
  return forces
}
