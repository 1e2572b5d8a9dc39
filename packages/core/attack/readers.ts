import { parentPort } from 'node:worker_threads'
import { Memo } from '../src/derivation/memo'
import { documentOf, recordsOf } from '../src/document/document'
import { readDxf } from '../src/exchange/dxfPlan'
import { readLayerFile, templateSet, writeLayerFile } from '../src/exchange/layerFile'
import { readLayerTable } from '../src/exchange/layerTable'
import { readLoadTable } from '../src/exchange/loadTable'
import { readMemberTable } from '../src/exchange/memberTable'
import { readProjectFile, writeProjectFile } from '../src/exchange/projectFile'
import { readWallTable } from '../src/exchange/wallTable'
import { demoChanges } from '../src/generate/demo'
import { derive } from '../src/queries/derive'
import { withEdits } from '../src/document/changes'
import { present } from '../src/outcome/assert'
import { metricPoint } from '../src/units/format'

// Every reader of files and pasted cells, with a file of each kind that it reads whole: for files in which something was exchanged.

const demo = demoChanges.reduce((before, { edits }) => withEdits(before, edits), documentOf([]))
const layout = present(recordsOf(demo, 'layout')[0], 'the demo has a floor')
const ground = { document: demo, layout, format: metricPoint, random: Math.random, uses: ['C1', 'E1'] }
let derived = 0

interface Kind {
  readonly sample: string
  readonly read: (text: string) => boolean
}

const group = (...pairs: readonly (readonly [number, string | number])[]): string =>
  pairs.map(([code, value]) => `${code}\n${value}\n`).join('')

const drawing = [
  group([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, 4], [0, 'ENDSEC']),
  group(
    [0, 'SECTION'],
    [2, 'TABLES'],
    [0, 'TABLE'],
    [2, 'LAYER'],
    [0, 'LAYER'],
    [2, 'A'],
    [0, 'ENDTAB'],
    [0, 'ENDSEC'],
  ),
  group([0, 'SECTION'], [2, 'ENTITIES'], [0, 'LINE'], [8, 'A'], [10, 0], [20, 0], [11, 6000], [21, 0]),
  group([0, 'LWPOLYLINE'], [8, 'B'], [90, 3], [70, 1], [10, 0], [20, 0], [42, 1], [10, 4], [20, 0], [10, 4], [20, 4]),
  group([0, 'POLYLINE'], [8, 'B'], [70, 1], [0, 'VERTEX'], [10, 0], [20, 0], [0, 'VERTEX'], [10, 5], [20, 5]),
  group(
    [0, 'VERTEX'],
    [10, 5],
    [20, 0],
    [0, 'SEQEND'],
    [0, 'ARC'],
    [8, 'C'],
    [10, 0],
    [20, 0],
    [40, 5],
    [50, 0],
    [51, 90],
  ),
  group([0, 'CIRCLE'], [8, 'C'], [10, 1], [20, 1], [40, 1], [0, 'ENDSEC'], [0, 'EOF']),
].join('')

const kinds: Readonly<Record<string, Kind>> = {
  project: {
    sample: writeProjectFile(demo),
    read: (text) => {
      const read = readProjectFile(text)
      // to derive takes longer than to read
      if (read.ok && derived++ % 5 === 0)
        for (const query of [{ kind: 'csv', only: null } as const, { kind: 'concerns' } as const])
          derive(new Memo(), read.document, query)
      return read.ok
    },
  },
  layer: { sample: writeLayerFile('EN', templateSet('EN')), read: (text) => readLayerFile(text, 'EN').ok },
  drawing: { sample: drawing, read: (text) => readDxf(text).ok },
  loads: {
    sample: 'equipment\tat\tload, kN\nchiller 1\tA1 + 2 m east\t34.5\nchiller 2\tA2\t12.5+2*3\n',
    read: (text) => readLoadTable(text, ground).problems.length === 0,
  },
  members: {
    sample:
      'label,role,from,to,section,material\nB97,beam,A1,A2,ipe300,structural steel\nG91,girder,A1,B1,HEB 240,Structural steel\n',
    read: (text) => readMemberTable(text, ground).problems.length === 0,
  },
  walls: {
    sample:
      'mark\tfrom\tto\tvia\tweight, kN/m²\tless\topenings\nW97\tA1\tB2\tA2\t2.9\tboth\t20 %\n\tA1\tA2\t\t3.1\t\t2 of 1.2 x 1.5 m\n',
    read: (text) => readWallTable(text, ground).problems.length === 0,
  },
  build: {
    sample: 'screed, 60 mm, 22 kN/m3\nceiling, 0.3 kN/m2\n',
    read: (text) => readLayerTable(text, metricPoint).problems.length === 0,
  },
}

parentPort?.on('message', (asked: { readonly kind: string; readonly text: string } | 'samples') => {
  if (asked === 'samples')
    return parentPort?.postMessage(
      Object.entries(kinds).map(([kind, { sample, read }]) => [kind, sample, read(sample)]),
    )
  try {
    parentPort?.postMessage({ ok: present(kinds[asked.kind], asked.kind).read(asked.text) })
  } catch (error) {
    parentPort?.postMessage({ problem: error instanceof Error ? (error.stack ?? error.message) : String(error) })
  }
})
