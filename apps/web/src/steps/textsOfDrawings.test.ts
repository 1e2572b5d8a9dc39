import {
  ask,
  bayGrid,
  effectKinds,
  demoChanges,
  deriveProject,
  documentOf,
  Memo,
  metricPoint,
  readOpeningSentence,
  recordsOf,
  type Document,
  type Point,
  type ProjectState,
} from '@hedrion/core'
import fc from 'fast-check'
import { envelopeOnPlan } from './envelopes/envelopeOnPlan'
import { elevationScene } from '../drawing/elevationScene'
import { meets, placeLabels } from '../drawing/labels'
import { planScene } from '../drawing/planScene'
import { largestOfEach, withUnitsAlike } from '../drawing/said'
import type { Label, Scene } from '../drawing/scene'
import { textsOf, type TextsOfView } from '../drawing/texts'
import { fit, toScreen, type Viewport } from '../drawing/viewport'

/** Letters are half as wide as high, those in bold a little more (common practice for sans serif faces). */
const measure = (text: string, size: number, bold = false): number => text.length * size * (bold ? 0.54 : 0.5)
const unit = { symbol: 'm', metres: 1 }
const frames = [
  // what is left for the picture of windows of 800, 1280 and 1920 pixels
  [360, 560],
  [585, 640],
  [1220, 900],
] as const
const margins = { top: 64, right: 56, bottom: 64, left: 76 }

function views(document: Document): readonly (readonly [name: string, scene: Scene])[] {
  const state: ProjectState = deriveProject(new Memo(), document)
  const grid = recordsOf(document, 'gridLine')
  const cases = ask(state, { kind: 'overview' }).actions.flatMap((action) => action.cases.map(({ id }) => id))
  const bare = { format: metricPoint, mark: 'plain', area: false, member: false, names: false, spans: false } as const
  const envelopes = effectKinds.flatMap((kind) => {
    const rows = ask(state, { kind: 'envelopes', set: 'strength', effects: kind })
    return recordsOf(document, 'level').flatMap(({ id, name }): readonly (readonly [string, Scene])[] => {
      const floor = ask(state, { kind: 'floor', levelId: id, caseId: cases[0] ?? '' })
      const scene = floor && planScene(floor, grid, { ...bare, names: kind === 'beamTotal' })
      return scene ? [[`${kind} ${name}`, envelopeOnPlan(scene, floor, { rows, kind }, metricPoint)]] : []
    })
  })
  const loads = cases.flatMap((caseId) => [
    ...recordsOf(document, 'level').flatMap(({ id, name }) => {
      const floor = ask(state, { kind: 'floor', levelId: id, caseId })
      return [false, true].map((member): readonly [string, Scene] => [
        `${caseId} ${name} ${member ? 'member' : 'area'}`,
        planScene(floor, grid, {
          format: metricPoint,
          mark: 'plain',
          area: !member,
          member,
          names: true,
          spans: true,
        }),
      ])
    }),
    ...(['x', 'y'] as const).map((axis): readonly [string, Scene] => [
      `${caseId} from ${axis}`,
      elevationScene(ask(state, { kind: 'elevation', axis, caseId }), {
        format: metricPoint,
        mark: 'plain',
        forces: true,
        grid,
      }),
    ]),
  ])
  return [...envelopes, ...loads]
}

const isInView = ([x, y]: Point, { width, height }: Viewport): boolean => x >= 0 && y >= 0 && x <= width && y <= height

const overlaps = ({ extents }: TextsOfView): number =>
  extents.reduce((sum, p, i) => sum + extents.slice(i + 1).filter((q) => meets(p, q)).length, 0)

const grid11by7 = (): Document => {
  const read = readOpeningSentence(
    '10 x 7.2 m by 6 x 6 m, 3 storeys of 3.6 m, beams every 2.4 m, 150 mm concrete, offices',
  )
  if (!read.ok) throw new Error(read.problem)
  return documentOf(bayGrid(read.brief, 'Eleven by seven', Math.random))
}
const demo = (): Document => documentOf(demoChanges.flatMap(({ edits }) => edits.flatMap(({ after }) => after ?? [])))

describe('texts of a drawing', () => {
  test.each([
    ['demo', demo],
    ['eleven by seven grid lines', grid11by7],
  ])('%s: none lies on another at any width; load not carried and the largest number are there', (_, document) => {
    let counted = 0
    for (const [name, scene] of views(document()))
      for (const [width, height] of frames) {
        const view = fit(scene.box, width, height, margins)
        const texts = textsOf(scene, view, { measure, size: 13, picked: [], unit })
        expect([name, width, overlaps(texts)]).toEqual([name, width, 0])
        const labels = withUnitsAlike(scene.labels).labels.filter(({ at }) => isInView(toScreen(view, at), view))
        const said = new Set(texts.placed.map(({ label: { text } }) => text))
        const needed = [...labels.filter(({ must }) => must), ...largestOfEach(labels)].map(({ text }) => text)
        expect([name, width, needed.filter((text) => !said.has(text))]).toEqual([name, width, []])
        // every label is there, or left out and counted
        const counts = (some: readonly Label[]) => new Set(some.map(({ of, text }) => `${of ?? ''} ${text}`))
        expect([name, width, counts([...texts.placed.map(({ label }) => label), ...texts.leftOut])]).toEqual([
          name,
          width,
          counts(labels),
        ])
        counted += texts.placed.length
      }
    expect(counted).toBeGreaterThan(1000)
  })

  const screen: Viewport = { width: 400, height: 300, scale: 1, x: 0, y: 300 }
  const some = fc.array(
    fc.record({
      text: fc.constantFrom('9.00', '4.50', 'C12', '1 044.3', 'B5'),
      x: fc.integer({ min: 0, max: 400 }),
      y: fc.integer({ min: 0, max: 300 }),
      priority: fc.nat(90),
      of: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
      must: fc.boolean(),
      stays: fc.boolean(),
    }),
    { maxLength: 25 },
  )

  // law: with the room that a screen has, what must be there is there, what is picked comes before what is not
  test('what must be there finds a place', () => {
    fc.assert(
      fc.property(some, (wanted) => {
        const labels = wanted.map(({ x, y, must, stays, ...rest }): Label => ({
          ...rest,
          at: [x, y],
          ...(must ? { must } : stays ? { stays } : {}),
        }))
        const { placed, leftOut } = placeLabels(labels, screen, { measure: (text) => measure(text, 13) })
        expect(leftOut.filter(({ must }) => must)).toEqual([])
        expect(placed.length + leftOut.length).toBe(labels.length)
      }),
    )
  })

  test('what is picked is said where it finds any room', () => {
    const crowd = Array.from({ length: 30 }, (_, i): Label => ({
      text: `label ${i}`,
      of: `m${i}`,
      at: [200, 150],
      priority: 30 - i,
    }))
    const said = (picked: readonly string[]) =>
      placeLabels(crowd, screen, { measure: (text) => measure(text, 13), picked }).placed.map(({ label }) => label.of)
    expect(said([])).not.toContain('m29')
    expect(said(['m29'])).toContain('m29')
  })

  test('numbers carry units alike', () => {
    const pressure = {
      text: '3.00',
      value: { size: 3000, unit: 'kN/m²', text: '3.00 kN/m²' },
      at: [0, 0],
      priority: 1,
    } as const
    const line = {
      text: '9.00',
      value: { size: 9000, unit: 'kN/m', text: '9.00 kN/m' },
      at: [0, 0],
      priority: 1,
    } as const
    expect(withUnitsAlike([pressure, pressure])).toMatchObject({ labels: [{ text: '3.00' }, {}], unit: 'kN/m²' })
    expect(withUnitsAlike([pressure, line])).toMatchObject({
      labels: [{ text: '3.00 kN/m²' }, { text: '9.00 kN/m' }],
      unit: null,
    })
  })
})
