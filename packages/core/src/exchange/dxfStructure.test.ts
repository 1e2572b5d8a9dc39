import { Worker } from 'node:worker_threads'
import { readDxf } from './dxfPlan'
import { withPlainCorners } from './dxfGroups'
import { dxfDamage } from './dxfStructure'

/** A drawing with all parts that must be closed (DXF reference, ASCII format): tables, a block, an old-style polyline, attributes. */
const pairs: readonly (readonly [number, string | number])[] = [
  [0, 'SECTION'],
  [2, 'TABLES'],
  [0, 'TABLE'],
  [2, 'LAYER'],
  [70, 1],
  [0, 'LAYER'],
  [2, 'STEEL'],
  [62, 7],
  [0, 'ENDTAB'],
  [0, 'TABLE'],
  [2, 'LTYPE'],
  [70, 1],
  [0, 'LTYPE'],
  [2, 'DASHED'],
  [0, 'ENDTAB'],
  [0, 'ENDSEC'],
  [0, 'SECTION'],
  [2, 'BLOCKS'],
  [0, 'BLOCK'],
  [2, 'COL'],
  [10, 0],
  [20, 0],
  [0, 'LINE'],
  [8, '0'],
  [10, 0],
  [20, 0],
  [11, 1],
  [21, 0],
  [0, 'ENDBLK'],
  [0, 'ENDSEC'],
  [0, 'SECTION'],
  [2, 'ENTITIES'],
  [0, 'POLYLINE'],
  [8, 'STEEL'],
  [70, 1],
  [0, 'VERTEX'],
  [10, 0],
  [20, 0],
  [0, 'VERTEX'],
  [10, 6],
  [20, 0],
  [0, 'VERTEX'],
  [10, 6],
  [20, 4],
  [0, 'SEQEND'],
  [0, 'INSERT'],
  [8, 'COLS'],
  [2, 'COL'],
  [66, 1],
  [10, 3],
  [20, 2],
  [0, 'ATTRIB'],
  [1, 'C1'],
  [0, 'SEQEND'],
  [0, 'ENDSEC'],
  [0, 'EOF'],
]
const textOf = (groups: readonly (readonly [number | string, string | number])[]): string =>
  groups.map(([code, value]) => `${String(code).padStart(3)}\n${value}\n`).join('')
const lines = textOf(pairs).trimEnd().split('\n')

/** Each pair and each line gone or twice, each two neighbours the other way round, the end cut off at every place. */
const damaged = [
  ...pairs.flatMap((pair, i) => [
    textOf(pairs.toSpliced(i, 1)),
    textOf(pairs.toSpliced(i, 0, pair)),
    textOf(pairs.toSpliced(i, 2, ...pairs.slice(i, i + 2).reverse())),
    textOf([...pairs.slice(0, i), [0, 'ENDSEC'], [0, 'EOF']]),
    textOf([...pairs.slice(0, i), [0, 'EOF']]),
    textOf(pairs.toSpliced(i, 1, [pair[0], 'constructor'])),
    textOf([...pairs.slice(0, i), ['x', pair[1]], ...pairs.slice(i + 1)]),
  ]),
  ...lines.flatMap((line, i) => [
    `${lines.toSpliced(i, 1).join('\n')}\n`,
    `${lines.toSpliced(i, 0, line).join('\n')}\n`,
  ]),
]

test('the drawing itself is whole and read, whatever ends its lines', () => {
  for (const end of ['\n', '\r\n', '\r']) {
    const read = readDxf(textOf(pairs).replace(/\n/g, end))
    expect(read.ok && read.plan.layers.map(({ name, rings, points }) => [name, rings.length, points.length])).toEqual([
      ['COLS', 0, 1],
      ['STEEL', 1, 0],
    ])
  }
})

test.each([
  ['a polyline without its end', textOf(pairs.filter((_, i) => i !== 44)), /polyline starting in line 65 has no end/],
  ['a section without its end', textOf(pairs.filter((_, i) => i !== 15)), /section starting in line 1 has no end/],
  ['tables that were cut off', textOf([...pairs.slice(0, 7), [0, 'EOF']]), /table starting in line 5 has no end/],
  ['a block without its end', textOf(pairs.filter((_, i) => i !== 28)), /block starting in line 37 has no end/],
  ['an end of nothing', textOf([[0, 'ENDSEC'], ...pairs]), /unexpected end in line 1/],
  ['no end of the file', textOf(pairs.slice(0, -1)), /truncated/],
])('%s is said with its line', (_, text, problem) => {
  expect(dxfDamage(text)).toMatch(problem)
})

/** The parser by itself in a thread, which says how far it has come. */
const parseAll = (texts: readonly string[]): Promise<number> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(
      `const { parentPort, workerData } = require('node:worker_threads')
       const { default: Parser } = require('dxf-parser')
       console.log = console.error = console.warn = () => undefined
       for (const [i, text] of workerData.entries()) {
         parentPort.postMessage(i)
         try { new Parser().parseSync(text) } catch { /* it says so, and ends */ }
       }
       parentPort.postMessage(workerData.length)`,
      { eval: true, workerData: texts },
    )
    let at = 0
    let timer: NodeJS.Timeout
    const wait = () => {
      timer = setTimeout(() => void worker.terminate().then(() => resolve(at)), 10_000)
    }
    wait()
    worker.on('message', (index: number) => {
      at = index
      clearTimeout(timer)
      if (at === texts.length) resolve(at)
      else wait()
    })
    worker.on('error', reject)
  })

test('the parser comes to an end with every drawing that passes, however it was damaged', async () => {
  const passing = damaged.filter((text) => dxfDamage(text) === null).map(withPlainCorners)
  expect(passing.length).toBeGreaterThan(100)
  expect(passing[await parseAll(passing)]).toBeUndefined()
})

test('identifiers between the corners of a polyline (91: DXF reference, LWPOLYLINE) lose none of them, nor does a wrong number of them', () => {
  const corner = (x: number, y: number, i: number) =>
    [
      [10, x],
      [20, y],
      [91, i],
    ] as const
  const text = textOf([
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    [0, 'LWPOLYLINE'],
    [8, 'A'],
    [90, '9'.repeat(400)],
    [70, 1],
    ...corner(0, 0, 1),
    ...corner(6, 0, 2),
    ...corner(6, 4, 3),
    [210, 0],
    [220, 0],
    [230, 1],
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ])
  const read = readDxf(text)
  expect(read.ok && read.plan.layers[0]?.rings).toEqual([
    [
      [0, 0],
      [6, 0],
      [6, 4],
    ],
  ])
  // a corner without its second number is not waited for
  expect(readDxf(text.replace(' 20\n0\n', '')).ok).toBe(true)
})

test('130,000 corners in one polyline are read', () => {
  const corners = Array.from({ length: 130_000 }, (_, i) => [
    [10, i],
    [20, i % 7],
  ]).flat() as [number, number][]
  const text = textOf([
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    [0, 'LWPOLYLINE'],
    [8, 'A'],
    [90, 130_000],
    [70, 0],
    ...corners,
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ])
  const read = readDxf(text)
  expect(read.ok && read.plan.layers[0]?.paths[0]).toHaveLength(130_000)
  expect(read.ok && read.plan.layers[0]?.sides).toHaveLength(129_999)
})
