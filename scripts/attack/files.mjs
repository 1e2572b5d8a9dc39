// Files in which bytes, words and numbers were exchanged, read in a thread that may not take long.
import fs from 'node:fs'
import path from 'node:path'
import { Worker } from 'node:worker_threads'
import { cache } from '../lib/console.mjs'
import { random } from './target.mjs'

/** Milliseconds that one file may take. */
const longest = 20_000

const words = [
  'constructor',
  '__proto__',
  'NaN',
  '1e999',
  '-0',
  '',
  '\u0000',
  '9'.repeat(400),
  '=1+1',
  '"',
  '\n',
  '{',
  '[',
  ';',
  '\t',
]

function mutate(text, next) {
  const at = () => Math.floor(next() * text.length)
  let out = text
  for (let i = 0; i <= next() * 3; i++) {
    const [a, b] = [at(), at()].sort((x, y) => x - y)
    const word = words[Math.floor(next() * words.length)]
    const kind = Math.floor(next() * 7)
    if (kind === 0) out = out.slice(0, a)
    else if (kind === 1) out = out.slice(0, a) + out.slice(Math.min(b, a + 200))
    else if (kind === 2) out = out.slice(0, a) + word + out.slice(a)
    else if (kind === 3) out = out.slice(0, a) + out.slice(a, a + 300).repeat(2) + out.slice(a + 300)
    else if (kind === 4) out = exchanged(out, /-?\d+(\.\d+)?/g, word, next)
    else if (kind === 5) out = exchanged(out, /[A-Za-z]{2,}/g, word, next)
    else out = exchanged(out, /\r?\n[^\n]*/g, '', next)
  }
  return out
}

/** One of the places that a pattern finds, exchanged. */
function exchanged(text, pattern, word, next) {
  const places = [...text.matchAll(pattern)]
  const place = places[Math.floor(next() * places.length)]
  return place ? text.slice(0, place.index) + word + text.slice(place.index + place[0].length) : text
}

export async function attackFiles(readers, count, seed) {
  const next = random(seed)
  const sources = await samplesOf(readers)
  const tally = { refused: 0, read: 0 }
  const problems = []
  let slowest = 0
  let worker
  const ask = (kind, text) =>
    new Promise((resolve) => {
      worker ??= new Worker(readers, { stdout: true, stderr: true })
      const timer = setTimeout(() => {
        void worker.terminate()
        worker = undefined
        resolve({ problem: `took longer than ${longest / 1000} s` })
      }, longest)
      worker.removeAllListeners()
      worker.once('message', (answer) => {
        clearTimeout(timer)
        resolve(answer)
      })
      worker.once('error', (error) => {
        clearTimeout(timer)
        worker = undefined
        resolve({ problem: String(error) })
      })
      worker.postMessage({ kind, text })
    })
  for (let i = 0; i < count; i++) {
    const [kind, text] = sources[i % sources.length]
    const mutated = mutate(text, next)
    const started = performance.now()
    const { problem, ok } = await ask(kind, mutated)
    slowest = Math.max(slowest, performance.now() - started)
    if (problem === undefined) tally[ok ? 'read' : 'refused']++
    else {
      const kept = path.join(cache, `attack/${kind}-${seed}-${i}.txt`)
      fs.writeFileSync(kept, mutated)
      problems.push(`${kind} ${i}, kept in .cache/attack: ${problem}`)
    }
  }
  await worker?.terminate()
  return { count, ...tally, slowest: Math.round(slowest), problems: problems.slice(0, 30) }
}

/** A file of each kind that its reader takes as it is. */
function samplesOf(readers) {
  const worker = new Worker(readers)
  return new Promise((resolve, reject) => {
    worker.once('error', reject)
    worker.once('message', (samples) => {
      void worker.terminate()
      const refused = samples.filter(([, , ok]) => !ok).map(([kind]) => kind)
      if (refused.length > 0) reject(new Error(`Samples are refused: ${refused.join(', ')}`))
      else resolve(samples)
    })
    worker.postMessage('samples')
  })
}
