import {
  ask,
  demoChanges,
  deriveProject,
  documentOf,
  formatQuantity,
  metricPoint,
  Memo,
  recordsOf,
} from '@hedrion/core'
import { candidatesPart } from './candidatesPart'
import { elevationScene } from './elevationScene'
import type { PlanOptions } from './planOptions'
import { keyNumbers, planScene } from './planScene'
import { placeLabels } from './labels'
import { withUnitsAlike } from './said'
import type { Mark, Scene } from './scene'
import { fit } from './viewport'

const document = documentOf(demoChanges.flatMap(({ edits }) => edits.flatMap(({ after }) => after ?? [])))
const state = deriveProject(new Memo(), document)
const levelId = (name: string) => recordsOf(document, 'level').find((level) => level.name === name)?.id ?? ''
const options = (more: Partial<PlanOptions> = {}): PlanOptions => ({
  format: metricPoint,
  mark: 'imposed',
  area: true,
  member: true,
  names: true,
  spans: true,
  ...more,
})
const plan = (level: string, caseId: string, more: Partial<PlanOptions> = {}) =>
  planScene(
    ask(state, { kind: 'floor', levelId: levelId(level), caseId }),
    recordsOf(document, 'gridLine'),
    options(more),
  )

/** Labels as the drawing says them. */
const drawnIn = ({ labels }: Pick<Scene, 'labels'>) => withUnitsAlike(labels).labels

describe('the plan', () => {
  const floor = ask(state, { kind: 'floor', levelId: levelId('1'), caseId: 'imposed/C' })
  if (!floor) throw new Error('no floor')
  const scene = plan('1', 'imposed/C')

  test('everything of the floor can be picked, and says in words what it is', () => {
    const wanted =
      floor.beams.length +
      floor.columns.length +
      floor.regions.length +
      floor.walls.length +
      floor.typed.length +
      floor.stairs.length +
      // three stretches of the balcony's barrier are picked as one, but each can be met
      floor.barriers.length +
      floor.stiff.length +
      floor.openings.length
    expect(scene.targets).toHaveLength(wanted)
    const texts = scene.targets.map(({ text }) => text)
    expect(texts).toContain('Beam B3, 7.20 m, 9.00 kN/m')
    expect(texts).toContain('Line load Q2, glass screen, 3.00 m, 0.90 kN/m')
    expect(texts).toContain('Flight Z1, 3.00 m in plan, 7.50 kN/m on each end')
    expect(texts).toContain('Barrier H1, 18.00 m, 1.00 kN/m outwards')
    expect(texts).toContainEqual(expect.stringMatching(/^Panel P\d+, “Reading room”, \d+\.\d m², 3\.00 kN\/m²$/))
    expect(texts).toContain('Lateral element E1, braced bay')
    expect(texts).toContain('Opening Stair void')
  })

  // offices carry 3.00 by default, the balcony 5.00 by a patch (EN 1991-1-1 table 6.2, from memory)
  test('patches alone, and the default alone', () => {
    const numbers = (parts: NonNullable<PlanOptions['parts']>) => [
      ...new Set(drawnIn(plan('1', 'imposed/C', { parts })).flatMap(({ text, bold }) => (bold ? [text] : []))),
    ]
    const stairs = '7.50 kN/m'
    // stairs are in kN/m: so every number has its unit
    expect(numbers('all').sort()).toEqual(['3.00 kN/m²', '5.00 kN/m²', stairs])
    expect(numbers('patches').sort()).toEqual(['5.00 kN/m²', stairs])
    expect(numbers('default').sort()).toEqual(['3.00 kN/m²', stairs])
  })

  test('larger numbers need more room: none lies on another, and some are left out', () => {
    const { labels, box } = plan('1', 'imposed/C')
    const view = fit(box, 420, 420, { top: 20, right: 20, bottom: 20, left: 20 })
    const placed = (size: number) =>
      placeLabels(labels, view, { measure: (text) => text.length * size * 0.5, size }).placed
    const large = placed(20)
    expect(large.length).toBeLessThan(placed(13).length)
    for (const [i, a] of large.entries())
      for (const b of large.slice(i + 1))
        if (!a.label.must && !b.label.must && Math.abs(a.x - b.x) < 1)
          expect(Math.abs(a.y - b.y)).toBeGreaterThanOrEqual(20)
  })

  test('every number and name of one thing says whose it is, so that it can be shown alone', () => {
    const targets = new Set(scene.targets.map(({ id }) => id))
    const own = plan('1', 'imposed/C', { names: true, member: true }).labels.flatMap(({ of }) => of ?? [])
    expect(own.length).toBeGreaterThan(40)
    expect(own.every((id) => targets.has(id))).toBe(true)
  })

  // 2.87 kN/m² less 30 % openings: 43.2 m under beams, 2.009 · (3.60 − 0.36) = 6.51 kN/m; 42.0 m under girders,
  // 2.009 · (3.60 − 0.50) = 6.23 kN/m; 281.2 + 261.6 = 542.8 kN
  test('hand: a wall run is one thing with one sum, said on each of its stretches', () => {
    const texts = plan('1', 'permanent/walls')
      .targets.filter(({ kind, text }) => kind === 'wall' && /\bW1\b/.test(text))
      .map(({ text }) => text)
    expect(texts).toHaveLength(6)
    expect(new Set(texts)).toEqual(new Set(['Wall run W1, 6 stretches, 85.20 m, 542.8 kN']))
  })

  test('hand: beside the stair void 9.00 kN/m falls to 4.50', () => {
    const stepped = scene.targets.filter(({ text }) => /9\.00 then 4\.50 kN\/m|4\.50 then 9\.00 kN\/m/.test(text))
    expect(stepped.length).toBeGreaterThan(0)
  })

  test('every loaded beam has its ordinates, to one scale that is said', () => {
    const ordinates = scene.shapes.filter((shape) => shape.kind === 'ordinates')
    expect(ordinates).toHaveLength(floor.beams.filter(({ lines }) => lines.length > 0).length)
    expect(scene.ordinateScale?.text).toMatch(/kN\/m$/)
    const scales = new Set(ordinates.map((shape) => shape.kind === 'ordinates' && shape.scale))
    expect(scales.size).toBe(1)
  })

  test('keys differ by hatch number, so that neighbours can be told apart in grey', () => {
    expect([...keyNumbers(floor).values()].sort()).toEqual([0, 1, 2])
  })

  test('a key with a hatch of its own keeps it on every plan, the others stay as they were', () => {
    const ids = [...keyNumbers(floor).keys()]
    const regions = floor.regions.map((region) =>
      region.keyId === ids[1] ? { ...region, keyHatch: 'uprightFine' as const } : region,
    )
    const numbers = keyNumbers({ regions })
    expect(ids.map((id) => numbers.get(id))).toEqual([0, 7, 2])
  })

  test('load that nothing carries stands out with its force; members off means no ordinates', () => {
    const roof = plan('Roof', 'permanent/self-weight')
    expect(roof.labels.filter(({ tone }) => tone === 'warm').map(({ value }) => value?.text)).toEqual([
      '15.6 kN not carried',
    ])
    expect(plan('1', 'imposed/C', { member: false }).shapes.some(({ kind }) => kind === 'ordinates')).toBe(false)
  })

  test('names and numbers say whose they are, so that they can be shown of what is picked alone', () => {
    for (const level of ['1', 'Roof', 'Eaves']) {
      const { labels, targets } = plan(level, 'permanent/self-weight')
      const known = new Set(targets.map(({ id }) => id))
      const nobodys = labels.filter(({ of }) => of === undefined || !known.has(of)).map(({ value }) => value?.text)
      // load that nothing carries is never hidden
      expect(nobodys).toEqual(level === 'Roof' ? ['15.6 kN not carried'] : [])
    }
  })

  test('a level without layout shows the grid', () => {
    const empty = plan('Base', 'imposed/C')
    // four lines each way, and five of the hall
    expect(empty.grid).toHaveLength(13)
    expect(empty.targets).toEqual([])
    expect(empty.box).toEqual({ x0: 0, x1: 46.2, y0: 0, y1: 21 })
    expect(planScene(undefined, [], options()).box.x1).toBeGreaterThan(0)
  })
})

describe('the elevation', () => {
  const elevation = (axis: 'x' | 'y', caseId: string, mark: Mark = 'wind') =>
    elevationScene(ask(state, { kind: 'elevation', axis, caseId }), { format: metricPoint, mark, forces: true })

  test('wind from the west pushes to the right in the view to the north, with its force at every level', () => {
    const arrows = elevation('x', 'wind/west').shapes.filter((shape) => shape.kind === 'arrow')
    // four of the rectangle in the wind, and of the workshop's gable half at its eaves and half at the base
    expect(arrows).toHaveLength(6)
    expect(arrows.every((shape) => shape.kind === 'arrow' && shape.dx > 0 && shape.at[0] === 0)).toBe(true)
    const east = elevation('x', 'wind/east').shapes.filter((shape) => shape.kind === 'arrow')
    expect(east.every((shape) => shape.kind === 'arrow' && shape.dx < 0 && shape.at[0] === 21.6)).toBe(true)
  })

  test('along the sight it is said in words which way it goes', () => {
    const texts = elevation('y', 'wind/west').labels.map(({ text }) => text)
    expect(texts.filter((text) => text.endsWith('towards you'))).toHaveLength(6)
    expect(elevation('y', 'wind/east').labels.some(({ text }) => text.endsWith('away from you'))).toBe(true)
  })

  test('a gravity case shows its reactions, which add up to what is at the supports', () => {
    const { reactions } = ask(state, { kind: 'elevation', axis: 'x', caseId: 'imposed/C' })
    const texts = drawnIn(elevation('x', 'imposed/C')).map(({ text }) => text)
    for (const { force } of reactions) expect(texts).toContain(formatQuantity(force, 'force', metricPoint))
  })

  test('a reaction downwards says so in a word, and has no sign', () => {
    const view = ask(state, { kind: 'elevation', axis: 'x', caseId: 'imposed/C' })
    const [reaction] = view.reactions
    if (!reaction) throw new Error('no reaction')
    const { labels } = elevationScene(
      { ...view, reactions: [{ ...reaction, force: -5000 }] },
      { format: metricPoint, mark: 'imposed', forces: true },
    )
    expect(drawnIn({ labels }).map(({ text }) => text)).toContain('5.0 kN down')
  })

  test('nothing drawn yet is an empty scene', () => {
    expect(elevationScene(undefined, { format: metricPoint, mark: 'plain', forces: true }).targets).toEqual([])
  })
})

describe('what the limits of a picked panel make of members', () => {
  const [format, panel] = [metricPoint, recordsOf(document, 'panel').find(({ label }) => label === 'P1')]
  const found = (verdict: 'counts' | 'offPanel' | 'alongSpan', off: number, degrees: number) =>
    candidatesPart(
      [
        {
          member: 'm',
          expandedId: 'm@l',
          label: 'B1',
          a: [0, 0],
          b: [6, 0],
          verdict,
          off,
          angle: (degrees * Math.PI) / 180,
        },
      ],
      format,
    )
  const textOf = (scene: ReturnType<typeof found>) => scene.labels.map(({ text }) => text.replaceAll(/\s/g, ' '))

  test('supports lie over a whole line, what is left out is struck, and says why', () => {
    expect(found('counts', 0, 90)).toMatchObject({ shapes: [{ stroke: { tone: 'accent', width: 7 } }], labels: [] })
    expect(textOf(found('counts', 0.008, 90))).toEqual(['counts, 8 mm off'])
    expect(textOf(found('offPanel', 0.02, 90))).toEqual(['excluded, 20 mm off'])
    expect(textOf(found('alongSpan', 0, 4))).toEqual(['excluded, 4.0 ° to the span'])
    // straight along the span nobody needs to be told
    expect(textOf(found('alongSpan', 0, 0))).toEqual([])
    for (const { shapes } of [found('offPanel', 0.02, 90), found('alongSpan', 0, 0)])
      expect(shapes).toMatchObject([{ stroke: { dash: [2, 6] } }])
  })

  test('they lie under the members of the plan', () => {
    const candidates = ask(state, { kind: 'candidates', expandedId: `${panel?.id ?? ''}@${levelId('1')}` })
    const scene = plan('1', 'imposed/C', { candidates })
    const struck = scene.shapes.findIndex((shape) => shape.kind === 'line' && shape.stroke.dash?.[1] === 6)
    const beam = scene.shapes.findIndex((shape) => shape.kind === 'line' && shape.stroke.width === 3)
    expect(candidates.length).toBeGreaterThan(2)
    expect(struck).toBeGreaterThan(-1)
    expect(struck).toBeLessThan(beam)
  })

  test('bracing in the plane of the workshop’s roof is left out, and said so; purlins count', () => {
    const roof = recordsOf(document, 'layout').find(({ name }) => name === 'Workshop roof')
    const sloping = recordsOf(document, 'panel').find(({ layout, label }) => layout === roof?.id && label === 'P1')
    const candidates = ask(state, { kind: 'candidates', expandedId: `${sloping?.id ?? ''}@${levelId('Eaves')}` })
    const braces = candidates.filter(({ verdict }) => verdict === 'inSpace')
    expect(braces).toHaveLength(2)
    expect(candidatesPart(braces, format).labels.map(({ text }) => text)).toEqual(
      expect.arrayContaining([expect.stringMatching(/^excluded, out of plane/)]),
    )
    expect(candidates.filter(({ verdict }) => verdict === 'counts').length).toBeGreaterThan(braces.length)
  })
})
