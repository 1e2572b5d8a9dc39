import { columnsOf } from '../derivation/cells'
import Ajv from 'ajv/dist/2020'
import { isHorizontal } from '../actions/cases'
import { bay, Building, oneStorey } from '../../test/build'
import { demoDocument } from '../../test/demo'
import { randomBuilding } from '../../test/randomBuilding'
import { balanceOf } from '../derivation/balance'
import { Memo } from '../derivation/memo'
import { deriveProject } from '../derivation/project'
import { csvFiles } from './csv'
import {
  caseRows,
  combinationRows,
  envelopeRows,
  memberLoadRows,
  memberLoadSums,
  resultsJson,
  resultStages,
  storeyRows,
} from './results'
import { resultsSchema } from './resultsSchema'

const stateOf = (document = demoDocument()) => deriveProject(new Memo(), document)
const demo = stateOf()

/** A reader of RFC 4180 for the test: quotes doubled, CRLF between rows. */
function readCsv(text: string): readonly (readonly string[])[] {
  const rows: string[][] = [[]]
  let [cell, quoted] = ['', false]
  for (let i = 0; i < text.length; i++) {
    const letter = text.charAt(i)
    if (quoted && letter === '"' && text.charAt(i + 1) === '"') {
      cell += letter
      i++
    } else if (letter === '"') quoted = !quoted
    else if (!quoted && letter === ',') {
      rows.at(-1)?.push(cell)
      cell = ''
    } else if (!quoted && letter === '\r' && text.charAt(i + 1) === '\n') {
      rows.at(-1)?.push(cell)
      rows.push([])
      cell = ''
      i++
    } else cell += letter
  }
  expect(quoted).toBe(false)
  return rows.slice(0, -1)
}
const fileOf = (state: typeof demo, stage: (typeof resultStages)[number]) => {
  const [file] = csvFiles(state, stage)
  if (!file) throw new Error(stage)
  return readCsv(file.text)
}

describe('results as JSON', () => {
  const validate = new Ajv({ strict: true, allowUnionTypes: true }).compile(resultsSchema)

  test('hold to their schema: the demo, odd buildings, one stage alone, an empty project', () => {
    const states = [demo, ...[1, 2, 3, 4].map((seed) => stateOf(randomBuilding(seed))), new Building().state()]
    for (const state of states) {
      expect(validate(JSON.parse(JSON.stringify(resultsJson(state, null)))) || validate.errors).toBe(true)
      for (const stage of resultStages) {
        const part = resultsJson(state, stage)
        expect(validate(JSON.parse(JSON.stringify(part))) || validate.errors).toBe(true)
        expect(Object.keys(part).filter((key) => (resultStages as readonly string[]).includes(key))).toEqual([stage])
      }
    }
  })

  test('name units, axes, standard, and no number that is not finite', () => {
    const json = resultsJson(demo, null)
    expect(json).toMatchObject({
      format: 'hedrion-results',
      version: 3,
      project: 'Marrowfield Library & Workshop',
      units: { force: 'N', length: 'm', lineLoad: 'N/m' },
      standard: ['EN, recommended values'],
    })
    expect(JSON.stringify(json)).not.toMatch(/null,null|NaN|Infinity/)
  })

  test('cases carry their balance; what is horizontal is handed on', () => {
    for (const row of caseRows(demo)) {
      const { caseId, handedOn, ...balance } = balanceOf(demo, row.id)
      expect(caseId).toBe(row.id)
      expect(row).toMatchObject(balance)
      expect(row.notInReactions).toBe(handedOn !== null)
      expect(row.notInReactions).toBe(isHorizontal(row.id))
    }
  })

  test('member loads: from before to, points where both are one, and their sum is on members', () => {
    for (const { from, to, q1 } of memberLoadRows(demo)) {
      expect(to).toBeGreaterThanOrEqual(from)
      if (to === from) expect(q1).toBe(0)
    }
    const sums = memberLoadSums(demo)
    for (const id of demo.caseIds.filter((id) => !isHorizontal(id)))
      expect(Math.abs((sums[id] ?? NaN) - balanceOf(demo, id).onMembers)).toBeLessThan(1e-3)
  })

  test('the own weight of a column is a line load along it, as long as its storey', () => {
    const storey = oneStorey()
    storey.building.column(storey.layout, [0, 0], { material: storey.building.material().id })
    expect(memberLoadRows(storey.building.state())).toEqual([
      expect.objectContaining({
        case: 'permanent/self-weight',
        from: 0,
        to: 3,
        q0: expect.closeTo(785, 9),
        q1: expect.closeTo(785, 9),
      }),
    ])
  })

  test('storey forces add up to what the balance hands on', () => {
    for (const id of demo.caseIds.filter((id) => id.startsWith('wind/'))) {
      const rows = storeyRows(demo).filter((row) => row.case === id)
      expect(Math.abs(rows.reduce((sum, { fx, fy }) => sum + fx + fy, 0))).toBeCloseTo(balanceOf(demo, id).applied, 6)
    }
  })

  test('each combination names its factors by case; the count is of all', () => {
    for (const { count, list, rule } of combinationRows(demo)) {
      expect(String(list.length)).toBe(count)
      expect(new Set(list.map(({ name }) => name)).size).toBe(list.length)
      for (const { factors } of list) for (const id of Object.keys(factors)) expect(demo.caseIds).toContain(id)
      if (rule === 'strength') expect(list[0]?.factors['permanent/walls']).toBeCloseTo(1.35, 9)
    }
  })

  test('envelopes: most is never below least, and equals brute force over the written combinations', () => {
    const rows = envelopeRows(demo)
    const reactions = demo.floors[0]?.operator.plan.frame.columns.length ?? 0
    expect(rows.filter(({ rule, effect }) => rule === 'strength' && effect === 'reaction')).toHaveLength(reactions)
    for (const { max, min } of rows) expect(max).toBeGreaterThanOrEqual(min - 1e-9)
    const combinations = combinationRows(demo)
    const floor = demo.floors[0]
    if (!floor) throw new Error('no floor')
    for (const { rule, effect, id: at, max, min } of rows.filter(({ effect: kind }) => kind === 'reaction')) {
      expect(effect).toBe('reaction')
      const row = floor.operator.plan.frame.columns.findIndex(({ member }) => at.startsWith(member.id))
      const values = (combinations.find((entry) => entry.rule === rule)?.list ?? []).map(({ factors }) =>
        Object.entries(factors).reduce((sum, [id, factor]) => {
          const column = demo.caseIds.indexOf(id)
          return sum + factor * (floor.rundown.feet[row * columnsOf(demo.caseIds).count + column] ?? NaN)
        }, 0),
      )
      expect(Math.max(...values)).toBeCloseTo(max, 3)
      expect(Math.min(...values)).toBeCloseTo(min, 3)
    }
  })
})

describe('results as CSV', () => {
  test('one file per stage, every row as long as its heading, units in the headings', () => {
    expect(csvFiles(demo, null).map(({ name }) => name)).toEqual(resultStages.map((stage) => `${stage}.csv`))
    for (const stage of resultStages) {
      const [heading = [], ...rows] = fileOf(demo, stage)
      // nothing of the demo rakes or has one support only, and it goes by the recommended values
      expect(rows.length > 0).toBe(!['thrusts', 'memberTorsion', 'overriddenValues'].includes(stage))
      for (const row of rows) expect(row).toHaveLength(heading.length)
    }
    expect(fileOf(demo, 'storeyForces')[0]).toEqual([
      'load case',
      'id',
      'label',
      'level',
      'Fx [kN]',
      'Fy [kN]',
      'x [m]',
      'y [m]',
      'z [m]',
    ])
    expect(fileOf(demo, 'combinations')[0]?.slice(3)).toEqual(demo.caseIds.map((id) => `factor on ${id} [-]`))
  })

  test('the numbers are those of the JSON, in kN', () => {
    const [heading = [], ...rows] = fileOf(demo, 'cases')
    const applied = heading.indexOf('applied [kN]')
    caseRows(demo).forEach((row, i) => expect(Number(rows[i]?.[applied])).toBeCloseTo(row.applied / 1000, 6))
    const loads = memberLoadRows(demo)
    const csv = fileOf(demo, 'memberLoads').slice(1)
    expect(csv).toHaveLength(loads.length)
    // lines in kN/m, forces in kN: one unit a column
    csv.forEach((row, i) => {
      const { from = 0, to = 0, q0 = NaN } = loads[i] ?? {}
      const [own, other] = to > from ? [row[6], row[8]] : [row[8], row[6]]
      expect(Number(own)).toBeCloseTo(q0 / 1000, 6)
      expect(other).toBe('')
    })
  })

  test('a text that a spreadsheet would take for a formula is defused, and commas and quotes survive (OWASP, CSV injection)', () => {
    const storey = oneStorey()
    const { south, north, west, east } = bay(storey)
    const names = ['=HYPERLINK("http://x";"a")', '+1,5+2', '-2 "quoted"', '@sum\nA1']
    const { building } = storey
    ;[south, north, west, east].forEach((beam, i) => {
      building.records.splice(building.records.indexOf(beam), 1, { ...beam, label: names[i] ?? '' })
    })
    const labels = new Set(fileOf(building.state(), 'envelopes').map((row) => row[3]))
    for (const name of names) {
      expect(labels).toContain(`'${name}`)
      expect(labels).not.toContain(name)
    }
  })

  test('negative numbers stay numbers', () => {
    const west = fileOf(demo, 'storeyForces').filter(([id]) => id === 'wind/east')
    expect(west.every(([, , , , fx]) => Number(fx) < 0)).toBe(true)
  })
})
