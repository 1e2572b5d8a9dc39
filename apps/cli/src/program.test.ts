import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { derive, Memo } from '@hedrion/core'
import { readDocument } from './openProject'
import { program } from './program'

const folder = mkdtempSync(path.join(tmpdir(), 'hedrion-cli-'))
const example = path.join(__dirname, '../../../examples/marrowfield.hedrion.json')
afterAll(() => rmSync(folder, { recursive: true }))

/** Runs the command line and answers what it printed, and its exit code. */
async function run(...args: readonly string[]) {
  const printed: string[] = []
  const refusals: string[] = []
  const out = jest.spyOn(process.stdout, 'write').mockImplementation((text) => printed.push(String(text)) > 0)
  const err = jest.spyOn(process.stderr, 'write').mockImplementation((text) => refusals.push(String(text)) > 0)
  process.exitCode = undefined
  const root = program()
  for (const command of [root, ...root.commands]) command.exitOverride()
  try {
    await root.parseAsync(['node', 'hedrion', ...args])
  } catch (error) {
    // how commander ends where the arguments are wrong
    process.exitCode = (error as { exitCode?: number }).exitCode ?? 99
  } finally {
    out.mockRestore()
    err.mockRestore()
  }
  const code = process.exitCode ?? 0
  process.exitCode = undefined
  return { code, printed: printed.join(''), refused: refusals.join('') }
}
const file = (name: string, text: string) => {
  const at = path.join(folder, name)
  writeFileSync(at, text)
  return at
}

describe('compute', () => {
  test('writes the results that the core derives', async () => {
    const out = path.join(folder, 'results.json')
    expect(await run('compute', example, '--out', out)).toMatchObject({ code: 0, printed: `Written: ${out}\n` })
    const wanted = derive(new Memo(), readDocument(example), { kind: 'results', only: null })
    expect(JSON.parse(readFileSync(out, 'utf8'))).toEqual(JSON.parse(JSON.stringify(wanted)))
  })

  test('one stage alone, as CSV in a folder that is made', async () => {
    const out = path.join(folder, 'csv', 'deep')
    expect((await run('compute', example, '--out', out, '--format', 'csv', '--only', 'storeyForces')).code).toBe(0)
    expect(readdirSync(out)).toEqual(['storeyForces.csv'])
    expect(readFileSync(path.join(out, 'storeyForces.csv'), 'utf8')).toMatch(/^load case,id,label,level,Fx \[kN\]/)
  })

  test('a stage that is none, or no place to write, is refused', async () => {
    expect((await run('compute', example, '--out', 'x', '--only', 'everything')).refused).toMatch(
      /Allowed choices are cases/,
    )
    expect((await run('compute', example)).refused).toMatch(/required option '--out/)
    const there = file('a-file', '')
    expect(await run('compute', example, '--out', path.join(there, 'results.json'))).toMatchObject({
      code: 2,
      refused: expect.stringMatching(/cannot be written\.\n$/),
    })
    expect(await run('compute', example, '--format', 'csv', '--out', path.join(there, 'folder'))).toMatchObject({
      code: 2,
      refused: expect.stringMatching(/cannot be created\.\n$/),
    })
  })
})

describe('check', () => {
  test('lists concerns; code 1 where one is blocking', async () => {
    const { code, printed } = await run('check', example)
    expect(code).toBe(1)
    expect(printed).toMatch(/^blocking: 24\.5 kN of panel P9 on level Roof is not carried/)
    expect(printed).toMatch(/2 concerns\.\n$/)
  })

  test('code 0 without concerns', async () => {
    const basis = {
      kind: 'basis',
      id: 'basis:000000000000',
      name: 'Bare',
      units: 'metric',
      decimal: 'point',
      family: 'EN',
      consequenceClass: 'CC2',
      basicWindVelocity: null,
      terrain: 'II',
      altitude: 0,
    }
    const bare = file(
      'bare.json',
      JSON.stringify({ format: 'hedrion-project', version: 1, records: { [basis.id]: basis } }),
    )
    expect(await run('check', bare)).toEqual({ code: 0, printed: 'No concerns.\n', refused: '' })
  })

  test('code 2 with path and sentence where the file is broken, is none, or is not there', async () => {
    expect(await run('check', file('cut.json', readFileSync(example, 'utf8').slice(0, 900)))).toMatchObject({
      code: 2,
      refused: expect.stringMatching(/is not a valid project file:\n {2}The file is not valid JSON/),
    })
    const wrong = readFileSync(example, 'utf8').replace('"terrain": "II"', '"terrain": "VI"')
    expect((await run('check', file('wrong.json', wrong))).refused).toMatch(
      /records\.basis:\w+\.terrain: One of 0, I, II, III, IV/,
    )
    expect(await run('check', path.join(folder, 'nothing.json'))).toMatchObject({
      code: 2,
      refused: expect.stringMatching(/cannot be read/),
    })
  })
})

describe('why', () => {
  test('of a column by its label: the governing combination, factor by factor', async () => {
    const { code, printed } = await run('why', example, 'C12')
    expect(code).toBe(0)
    expect(printed).toMatch(/^E_d = \d+\.\d kN {3}\(EN 1990 6\.4\.3\.2 \(6\.10\)/)
    expect(printed).toMatch(/self-weight {2}= 1\.35 · \d+\.\d kN {3}→ column:member:/)
  })

  test('of an address from a trace, and of an effect', async () => {
    expect((await run('why', example, 'qp:7.3')).printed).toMatch(/= 0\.91 kN\/m²/)
    expect((await run('why', example, 'parameter:wind.rho')).printed).toMatch(
      /^ρ = 1\.250 kg\/m³ {3}\(EN 1991-1-4 4\.5/,
    )
    const [reaction] = derive(new Memo(), readDocument(example), {
      kind: 'envelopes',
      set: 'strength',
      effects: 'reaction',
    })
    expect((await run('why', example, reaction?.key ?? '')).printed).toMatch(/^E_d = /)
  })

  test('of nothing that is there: what can be said', async () => {
    expect(await run('why', example, 'C99')).toMatchObject({
      code: 2,
      refused: expect.stringMatching(/“C99” is not an effect of this project\. Enter a column label/),
    })
  })
})

test('why lists the columns that share a label, each by what it can be asked by', async () => {
  // columns of the workshop's roof pass down beside those of the reading floor
  const doubled = file('doubled.json', readFileSync(example, 'utf8').replace('"label": "C25"', '"label": "C5"'))
  const { code, printed, refused } = await run('why', doubled, 'C5')
  expect(code).not.toBe(0)
  const text = `${printed}${refused}`
  expect(text).toContain('2 columns have the label C5. Enter one of their effects:')
  expect(text).toMatch(/\(layout Workshop roof, level 1\)/)
  const keys = [...text.matchAll(/reaction:\S+:Z/g)].map(([key]) => key)
  expect(keys).toHaveLength(2)
  expect((await run('why', doubled, keys[1] ?? '')).printed).toMatch(/^E_d = /)
})

/** Every document with what it says one may type: `npm run hedrion -- why FILE C5`. */
const documented = markdown(path.join(__dirname, '../../..')).flatMap((document) =>
  [...readFileSync(document, 'utf8').matchAll(/npm run hedrion -- ([^\n`]+)/g)].map(
    ([, words = '']) => [path.basename(document), words.trim()] as const,
  ),
)

function markdown(at: string): readonly string[] {
  return readdirSync(at, { withFileTypes: true }).flatMap((entry) => {
    const inside = path.join(at, entry.name)
    if (entry.isDirectory()) return /^(docs|methods|reference)$/.test(entry.name) ? markdown(inside) : []
    return entry.name.endsWith('.md') ? [inside] : []
  })
}

test('documents name some commands', () => expect(documented.length).toBeGreaterThan(4))

test.each(documented)('%s: hedrion %s', async (_, words) => {
  const files: Readonly<Record<string, string>> = {
    'examples/marrowfield.hedrion.json': example,
    'results.json': path.join(folder, 'documented.json'),
    'results/': path.join(folder, 'documented'),
  }
  const { code, refused } = await run(...words.split(/\s+/).map((word) => files[word] ?? word))
  // the demo has a corner of the roof that is not carried
  expect([code, refused]).toEqual([words.startsWith('check') ? 1 : 0, words.startsWith('check') ? refused : ''])
})

test('demo writes the example as it is in the repository; schemas are JSON', async () => {
  const out = path.join(folder, 'demo.json')
  expect((await run('demo', out)).code).toBe(0)
  expect(readFileSync(out, 'utf8')).toBe(readFileSync(example, 'utf8'))
  expect(await run('demo', path.join(folder, 'none', 'demo.json'))).toMatchObject({ code: 2 })
  for (const kind of ['project', 'results']) {
    const { printed } = await run('schema', kind)
    expect(JSON.parse(printed)).toMatchObject({ $schema: 'https://json-schema.org/draft/2020-12/schema' })
  }
  expect((await run('schema', 'other')).code).not.toBe(0)
})
