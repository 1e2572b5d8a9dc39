import fc from 'fast-check'
import { holds } from './holds'
import { concernsOf, countOf } from '../src/concerns/concernsOf'
import { stepsOfWork, type StepOfWork } from '../src/concerns/definition'
import { Memo } from '../src/derivation/memo'
import { deriveProject } from '../src/derivation/project'
import { applyChange } from '../src/document/changes'
import { expectPage, markdownTable } from './writtenPage'
import { seededRandom, type Document } from '../src/document/document'
import type { Layout } from '../src/document/recordKinds'
import type { Point } from '../src/geometry/point'
import type { Concern } from '../src/outcome/outcome'
import { readTable } from '../src/trace/readTable'
import { given } from '../src/trace/traced'
import { metricPoint } from '../src/units/format'
import { concernSentence, definitions, mendsOf, severityOf, stepOfConcern } from '../src/concerns/definitions'
import { Building, bay, oneStorey, pressure } from './build'
import type { Ring } from '../src/geometry/polygon'
import { embedded } from '../src/standards/families'
import { germany } from '../src/standards/en/germany'
import { rectangle } from './shapes'

/** Makes a building that gives a concern, and what it should say. */
interface Trigger {
  readonly code: string
  readonly make: () => Building
  readonly says: RegExp
  /** What can be done about it in one step; nothing where only a person can say what was meant. */
  readonly mends?: readonly (string | RegExp)[]
}

const storeyWith =
  (change: (storey: ReturnType<typeof oneStorey>, parts: ReturnType<typeof bay>) => void, imposed = 2000) =>
  () => {
    const storey = oneStorey(imposed)
    change(storey, bay(storey))
    return storey.building
  }
const windy =
  (x: number, y: number, height: number, parapet = 0) =>
  () => {
    const building = new Building({ basicWindVelocity: 26 })
    building.level('Base', 0)
    const layout = building.layout('Floor', null, building.level('Top', height))
    for (const at of rectangle(0, 0, x, y)) building.column(layout, at)
    building.part({ parapet })
    return building
  }
const american =
  (change: (building: Building) => unknown, basicWindVelocity: number | null = null) =>
  () => {
    const building = new Building({ family: 'ASCE', basicWindVelocity })
    change(building)
    return building
  }
const line = (...points: readonly Point[]) => points

/** Two levels of 3 m over the base, each with a layout of its own. */
function twoFloors() {
  const building = new Building()
  building.level('Base', 0)
  const [first, second] = [building.level('1', 3), building.level('2', 6)]
  return { building, lower: building.layout('Lower', null, first), upper: building.layout('Upper', null, second) }
}

/** Two beams on columns that cross in their middle. */
function crossing(building: Building, layout: Layout): void {
  for (const at of line([0, 3], [6, 3], [3, 0], [3, 6])) building.column(layout, at)
  building.beam(layout, [0, 3], [6, 3])
  building.beam(layout, [3, 0], [3, 6])
}

const triggers: readonly Trigger[] = [
  {
    code: 'value.factor-of-ten',
    make: storeyWith(() => undefined, 40_000),
    says: /^The imposed load of 40\.00 kN\/m² is outside the usual range\./,
    mends: ['Set to 4.00 kN/m²'],
  },
  {
    code: 'value.factor-of-ten',
    make: storeyWith(({ building }) => building.sectionOf({ depth: 0.03 })),
    says: /^The section depth of 30 mm is outside the usual range\. Check whether 300 mm is meant\.$/,
    mends: ['Set to 300 mm'],
  },
  {
    code: 'value.unusual',
    make: storeyWith(() => undefined, 900_000),
    says: /^The imposed load of 900\.00 kN\/m² is outside the usual range 0\.30 kN\/m² to 20\.00 kN\/m²\./,
  },
  {
    code: 'record.same-label',
    make: storeyWith(({ building, layout }) => building.beam(layout, [0, 1], [6, 1], { label: 'B1' })),
    says: /^Two members of layout Floor have the label B1, so tables and files distinguish them only by id\./,
    mends: ['Rename the second one B5'],
  },
  {
    code: 'record.same-label',
    make: storeyWith(({ building, layout }) => {
      for (const y of [1, 2]) building.wall(layout, line([0, y], [6, y]), { label: 'W1' })
    }),
    says: /^Two wall runs of layout Floor have the label W1, so tables and files distinguish them only by id\./,
    mends: ['Rename the second one W2'],
  },
  {
    code: 'floor.same-labels',
    make: () => {
      const { building, lower, upper } = twoFloors()
      building.column(lower, [0, 0], { label: 'C5' })
      building.column(lower, [6, 0], { label: 'C6' })
      // the first stands on that of the lower floor; the second passes down beside them
      building.column(upper, [6, 0], { label: 'C6' })
      building.column(upper, [0, 4], { label: 'C5' })
      return building
    },
    says: /^Columns of layouts Lower and Upper on level 1 have the same label: C5\./,
    mends: ['Rename that of Upper C7'],
  },
  {
    code: 'floor.same-labels',
    make: () => {
      const { building, lower, upper } = twoFloors()
      for (const x of [0, 2, 4, 6, 8]) {
        building.column(lower, [x, 0], { label: `C${10 - x}` })
        building.column(upper, [x, 4], { label: `C${10 - x}` })
      }
      return building
    },
    says: /^Columns of layouts Lower and Upper on level 1 have the same labels: C2, C4, C6 and 2 more\./,
    mends: ['Rename those of Upper C11 to C15'],
  },
  {
    code: 'outline.crosses-itself',
    make: storeyWith(({ building, layout }) => building.opening(layout, line([1, 1], [2, 2], [2, 1], [1, 2]))),
    says: /^The outline of V1 crosses itself, so inside and outside are ambiguous\. Redraw it\.$/,
    mends: ['Reorder its corners'],
  },
  {
    code: 'member.no-length',
    make: storeyWith(({ building, layout }) => building.beam(layout, [1, 1], [1, 1.001])),
    says: /^Beam B5 has zero length, so it carries no load and has no weight\. Redraw or delete it\.$/,
    mends: ['Delete beam B5'],
  },
  {
    code: 'member.doubled',
    make: storeyWith(({ building, layout }) => building.beam(layout, [6, 4], [0, 4])),
    says: /^Beams B\d and B\d overlap over 6\.00 m: each carries half of the load, and both add self-weight\./,
    mends: [/^Delete beam B\d$/],
  },
  {
    code: 'member.doubled',
    make: storeyWith(({ building, layout }) => building.beam(layout, [2, 0], [8, 0])),
    says: /^Beams B\d and B\d overlap over 4\.00 m: each carries half of the load, and both add self-weight\./,
  },
  {
    code: 'member.near-miss',
    make: storeyWith(({ building, layout }) => building.beam(layout, [0.06, 2], [6, 2])),
    says: /^Beam B5 ends 60 mm short of B3 and is unsupported there\. Move its start onto B3\.$/,
    mends: ['Move its start onto B3'],
  },
  {
    code: 'member.near-miss',
    make: storeyWith(({ building, layout }) => building.beam(layout, [0, 8], [0.05, 4.04])),
    says: /^Beam B5 ends 64 mm short of C4 and is unsupported there\. Move its end onto C4\.$/,
    mends: ['Move its end onto C4'],
  },
  {
    code: 'member.crossing',
    make: storeyWith(({ building, layout }) => {
      building.beam(layout, [3, 0], [3, 4])
      building.beam(layout, [0, 2], [6, 2])
    }),
    says: /^Beams B5 and B6 cross without a connection\./,
    mends: ['Split B5 at B6', 'Split B6 at B5'],
  },
  {
    code: 'member.crowd',
    // thirteen through one point, where twelve would be looked at by pairs
    make: storeyWith(({ building, layout }) => {
      for (let i = 0; i < 13; i++) {
        const [x, y] = [Math.cos((Math.PI * (i + 0.5)) / 13), Math.sin((Math.PI * (i + 0.5)) / 13)]
        building.beam(layout, [3 - x, 2 - y], [3 + x, 2 + y])
      }
    }),
    says: /^At [\d.]+ m east, [\d.]+ m north, [\d.]+ beams pass within [\d.]+ m of each other, so their crossings are not checked\./,
  },
  {
    code: 'strut.end-beside',
    // 1.50 m over the middle of a beam that takes its weight
    make: storeyWith(({ building, layout }) => building.strut(layout, line([0, 0], [3, 0]), [-3, 1.5])),
    says: /^The end of S1 is 1\.50 m above level Top, 1\.00 m off the member there\. Check its height\.$/,
  },
  {
    code: 'barrier.no-value',
    make: storeyWith(({ building, layout }) => building.barrier(layout, line([0, 0], [6, 0]), { use: 'H' })),
    says: /^EN, recommended values gives no barrier load for H, so H1 has none\. Enter the load\.$/,
  },
  {
    code: 'barrier.no-value',
    make: storeyWith(({ building, layout }) => building.barrier(layout, line([0, 0], [6, 0]), { use: null })),
    says: /^Barrier H1 has no adjacent use, so no load is known\. Assign a use, or enter the load\.$/,
  },
  {
    code: 'storey.unheld',
    make: storeyWith(({ building, layout }) => {
      building.stiffElement(layout, line([0, 0], [6, 0]))
      building.storeyForces({ angle: Math.PI / 2, share: 0.5 })
    }),
    says: /^The storey below level Top cannot resist 7\.2 kN \(forces above end there\): no lateral element resists this direction\./,
  },
  {
    code: 'storey.unheld',
    make: storeyWith(({ building, layout }) => {
      building.stiffElement(layout, line([0, 0], [6, 0]))
      building.storeyForces({ share: 0.5 })
    }),
    says: /^The storey below level Top cannot resist 7\.2 kN \(forces above end there\): the lateral elements give no torsional restraint\./,
  },
  {
    code: 'storey.no-earthquake-rule',
    make: storeyWith(({ building }) => building.storeyForces({ rule: 'earthquake' })),
    says: /^Storey forces “push” are seismic, which is not derived to Eurocodes in this version, so they are 0\./,
    mends: ['Use a percentage of weight'],
  },
  {
    code: 'storey.walls-bend-alone',
    make: storeyWith(({ building, layout }) => {
      building.stiffElement(layout, line([0, 0], [6, 0]), { sort: 'wall' })
      building.stiffElement(layout, line([0, 4], [6, 4]))
    }),
    says: /^Below level Top, walls with bending stiffness only are combined with bracing or an entered stiffness, so short walls are assigned too much force\./,
    mends: ['Include their shear stiffness'],
  },
  {
    code: 'bearingWall.no-rectangle',
    make: storeyWith(({ building, layout }) => building.member(layout, 'wall', line([0, 0], [6, 0]))),
    says: /^Bearing wall B5 has the section own 300, taken as 150 mm thick\./,
  },
  {
    code: 'stiffElement.no-section',
    make: storeyWith(({ building, layout }) =>
      building.stiffElement(layout, line([0, 0], [6, 0]), { sort: 'bracing' }),
    ),
    says: /^Bracing E1 has no section, so it has no stiffness and resists no force\./,
  },
  {
    code: 'stiffElement.on-nothing',
    make: () => {
      const building = new Building()
      const [, low, high] = ['Base', 'Low', 'High'].map((name, i) => building.level(name, 3 * i))
      if (!low || !high) throw new Error('levels')
      const [under, over] = [building.layout('Under', null, low), building.layout('Over', null, high)]
      building.panel(under, rectangle(0, 0, 6, 4))
      building.stiffElement(under, line([0, 0], [6, 0]))
      building.stiffElement(over, line([0, 2], [6, 2]))
      return building
    },
    says: /^Lateral element E2 ends below level High above ground: the floor transfers its force, but its base moment is not resisted\./,
  },
  {
    code: 'panel.overlap',
    make: storeyWith(({ building, layout }) => building.panel(layout, rectangle(4, 0, 8, 4))),
    says: /^Panels P\d and P\d overlap over 8\.0 m², so the load there counts twice\. Reduce one of them\.$/,
    mends: ['Delete panel P1', 'Delete panel P2'],
  },
  {
    code: 'wind.slopes',
    make: () => {
      const building = new Building({ basicWindVelocity: 26 })
      building.level('Base', 0)
      const layout = building.layout('Roof', building.key(1000), building.level('Eaves', 5))
      for (const x of [0, 6]) for (const y of [0, 4]) building.column(layout, [x, y])
      for (const y of [0, 4]) building.beam(layout, [0, y], [6, y])
      building.panel(layout, rectangle(0, 0, 6, 4))
      // 3 in 4 over 4 m
      building.slope(layout, rectangle(0, 0, 6, 4), Math.atan(0.75), Math.PI / 2)
      return building
    },
    says: /^Roof R\d rises to 8\.00 m, but wind covers walls and the reference height only up to its level, without gables and ridge\./,
  },
  {
    code: 'slope.overlap',
    make: storeyWith(({ building, layout }) => {
      building.slope(layout, rectangle(0, 0, 6, 4), 0.2, 0)
      building.slope(layout, rectangle(0, 2, 6, 4), 0.2, 0)
    }),
    says: /^Roof slopes R\d and R\d overlap over 12\.0 m², so the roof surface is ambiguous there\./,
    mends: ['Delete roof slope R1', 'Delete roof slope R2'],
  },
  {
    code: 'value.factor-of-ten',
    make: storeyWith(({ building, layout }) =>
      building.wallSurface(layout, line([0, 0], [6, 0]), { pressures: [pressure(-6500, -6500, { nature: 'wind' })] }),
    ),
    says: /^The wind pressure of 6\.50 kN\/m² is outside the usual range\./,
    mends: ['Set to 0.65 kN/m²'],
  },
  {
    code: 'surface.not-carried',
    make: storeyWith(({ building, layout }) =>
      building.wallSurface(layout, line([20, 20], [26, 20]), { label: 'O8', sharing: 'level' }),
    ),
    says: /^18\.0 kN of the pressure on surface O8 on level Top is not carried\./,
  },
  {
    code: 'load.not-carried',
    make: storeyWith(({ building, layout }) => {
      const steel = building.material({ unitWeight: 80_000 })
      building.strut(
        layout,
        [
          [50, 50],
          [0, 0],
        ],
        [0, 0],
        { material: steel.id },
      )
    }),
    says: /^[\d.]+ kN of secondary member S\d on level Top is not carried\./,
  },
  {
    code: 'layout.on-no-level',
    make: storeyWith(({ building }) => building.column(building.layout('Attic'), [0, 0])),
    says: /^Layout “Attic” is assigned to no level, so it has no effect\./,
    mends: ['Delete it with the one object it holds'],
  },
  {
    code: 'member.loop',
    make: storeyWith(({ building, layout }) => {
      building.beam(layout, [1, 2], [4, 2])
      building.beam(layout, [4, 1], [4, 3.5])
      building.beam(layout, [5, 3.5], [2, 3.5])
      building.beam(layout, [2, 3.9], [2, 2])
    }),
    says: /^On level Top, B\d, B\d, B\d, B\d support each other in a closed loop, so their load is not carried\./,
  },
  {
    code: 'member.unsupported',
    make: storeyWith(({ building, layout }) => building.beam(layout, [1, 1], [5, 1])),
    says: /^Beam B5 on level Top has no support\. Add a column or beam under it\.$/,
  },
  {
    code: 'member.unsupported',
    make: storeyWith(({ building, layout }) => building.beam(layout, [0, 1], [5, 1])),
    says: /^Beam B5 on level Top is a mechanism: one support and a pinned end\./,
    mends: ['Fix its start'],
  },
  {
    code: 'column.unsupported',
    make: () => {
      const building = new Building()
      building.level('Base', 0)
      const [first, second] = [building.level('1', 3), building.level('2', 6)]
      const key = building.key(1000)
      const [lower, upper] = [building.layout('Lower', key, first), building.layout('Upper', key, second)]
      building.column(lower, [0, 0])
      building.column(upper, [3, 0])
      building.column(upper, [3, 4])
      building.beam(upper, [3, 0], [3, 4])
      // without this floor under them they would go on down to the base
      building.panel(lower, rectangle(2, 0, 4, 4), { spanAngle: 0 })
      building.panel(upper, rectangle(2, 0, 4, 4), { spanAngle: 0 })
      return building
    },
    says: /^C\d, C\d below level 2 are unsupported, so 8\.0 kN is not carried\./,
  },
  {
    code: 'column.on-several',
    make: () => {
      const { building, lower, upper } = twoFloors()
      crossing(building, lower)
      building.column(upper, [3, 3])
      return building
    },
    says: /^Column C5 is supported where B1, B2 of level 1 meet, and its load is shared equally among them\./,
  },
  {
    code: 'hanger.on-several',
    make: () => {
      const { building, lower, upper } = twoFloors()
      crossing(building, upper)
      building.member(lower, 'hanger', [[3, 3]])
      return building
    },
    says: /^Hanger B3 is supported where B1, B2 of level 2 meet, and its load is shared equally among them\./,
  },
  {
    code: 'load.on-several',
    make: () => {
      const { building, lower } = twoFloors()
      crossing(building, lower)
      building.pointLoad(lower, [3, 3], 5000)
      return building
    },
    says: /^F1 acts where B1, B2 of level 1 meet, and is shared equally among them\./,
  },
  {
    code: 'column.through-opening',
    make: () => {
      const { building, lower, upper } = twoFloors()
      for (const y of [0, 4]) {
        for (const x of [0, 6]) building.column(lower, [x, y])
        building.beam(lower, [0, y], [6, y])
      }
      building.panel(lower, rectangle(0, 0, 6, 4))
      building.opening(lower, rectangle(2, 1, 4, 3))
      building.column(upper, [3, 2], { label: 'C9' })
      return building
    },
    says: /^Column C\d from level 2 passes through opening V\d of level 1\./,
  },
  {
    code: 'panel.off-its-beams',
    make: () => {
      const { building, lower } = twoFloors()
      building.beam(lower, [0, 0], [6, 0])
      building.beam(lower, [6, 0], [6, 4])
      building.beam(lower, [6, 4], [0, 4])
      building.beam(lower, [0, 4], [0, 0.35])
      building.panel(lower, rectangle(0, 0, 6, 4), { edges: 'ring' })
      return building
    },
    says: /^Panel P\d follows its beams, but they do not enclose it, so it is unchanged\./,
    mends: ['Keep its edges as drawn'],
  },
  {
    code: 'hanger.unsupported',
    make: storeyWith(({ building, layout }) => {
      building.member(layout, 'hanger', [[3, 2]], { label: 'N1' })
      const [a, b] = [building.beam(layout, [0, 2], [3, 2]), building.beam(layout, [3, 2], [6, 2])]
      building.lineLoad(layout, [...a.path, ...b.path], 1000)
    }),
    says: /^N1 of level Top has no support above, so 15\.0 kN is not carried\./,
  },
  {
    code: 'hanger.ring',
    make: () => {
      const { building, lower, upper } = twoFloors()
      building.column(lower, [0, 0])
      building.lineLoad(lower, building.beam(lower, [0, 0], [6, 0]).path, 1000)
      building.member(lower, 'hanger', [[6, 0]], { label: 'N1' })
      for (const x of [0, 2]) building.column(upper, [x, 0])
      building.beam(upper, [0, 0], [6, 0])
      return building
    },
    says: /^N1 of level 1 is supported by the floor that it holds up, so 3\.0 kN is not carried\./,
  },
  {
    code: 'hanger.in-column',
    make: () => {
      const { building, lower, upper } = twoFloors()
      building.column(lower, [0, 0])
      building.beam(lower, [0, 0], [6, 0])
      building.member(lower, 'hanger', [[6, 0]], { label: 'N1' })
      for (const x of [0, 6]) building.column(upper, [x, 0], { label: `C${x}` })
      building.beam(upper, [0, 0], [6, 0])
      return building
    },
    says: /^Hanger N1 of level 1 and column C6 below level 2 are at the same position\./,
  },
  {
    code: 'level.pushed',
    make: storeyWith(({ building, layout }) => {
      building.member(layout, 'column', [
        [3, 2],
        [3, 4],
      ])
      building.column(layout, [0, 2])
      building.lineLoad(layout, building.beam(layout, [0, 2], [3, 2]).path, 1000)
    }),
    says: /^Level Top has a horizontal thrust of [\d.]+ kN in imposed, category B, from raking members, loads normal to a slope or pressure on walls, and no lateral elements; it is exported to the frame analysis\./,
  },
  {
    code: 'selfweight.twice',
    make: storeyWith(({ building, layout, key }) => {
      const buildUp = building.buildUp([
        { name: 'topping', thickness: 0.1, unitWeight: 24_000, load: null, source: '' },
      ])
      building.patch(layout, building.key(1000, { buildUp: buildUp.id }), rectangle(0, 0, 3, 4))
      const concrete = building.material({ name: 'Concrete', unitWeight: 24_000 })
      building.panel(layout, rectangle(0, 4, 3, 8), { slab: { thickness: 0.15, material: concrete.id } })
      building.patch(layout, building.key(1000, { buildUp: buildUp.id }), rectangle(0, 4, 3, 8))
      return key
    }),
    says: /^The slab of P2 \(150 mm\) is already counted in self-weight, and its build-up also contains topping, 100 mm\./,
    mends: ['Remove topping from the build-up'],
  },
  {
    code: 'selfweight.factor',
    make: storeyWith(({ building }) => {
      building.records.splice(0, 1, { ...building.basis, selfWeightFactor: 1.1 })
    }),
    says: /^Self-weight is multiplied by 1\.10 in all combinations and masses\./,
    mends: ['Count self-weight once'],
  },
  {
    code: 'key.no-use',
    make: storeyWith(({ building }) => building.key(2000, { use: null, name: 'Loft' })),
    says: /^Load key “Loft” has an imposed load but no use, so the load is in no load case and not applied\./,
  },
  {
    code: 'partitions.too-heavy',
    make: storeyWith(({ building }) => building.key(null, { partitionWeight: 3500, name: 'Flats' })),
    says: /^Partitions of 3\.50 kN\/m on “Flats” are heavier than a partition allowance covers\./,
  },
  {
    code: 'key.construction-above-final',
    make: storeyWith(({ building }) => {
      building.constructionStage(building.key(3000, { name: 'Hall' }), { personnel: 1250, storedMaterials: 2500 })
    }),
    says: /^“Hall” has an imposed load of 3\.75 kN\/m² during construction, more than the 3\.00 kN\/m² of the finished floor\./,
    mends: ['Set to 3.00 kN/m²'],
  },
  {
    code: 'load.no-use',
    make: storeyWith(({ building, layout }) =>
      building.pointLoad(layout, [3, 0], 5000, { nature: 'imposed', label: 'F7' }),
    ),
    says: /^Imposed load F7 has no use defined in the standard, so it is in no load case and not applied\./,
  },
  {
    code: 'load.not-carried',
    make: storeyWith(({ building, layout }) => building.pointLoad(layout, [20, 20], 5000, { label: 'F8' })),
    says: /^5\.0 kN of point load F8 on level Top is not carried\./,
  },
  {
    code: 'value.factor-of-ten',
    make: storeyWith(({ building, layout }) =>
      building.lineLoad(
        layout,
        [
          [0, 0],
          [6, 0],
        ],
        250_000,
      ),
    ),
    says: /^The line load of 250\.00 kN\/m is outside the usual range\./,
    mends: ['Set to 25.00 kN/m'],
  },
  {
    code: 'key.unknown-use',
    make: storeyWith(({ building }) => building.key(null, { use: 'Z9', name: 'Loft' })),
    says: /^Load key “Loft” has the use Z9, which EN, recommended values does not define, so its load is not applied\./,
  },
  {
    code: 'key.no-value',
    make: storeyWith(({ building }) => building.key(null, { use: 'E2', name: 'Mill' })),
    says: /^EN, recommended values gives no uniform load for E2 of load key “Mill”\. Enter the value\.$/,
  },
  {
    code: 'partitions.below-least',
    make: american((building) => building.key(null, { use: 'offices', partitionRule: 'typed', partitionLoad: 500 })),
    says: /^The partition allowance of 0\.50 kN\/m² on “key 1” is below the minimum of 0\.72 kN\/m² in the standard\./,
    mends: ['Use the standard’s minimum'],
  },
  {
    code: 'partitions.no-such-rule',
    make: american((building) => building.key(null, { use: 'offices', partitionWeight: 2000 })),
    says: /^“key 1” has a partition method that is not in ASCE 7-16, so no allowance is applied\./,
    mends: ['Use the standard’s minimum'],
  },
  {
    code: 'partitions.no-such-rule',
    make: storeyWith(({ building }) => building.key(null, { use: 'B', partitionRule: 'least', name: 'Desks' })),
    says: /^“Desks” has a partition method that is not in EN, recommended values, so no allowance is applied\./,
  },
  {
    code: 'wind.velocity-of-another-kind',
    make: () => {
      const siteData = {
        source: 'service',
        east: 0,
        north: 0,
        altitude: 0,
        windZone: '1',
        basicWindVelocity: 26,
        snowZone: '1',
        groundSnow: 600,
        sectors: [],
      }
      const { building, layout } = oneStorey(1000, { family: 'IS', basicWindVelocity: 26, siteData })
      bay({ building, layout } as never)
      return building
    },
    says: /^26\.0 m\/s is a 10-minute mean from the site service, but Indian Standards uses another velocity: 3-second gust at 10 m\./,
  },
  {
    code: 'wind.family-underived',
    make: american(() => undefined, 45),
    says: /^Wind loads are not derived to ASCE 7 in this version, so no case contains wind although a velocity is entered\./,
  },
  {
    code: 'layer.unknown-group',
    make: storeyWith(({ building }) =>
      building.layer({ uses: { bars: { name: 'bars', group: 'Q', sort: null, reducible: false, kept: null } } }),
    ),
    says: /^Value set “this project” puts use bars into group Q, which the standard does not have, so the use is omitted\./,
    mends: ['Remove it from the value set'],
  },
  {
    code: 'wall.no-height',
    make: storeyWith(({ building, layout }) =>
      building.wall(layout, line([0, 0], [6, 0]), { heightRule: 'lessBeam', height: null }),
    ),
    says: /^Wall run W1 on level Top has no storey above for its height\. Enter its height\.$/,
    mends: ['Set to 1.00 m high'],
  },
  {
    code: 'wall.no-beam-above',
    make: () => {
      const building = new Building()
      building.level('Base', 0)
      const layout = building.layout('Floor', null, building.level('1', 3), building.level('2', 6))
      building.wall(layout, line([0, 0], [6, 0]), { heightRule: 'lessBoth', height: null })
      return building
    },
    says: /^Wall run W1 on level 1 has no beam above, so no beam depth was deducted\. Check its height\.$/,
    mends: ['Deduct the slab only'],
  },
  {
    code: 'patch.on-nothing',
    make: storeyWith(({ building, layout, key }) => building.patch(layout, key, rectangle(20, 20, 22, 22))),
    says: /^Patch A1 is on no panel of its layout, so it applies no load\. Move it onto a panel\.$/,
    mends: ['Delete patch A1'],
  },
  {
    code: 'panel.unloaded',
    make: storeyWith(({ building, layout }) => {
      building.panel(layout, rectangle(0, 4, 6, 8))
      building.patch(layout, building.key(null, { use: null }), rectangle(0, 4, 6, 8))
    }),
    says: /^Panel P2 on level Top has no imposed \(live\) load, unlike another panel there\./,
  },
  {
    code: 'panel.unloaded',
    make: () => {
      const building = new Building()
      const [base, top, key] = [
        building.level('Base', 0),
        building.level('Top', 3),
        building.key(3000, { name: 'Office' }),
      ]
      const layout = building.layout('Floor', null, top)
      bay({ building, base, top, key, layout })
      building.panel(layout, rectangle(0, 4, 6, 8))
      building.patch(layout, key, rectangle(0, 0, 6, 4))
      return building
    },
    says: /^Panel P2 on level Top has no imposed \(live\) load, unlike another panel there\./,
    mends: ['Make “Office” the default of level Top'],
  },
  {
    code: 'panel.one-support',
    make: storeyWith(({ building, layout }) => building.panel(layout, rectangle(0, 4, 6, 8))),
    says: /^Part of panel P2 has only one support: it carries the full load with torsion, 96\.0 kNm on B2 in imposed, category B\./,
  },
  {
    code: 'load.one-support',
    make: storeyWith(({ building, layout }) => {
      building.panel(layout, rectangle(0, 4, 6, 5))
      building.wall(layout, line([0, 5], [6, 5]), { weight: 1000, height: 2, label: 'W7' })
    }),
    // hand: 2 kN/m · 6 m at 1 m
    says: /^Wall run W7 on level Top is on a part of a panel with only one support and applies a torsion of 12\.0 kNm to B2 in walls\./,
  },
  {
    code: 'panel.close-supports',
    make: storeyWith(({ building, layout }) => {
      building.column(layout, [0, 4.03])
      building.column(layout, [6, 4.03])
      building.beam(layout, [0, 4.03], [6, 4.03])
      building.panel(layout, rectangle(0, 4, 6, 5))
    }),
    says: /^Below panel P\d, B\d and B\d are closer than 50 mm and act as one support\./,
  },
  {
    code: 'panel.corners',
    make: storeyWith(({ building, layout }) => building.panel(layout, rectangle(0, 4, 6, 8), { sharing: 'corners' })),
    says: /^Panel P2 uses corner supports, but fewer than three corners are supported, or the supports are collinear\./,
  },
  {
    code: 'panel.plate',
    make: storeyWith(({ building, layout }) => building.panel(layout, rectangle(0, 4, 6, 8), { sharing: 'stiffness' })),
    says: /^Panel P2 is distributed as a plate but has no slab, so its stiffness is unknown\./,
  },
  {
    code: 'panel.plate',
    make: storeyWith(({ building, layout }) => {
      const slab = { thickness: 0.2, material: building.material({}).id }
      building.panel(layout, rectangle(0, 4, 6, 8), { sharing: 'stiffness', slab })
    }),
    says: /^Panel P2 is unstable as a plate on its beams and columns\./,
  },
  {
    code: 'panel.mesh',
    // stiff beams meet at a corner that turns in
    make: storeyWith(({ building, layout }) => {
      const section = building.sectionOf({ shape: 'rectangle', area: 0.18, depth: 0.6, width: 0.3 }).id
      const material = building.material({ name: 'concrete', elasticModulus: 33e9 }).id
      const outline: Ring = [
        [0, 8],
        [8, 8],
        [8, 12],
        [4, 12],
        [4, 16],
        [0, 16],
      ]
      outline.forEach((at, i) => {
        building.column(layout, at)
        building.beam(layout, at, outline[(i + 1) % 6] ?? at, { section, material })
      })
      building.panel(layout, outline, { sharing: 'stiffness', slab: { thickness: 0.2, material } })
    }),
    says: /^Panel P[\d.]+ as a plate: with [\d.]+ mm triangles a member force still differs by [\d.]+ % of the load from the value with twice the size\./,
  },
  {
    code: 'panel.plate',
    // columns 140 mm from the corners hold the plate as a clamp does, and no mesh is fine enough for that
    make: storeyWith(({ building, layout }) => {
      const slab = { thickness: 0.2, material: building.material({}).id }
      for (const x of [0, 0.1, 5.9, 6]) for (const y of [4.1, 8, 7.9]) building.column(layout, [x, y])
      building.panel(layout, rectangle(0, 4, 6, 8), { sharing: 'stiffness', slab })
    }),
    says: /^The plate forces of panel P[\d.]+ do not converge: with [\d.]+ mm triangles a member force still changes by [\d.]+ % of the load, so none is given\./,
  },
  {
    code: 'partitions.heavy-face',
    make: () => {
      const building = new Building({ family: 'IS' })
      const [, top] = [building.level('Base', 0), building.level('1', 2.4)]
      building.layout('Floor', building.key(null, { use: 'offices', partitionWeight: 3800 }), top)
      return building
    },
    says: /^Partitions of 3\.80 kN\/m on “key 1” weigh 1\.58 kN\/m² of wall area in a storey of 2\.40 m; a partition allowance is limited to 1\.50 kN\/m² \(IS 875-2 3\.1\.2\)\./,
  },
  {
    code: 'wind.without-terrain',
    make: () => {
      const building = new Building({ basicWindVelocity: 25, terrain: 'I', altitude: 900 })
      building.add(embedded('EN', germany, 'layer:germany00000'))
      return building
    },
    says: /^The peak velocity pressure is for mixed terrain inland \(DIN EN 1991-1-4\/NA, NA\.B\.3\.3\); terrain I and the altitude of 900\.00 m are not included\./,
  },
  {
    code: 'support.lifted',
    // a beam of 8 m on supports at 0 and 4 m, loaded beyond alone
    make: () => {
      const building = new Building({ family: 'ASCE', basicWindVelocity: null })
      const [, top] = [building.level('Base', 0), building.level('1', 3)]
      const layout = building.layout('Floor', building.key(null, { use: 'offices', imposed: 0 }), top)
      for (const x of [0, 4]) building.column(layout, [x, 0])
      const beam = building.beam(layout, [0, 0], [8, 0], { label: 'B1' })
      building.lineLoad(layout, beam.path, 1000)
      building.pointLoad(layout, [8, 0], 5000, { nature: 'imposed', use: 'offices' })
      return building
    },
    // hand: 5 kN at 8 m lift the end by 5 kN; dead load 1 kN/m turns about the inner support: nothing there; 0.9 · 0 - 1.6 · 5
    says: /^Live load causes uplift of 5\.0 kN at B1, position 0\.00 m, on level 1, against 0\.0 kN of dead load\./,
  },
  {
    code: 'wall.doubled',
    make: storeyWith(({ building, layout }) => {
      building.wall(
        layout,
        [
          [0, 0],
          [6, 0],
        ],
        { label: 'W1' },
      )
      building.wall(
        layout,
        [
          [4, 0.005],
          [4, 3],
        ],
        { label: 'W3' },
      )
      building.wall(
        layout,
        [
          [7, 0],
          [2, 0],
        ],
        { label: 'W2' },
      )
    }),
    says: /^Wall runs W\d and W\d overlap over 4\.00 m, so their weight counts twice there\./,
    mends: ['Delete wall run W1', 'Delete wall run W2'],
  },
  {
    code: 'load.doubled',
    make: storeyWith(({ building, layout }) => {
      building.areaLoad(layout, rectangle(1, 1, 3, 3), 1000, { label: 'U1' })
      building.areaLoad(layout, [...rectangle(1, 1, 3, 3)].reverse(), 1000, { label: 'U2' })
      // of another value, or elsewhere: meant
      building.areaLoad(layout, rectangle(1, 1, 3, 3), 1500)
      building.areaLoad(layout, rectangle(1, 1, 3, 3.5), 1000)
    }),
    says: /^Area loads U\d and U\d are identical and at the same position, so the load counts twice\./,
    mends: [/^Delete load U[12]$/],
  },
  {
    code: 'table.rows-out-of-order',
    make: () => {
      const building = new Building()
      building.reductionTable({
        rows: [
          { from: 0, factor: 1 },
          { from: 100, factor: 0.8 },
          { from: 50, factor: 0.7 },
        ],
      })
      return building
    },
    says: /^Row 3 of reduction table “own” starts at 50\.0 m², not above the 100\.0 m² of the row before\./,
    mends: ['Sort the rows'],
  },
  {
    code: 'table.factor-grows',
    make: () => {
      const building = new Building()
      building.reductionTable({
        form: 'floors',
        rows: [
          { from: 2, factor: 0.8 },
          { from: 4, factor: 0.9 },
        ],
      })
      return building
    },
    says: /^The factor of row 2 of reduction table “own” is 0\.9, more than the 0\.8 of the row before, although more is supported\./,
  },
  {
    code: 'table.row-leaps',
    make: () => {
      const building = new Building()
      building.reductionTable({
        rows: [
          { from: 50, factor: 1 },
          { from: 100, factor: 0.9 },
          { from: 1500, factor: 0.8 },
          { from: 2000, factor: 0.7 },
        ].slice(0, 3),
      })
      return building
    },
    says: /^Row 3 of reduction table “own” starts 1.400\.0 m² after the row before, while other rows are at most 50\.0 m² apart\./,
  },
  {
    code: 'key.same-hatch',
    make: () => {
      const building = new Building()
      building.key(3000, { name: 'Office', hatch: 'level', code: 'K1' })
      building.key(2000, { name: 'Corridor', hatch: 'level', code: 'K2' })
      building.key(1000, { name: 'Old' })
      building.key(1000, { name: 'Older' })
      return building
    },
    says: /^Load keys “(Office|Corridor)” and “(Office|Corridor)” have the same hatch, so they look alike on plans\./,
    mends: ['Assign a hatch of its own'],
  },
  {
    code: 'reduction.beside-psi',
    make: () => {
      const building = new Building({ reductions: 'everywhere' })
      const table = building.reductionTable()
      building.records.splice(0, 1, { ...building.basis, reductionTable: table.id })
      return building
    },
    says: /^Combinations use imposed load reduced by a project table also where ψ applies; ψ and a factor for storeys must not be combined \(EN 1991-1-1, 3\.3\.2\(2\)\)\./,
    mends: ['Reduce only where no ψ applies'],
  },
  {
    code: 'wind.roof-underived',
    make: windy(20, 12, 9),
    says: /^Wind on the roof is not derived in this version, so all wind cases are without roof suction and pressure\./,
  },
  {
    code: 'wind.structural-factor',
    make: windy(20, 12, 15),
    says: /^The building is 15\.00 m high, but c_s c_d = 1 is allowed below 15 m only \(EN 1991-1-4, 6\.2\(1\)\)\./,
  },
  {
    code: 'wind.too-high',
    make: windy(90, 90, 199, 2),
    says: /^The building is 201\.00 m high, above the 200\.00 m limit of the wind profile \(EN 1991-1-4, 4\.3\.2\(1\)\)\./,
  },
  {
    code: 'wind.too-slender',
    make: windy(20, 1.7, 9),
    says: /^h\/d = 5\.29 for wind from the south is above 5, the limit of EN 1991-1-4 table 7\.1, so this direction is not derived\./,
  },
  {
    code: 'load.not-carried',
    make: storeyWith(({ building, layout }) => building.panel(layout, rectangle(10, 0, 12, 4))),
    says: /^16\.0 kN of panel P2 on level Top is not carried\./,
  },
  {
    code: 'layer.unknown-key',
    make: storeyWith(({ building }) =>
      building.layer({ values: { 'wind.zeta': { value: 1, clause: 'x', fromMemory: false } } }),
    ),
    says: /^Value set “this project” has a value for wind\.zeta, which is unknown, so it is not used\./,
    mends: ['Remove it from the value set'],
  },
  {
    code: 'layer.outside-limits',
    make: storeyWith(({ building }) =>
      building.layer({ values: { 'basis.gamma_Q': { value: 15, clause: 'x', fromMemory: false } } }),
    ),
    says: /^Value set “this project” sets variable, unfavourable to 15\.00, outside 0\.00 to 2\.00, so it is not used\./,
    mends: ['Remove it from the value set'],
  },
  {
    code: 'layer.unusable-table',
    make: storeyWith(({ building }) =>
      building.layer({
        tables: {
          'imposed.partitions': {
            symbol: 'q',
            quantity: 'pressure',
            clause: 'x',
            fromMemory: false,
            axis: { symbol: 'g', quantity: 'lineLoad', at: [1], between: 'linear', below: 'refuse', above: 'refuse' },
            rows: {},
          },
        },
      }),
    ),
    says: /^Value set “this project” has a table imposed\.partitions that does not match the table it replaces, so it is not used\./,
    mends: ['Remove it from the value set'],
  },
  {
    code: 'layer.unknown-method',
    make: storeyWith(({ building }) => building.layer({ methods: { 'wind.peakPressure': 'guess' } })),
    says: /^Value set “this project” selects guess for wind\.peakPressure, which is not a known method, so it is not used\./,
    mends: ['Remove it from the value set'],
  },
]

const concernsIn = (document: Document) => concernsOf(deriveProject(new Memo(), document))

/** Apart from the weightless stuff that these buildings are made of, which is unusual indeed. */
const found = (building: Building, concerns = concernsIn(building.document)) =>
  concerns.filter(({ code, about }) => code !== 'value.unusual' || about[0] !== building.weightless.id)

/** What a trigger makes, with its concerns: several tests ask for it, and it is derived once. */
const made = new Map<Trigger['make'], { readonly building: Building; readonly concerns: readonly Concern[] }>()
function madeBy({ make }: Trigger) {
  const known = made.get(make)
  if (known) return known
  const building = make()
  const fresh = { building, concerns: concernsIn(building.document) }
  made.set(make, fresh)
  return fresh
}

describe('every concern is raised by its mistake, and says what to do', () => {
  test.each(triggers.map((trigger) => [trigger.code, trigger] as const))('%s', (code, trigger) => {
    const { says } = trigger
    const { building, concerns } = madeBy(trigger)
    const matching = found(building, concerns).filter((concern) => concern.code === code)
    expect(matching.map((concern) => concernSentence(concern, metricPoint))).toContainEqual(expect.stringMatching(says))
    // it holds what its definition says, so that no sentence has a hole
    const { data: fields = {}, optional = [] } = definitions[code] ?? {}
    for (const { data } of matching) {
      expect(Object.keys(fields)).toEqual(expect.arrayContaining(Object.keys(data)))
      expect(Object.keys(fields).filter((field) => !(field in data) && !optional.includes(field))).toEqual([])
    }
    // it points at records that are there, so that the screen can show them
    for (const { about } of matching)
      for (const id of about) expect(building.document.records.has(id.split('@')[0] ?? '')).toBe(true)
  })

  test.each(triggers.map((trigger) => [trigger.code, trigger] as const))(
    '%s: each mend takes it away and blocks nothing',
    (code, trigger) => {
      const { says, mends = [] } = trigger
      const { building, concerns } = madeBy(trigger)
      const { document } = building
      const said = (concern: Concern) => concern.code === code && says.test(concernSentence(concern, metricPoint))
      const concern = concerns.find(said)
      if (!concern) throw new Error('no concern')
      const offered = mendsOf(document, concern, metricPoint, seededRandom(5))
      expect(offered.map(({ words }) => words).sort()).toEqual(
        mends.map((words) => (typeof words === 'string' ? words : expect.stringMatching(words))),
      )
      const blocking = (all: readonly Concern[]) => all.filter((one) => severityOf(one) === 'blocking').length
      for (const { words, edits } of offered) {
        const applied = applyChange(document, { id: 'mend', seen: 0, note: words, edits })
        if (!applied.ok) throw new Error(JSON.stringify(applied))
        const after = concernsIn(applied.document)
        expect(after.filter(said)).toEqual([])
        expect(blocking(after)).toBeLessThanOrEqual(blocking(concerns))
      }
    },
  )

  /** The step whose sheet edits a kind of record; the basis is edited in several. */
  const stepsOf: Readonly<Record<string, readonly StepOfWork[]>> = {
    basis: ['basis', 'actions', 'paths', 'combinations'],
    layer: ['basis'],
    layout: ['building', 'actions'],
    reductionTable: ['combinations'],
    ...Object.fromEntries(
      [
        'loadKey',
        'buildUp',
        'patch',
        'wallRun',
        'lineLoad',
        'pointLoad',
        'areaLoad',
        'barrier',
        'stair',
        'storeyForces',
        'part',
      ].map((kind) => [kind, ['actions']]),
    ),
    ...Object.fromEntries(
      ['level', 'member', 'panel', 'opening', 'slope', 'strut', 'stiffElement', 'section', 'material'].map((kind) => [
        kind,
        ['building'],
      ]),
    ),
  }

  test.each(triggers.map((trigger) => [trigger.code, trigger] as const))(
    '%s: it is shown at the step where its record is edited',
    (code, trigger) => {
      const { building, concerns } = madeBy(trigger)
      const concern = concerns.find((one) => one.code === code && trigger.says.test(concernSentence(one, metricPoint)))
      if (!concern) throw new Error('no concern')
      const changed = mendsOf(building.document, concern, metricPoint, seededRandom(5)).flatMap(({ edits }) =>
        edits.map(({ id }) => id.slice(0, id.indexOf(':'))),
      )
      for (const kind of changed)
        if (stepsOf[kind])
          expect([kind, stepsOf[kind]]).toEqual([kind, expect.arrayContaining([stepOfConcern(concern)])])
    },
  )

  test('a mend of one value leaves what was typed for others, and nothing typed for itself', () => {
    const building = new Building()
    const { weight, height } = { weight: '50 kN/m²', height: '3 m' }
    const layout = building.layout('Floor')
    const run = building.wall(layout, line([0, 0], [6, 0]), { weight: 50_000, height: 3, typed: { weight, height } })
    const [concern] = found(building).filter(({ about }) => about[0] === run.id)
    if (!concern) throw new Error('no concern')
    const [mend] = mendsOf(building.document, concern, metricPoint, seededRandom(5))
    expect(mend?.edits).toEqual([{ id: run.id, before: run, after: { ...run, weight: 5000, typed: { height } } }])
  })

  test('a mend of a record that is gone is not offered', () => {
    const about = ['wallRun:gone00000000', 'panel:gone00000000']
    for (const { code } of triggers)
      expect(
        mendsOf(new Building().document, { code, about, data: {} } as Concern, metricPoint, seededRandom(5)),
      ).toEqual([])
  })

  test('joints that are sound: a column where beams cross, beams end to end, a beam on another, a tip in the air', () => {
    const joints = (change: (storey: ReturnType<typeof oneStorey>) => void) =>
      found(storeyWith(change)()).filter(({ code }) => /near-miss|crossing|doubled/.test(code))
    const sound: readonly ((storey: ReturnType<typeof oneStorey>) => void)[] = [
      ({ building, layout }) => {
        building.column(layout, [3, 2])
        building.beam(layout, [0, 2], [6, 2])
        building.beam(layout, [3, 0], [3, 4])
      },
      ({ building, layout }) => building.beam(layout, [6, 0], [12, 0]),
      ({ building, layout }) => building.beam(layout, [1, 0], [4, 4]),
      ({ building, layout }) => building.beam(layout, [3, 4], [3, 5.5], { startRelease: 'fixed' }),
      // 120 mm away is a gap that is meant
      ({ building, layout }) => building.beam(layout, [0.12, 8], [0.12, 4.12]),
    ]
    for (const change of sound) expect(joints(change)).toEqual([])
  })

  // law: two beams cross whatever the way they are drawn and however the building is turned
  test('a crossing is found in every direction, once', () => {
    holds(
      fc.property(
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: 0.2, max: Math.PI - 0.2, noNaN: true }),
        fc.boolean(),
        fc.boolean(),
        (angle, between, first, second) => {
          const { building, layout } = oneStorey()
          const draw = (direction: number, back: boolean) => {
            const [x, y] = [3 * Math.cos(direction), 3 * Math.sin(direction)]
            const [a, b]: readonly [Point, Point] = [
              [-x, -y],
              [x, y],
            ]
            building.beam(layout, back ? b : a, back ? a : b)
          }
          draw(angle, first)
          draw(angle + between, second)
          expect(found(building).filter(({ code }) => code === 'member.crossing')).toHaveLength(1)
        },
      ),
    )
  })

  test('a sound building raises none', () => {
    expect(found(storeyWith(() => undefined)())).toEqual([])
  })

  test('the blocking ones come first', () => {
    const ranks = found(
      storeyWith(({ building, layout }) => {
        building.beam(layout, [1, 1], [5, 1], { label: 'B1' })
        building.panel(layout, rectangle(10, 0, 12, 4))
      })(),
    ).map((concern) => ['blocking', 'caution', 'note'].indexOf(severityOf(concern)))
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
    expect(new Set(ranks).size).toBeGreaterThan(1)
  })
})

test('docs/reference/concerns.md lists every concern with its step, an example and its remedies', () => {
  const steps = stepsOfWork
  const seen = new Set<string>()
  const rows = triggers.flatMap((trigger) => {
    const { building, concerns } = madeBy(trigger)
    const concern = [...concerns, ...found(building, concerns)].find(
      (one) => one.code === trigger.code && trigger.says.test(concernSentence(one, metricPoint)),
    )
    if (!concern || seen.has(trigger.code)) return []
    seen.add(trigger.code)
    const at = stepOfConcern(concern)
    const mends = mendsOf(building.document, concern, metricPoint, seededRandom(5)).map(({ words }) => words)
    return [
      { at, row: [trigger.code, severityOf(concern), concernSentence(concern, metricPoint), mends.sort().join('; ')] },
    ]
  })
  const parts = steps.flatMap((wanted) => {
    const own = rows.filter(({ at }) => at === wanted).map(({ row }) => row)
    if (own.length === 0) return []
    const title = `${wanted.charAt(0).toUpperCase()}${wanted.slice(1)}`
    const sorted = own.sort(([a = ''], [b = '']) => (a < b ? -1 : 1))
    return [`## ${title}`, markdownTable(['code', 'severity', 'example', 'remedies offered'], sorted)]
  })
  expectPage(
    'concerns',
    `${['# Concerns', 'Written from the code (`HEDRION_WRITE=1 npm run unit -- concerns`). By the step where each is corrected. A blocking concern keeps a load or a result from being complete; a caution asks for a check.', ...parts].join('\n\n')}\n`,
  )
})

describe('wording', () => {
  test('tables speak when they are asked outside their range', () => {
    const table = {
      symbol: 'c',
      quantity: 'factor',
      clause: 'table 7.1',
      axis: { symbol: 'x', quantity: 'factor', at: [1, 2], between: 'linear', below: 'refuse', above: 'refuse' },
      rows: { a: [1, 2] },
    } as const
    const say = (row: string, x: number) => {
      const read = readTable(table, row, given('h/d', 'factor', x, 'here'))
      return read.ok ? '' : concernSentence(read.concerns[0], metricPoint)
    }
    expect(say('a', 3)).toBe('h/d = 3 is outside the range 1 to 2 of table 7.1. Check the input.')
    expect(say('b', 1)).toBe('table 7.1 has no row b. Select another row.')
  })

  test('every code that is worded is raised here or by a table, and no other', () => {
    const raised = new Set([...triggers.map(({ code }) => code), 'table.outside-range', 'table.unknown-row'])
    expect([...raised].sort()).toEqual(Object.keys(definitions).sort())
  })

  test('two dozen rafters that end at one post are no crowd', () => {
    const { building, layout } = oneStorey()
    building.column(layout, [0, 0])
    for (let i = 0; i < 24; i++) {
      const eaves = [8 * Math.cos((Math.PI * i) / 12), 8 * Math.sin((Math.PI * i) / 12)] as const
      building.column(layout, eaves)
      building.beam(layout, [0, 0], eaves)
    }
    expect(found(building).filter(({ code }) => code.startsWith('member.'))).toEqual([])
  })

  test('of a kind with many the first fifty are listed, the last of them with the number of the others', () => {
    const { building, layout } = oneStorey()
    for (let i = 0; i < 60; i++) building.beam(layout, [i, 0], [i, 0])
    const concerns = found(building).filter(({ code }) => code === 'member.no-length')
    expect([concerns.length, countOf(concerns)]).toEqual([50, 60])
    expect(concerns.flatMap(({ more }) => more ?? [])).toEqual([10])
    const last = concerns.find(({ more }) => more !== undefined)
    expect(last && concernSentence(last, metricPoint)).toMatch(/delete it\. There are 10 more of this kind\.$/)
  })

  test('figures are in the units of the project', () => {
    const [concern] = found(storeyWith(() => undefined, 40_000)())
    if (!concern) throw new Error('no concern')
    expect(concernSentence(concern, { system: 'us', decimal: 'point' })).toMatch(/835\.4 psf .* 83\.5 psf is meant/)
  })

  test('a code without wording is a mistake of ours', () => {
    expect(() => concernSentence({ code: 'a.b', about: [], data: {} }, metricPoint)).toThrow(/No definition/)
  })
})
