import { Building } from '../test/build'
import { Memo } from '../src/derivation/memo'
import type { Document } from '../src/document/document'
import { together } from '../src/geometry/crowds'
import type { Point } from '../src/geometry/point'
import { derive } from '../src/queries/derive'
import { deriveProject } from '../src/derivation/project'
import { count, print } from './measure'

// Floors on which a great many things come together: the work must grow little faster than their number.

function floor() {
  const building = new Building()
  building.level('Base', 0)
  const layout = building.layout('Crowded', building.key(2000), building.level('1', 4))
  return { building, layout }
}

const onCircle = (i: number, n: number, turn: number): Point => [
  10 * Math.cos((turn * i) / n),
  10 * Math.sin((turn * i) / n),
]

const scenes: Readonly<Record<string, (n: number) => Document>> = {
  'openings in one panel': (n) => {
    const { building, layout } = floor()
    const side = Math.ceil(Math.sqrt(n))
    const corners: readonly Point[] = [
      [0, 0],
      [side, 0],
      [side, side],
      [0, side],
    ]
    corners.forEach((corner, i) => {
      building.column(layout, corner)
      building.beam(layout, corner, corners[(i + 1) % 4] ?? corner)
    })
    building.panel(layout, corners)
    for (let i = 0; i < n; i++) {
      const [x, y] = [(i % side) + 0.25, Math.floor(i / side) + 0.25]
      building.opening(layout, [
        [x, y],
        [x + 0.5, y],
        [x + 0.5, y + 0.5],
        [x, y + 0.5],
      ])
    }
    return building.document
  },
  'beams through one point': (n) => {
    const { building, layout } = floor()
    for (let i = 0; i < n; i++) {
      const [x, y] = onCircle(i, n, Math.PI)
      building.column(layout, [x, y])
      building.column(layout, [-x, -y])
      building.beam(layout, [-x, -y], [x, y])
    }
    return building.document
  },
  'beams to one column': (n) => {
    const { building, layout } = floor()
    building.column(layout, [0, 0])
    for (let i = 0; i < n; i++) {
      building.column(layout, onCircle(i, n, 2 * Math.PI))
      building.beam(layout, [0, 0], onCircle(i, n, 2 * Math.PI))
    }
    return building.document
  },
  'copies of one beam': (n) => {
    const { building, layout } = floor()
    building.column(layout, [0, 0])
    building.column(layout, [6, 0])
    for (let i = 0; i < n; i++) building.beam(layout, [0, 0], [6, 0])
    return building.document
  },
}

/** Looks at pieces of beams for what crosses, and the time of everything that a screen and the files ask. */
function measured(document: Document): { readonly work: number; readonly concerns: number; readonly time: number } {
  const memo = new Memo()
  const before = process.cpuUsage()
  const state = deriveProject(memo, document)
  derive(memo, document, { kind: 'overview' })
  derive(memo, document, { kind: 'csv', only: null })
  const { user, system } = process.cpuUsage(before)
  const beams = state.floors.flatMap(({ operator }) => operator.plan.frame.beams)
  const { work } = together(beams.flatMap((beam, of) => beam.legs.map(({ a, b }) => ({ of, a, b }))))
  return { work, concerns: derive(memo, document, { kind: 'concerns' }).length, time: (user + system) / 1000 }
}

const exponent = (first: number, last: number, ratio: number): string =>
  first === 0 ? '-' : (Math.log(last / first) / Math.log(ratio)).toFixed(2)

export function benchCrowds(): void {
  print('\nMany things in one place: n, looks at pieces of beams, concerns listed, ms of processor time')
  for (const [name, make] of Object.entries(scenes)) {
    const sizes = [800, 1600, 3200]
    const found = sizes.map((n) => ({ n, ...measured(make(n)) }))
    print(`  ${name}`)
    for (const { n, work, concerns, time } of found)
      print(`    ${count(n)}: ${count(work)} looks, ${concerns} concerns, ${time.toFixed(0)} ms`)
    const [first, last] = [found[0], found.at(-1)]
    if (first && last)
      print(
        `    exponent of the looks ${exponent(first.work, last.work, 4)}, of the time ${exponent(first.time, last.time, 4)} (n log n: ${exponent(first.n * Math.log(first.n), last.n * Math.log(last.n), 4)})`,
      )
  }
}
