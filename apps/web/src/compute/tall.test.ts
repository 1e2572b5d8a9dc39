import {
  applyChange,
  bayGrid,
  documentOf,
  ownLayoutEdits,
  readOpeningSentence,
  recordsOf,
  type Document,
  type Edit,
  type Query,
  type WallRun,
} from '@hedrion/core'
import { Answers } from './answers'
import { Calculator } from './calculator'
import { FakeThread } from './fakeThread'

// Forty storeys of more than 500 members in six typical ranges: what an edit of one wall run costs, counted. Milliseconds are printed.

const storeys = 40

function applied(document: Document, edits: readonly Edit[]): Document {
  const change = applyChange(document, { id: '00000000-0000-4000-8000-000000000000', seen: 0, note: '', edits })
  if (!change.ok) throw new Error(JSON.stringify(change))
  return change.document
}

function tower(): Document {
  const read = readOpeningSentence(
    `12 x 7.2 m by 10 x 6 m, ${storeys} storeys of 3.50 m, steel beams every 3 m, 150 mm concrete, offices`,
  )
  if (!read.ok) throw new Error(read.problem)
  let document = documentOf(bayGrid(read.brief, 'Tower', Math.random))
  for (const name of ['8', '15', '22', '29', '36']) {
    const level = recordsOf(document, 'level').find((entry) => entry.name === name)
    if (!level) throw new Error(name)
    document = applied(document, ownLayoutEdits(document, level, 'up', Math.random))
  }
  const runs = recordsOf(document, 'layout').map((layout, i): WallRun => ({
    kind: 'wallRun',
    id: `wallRun:${'abcdefghijklmnop'.slice(0, 15)}${i}`,
    layout: layout.id,
    label: 'W1',
    path: [
      [0, 0],
      [86.4, 0],
      [86.4, 60],
      [0, 60],
    ],
    closed: true,
    weight: 2500,
    buildUp: null,
    heightRule: 'typed',
    height: 3,
    openingShare: 0,
    openingSizes: [],
  }))
  return applied(
    document,
    runs.map((after) => ({ id: after.id, before: null, after })),
  )
}

/** For whoever reads the log: time is printed and not tested. */
const say = (text: string): void => void process.stdout.write(`${text}\n`)

const bytesOf = (value: unknown): number => JSON.stringify(value).length

describe('a tower of forty storeys', () => {
  const document = tower()
  const layoutAt = (name: string) => {
    const level = recordsOf(document, 'level').find((entry) => entry.name === name)
    const levels = [...recordsOf(document, 'level')].sort((a, b) => a.elevation - b.elevation)
    const index = (id: string) => levels.findIndex((entry) => entry.id === id)
    const range = recordsOf(document, 'levelRange').find(
      ({ from, to }) => index(from) <= index(level?.id ?? '') && index(level?.id ?? '') <= index(to),
    )
    return { level: level?.id ?? '', layout: range?.layout }
  }
  // the second range, levels 8 to 14
  const { level, layout } = layoutAt('10')
  const run = recordsOf(document, 'wallRun').find((entry) => entry.layout === layout)
  if (!run) throw new Error('no run')

  /** What the actions step looks at while a wall case is in view. */
  const looked: readonly Query[] = [
    { kind: 'overview' },
    { kind: 'floor', levelId: level, caseId: 'permanent/walls' },
    { kind: 'walls', levelId: level },
    { kind: 'balance', caseId: 'permanent/walls' },
    { kind: 'keys' },
    { kind: 'keySums' },
    { kind: 'keySlabs' },
  ]

  async function edited() {
    const threads: FakeThread[] = []
    const calculator = new Calculator(() => {
      const thread = new FakeThread()
      threads.push(thread)
      return thread
    }, document)
    const answers = new Answers(calculator)
    for (const query of looked) answers.follow(query, () => undefined)
    const [thread] = threads
    if (!thread) throw new Error('no thread')
    const settle = () => new Promise((resolve) => setTimeout(resolve, 0))
    const start = performance.now()
    thread.work()
    await settle()
    const opened = performance.now() - start
    thread.memo.resetCounts()
    const [received, sent] = [thread.received.length, thread.sent.length]
    const edits: readonly Edit[] = [
      { id: run?.id ?? '', before: run ?? null, after: { ...run, weight: 3000 } as WallRun },
    ]
    const again = performance.now()
    calculator.update(applied(document, edits))
    answers.refresh()
    thread.work()
    await settle()
    return {
      opened,
      answered: performance.now() - again,
      stages: { ...thread.memo.computed },
      toWorker: thread.received.slice(received),
      fromWorker: thread.sent.slice(sent),
    }
  }

  test('has more than 500 members a storey, 20 000 in all', () => {
    const perLayout = recordsOf(document, 'member').filter((member) => member.layout === layout).length
    expect(perLayout).toBeGreaterThan(500)
    expect(perLayout * storeys).toBeGreaterThan(20_000)
  })

  test('an edit of one wall run computes its range again and adds up what is below it, and shares nothing', async () => {
    const { stages, opened, answered } = await edited()
    say(`tower: first answers ${opened.toFixed(0)} ms, after an edit ${answered.toFixed(0)} ms`)
    // seven floors of the range and the seven below them are added up again; six of the seven have walls under the same ceiling
    expect(stages).toEqual({ wallLoads: 2, intensity: 2, worked: 2, rundown: 14 })
  })

  test('one record goes to the worker, and what comes back is of the level in view, not of the tower', async () => {
    const { toWorker, fromWorker } = await edited()
    const changes = toWorker.filter(({ kind }) => kind === 'apply')
    expect(changes).toHaveLength(1)
    expect(bytesOf(toWorker)).toBeLessThan(4000)
    // load keys, their sums and the slabs under them are the same as before
    expect(fromWorker.filter(({ kind }) => kind === 'same').length).toBe(3)
    const back = bytesOf(fromWorker)
    say(`tower: ${bytesOf(toWorker)} bytes to the worker, ${back} back, of ${bytesOf([...document.records.values()])}`)
    expect(back).toBeLessThan(20_000)
  })
})
