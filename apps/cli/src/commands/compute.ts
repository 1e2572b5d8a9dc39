import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ask, type ResultStage } from '@hedrion/core'
import { openProject } from '../openProject'
import { print, Refusal } from '../refusal'

export interface ComputeOptions {
  readonly out: string
  readonly only?: ResultStage
  readonly format: 'json' | 'csv'
}

/** Derives results and writes them: one JSON file, or a folder of CSV files. */
export function compute(path: string, { out, only = undefined, format }: ComputeOptions): void {
  const state = openProject(path)
  const stage = only ?? null
  if (format === 'json') {
    write(out, `${JSON.stringify(ask(state, { kind: 'results', only: stage }), null, 1)}\n`)
    return
  }
  try {
    mkdirSync(out, { recursive: true })
  } catch {
    throw new Refusal(`The folder ${out} cannot be created.`)
  }
  for (const { name, text } of ask(state, { kind: 'csv', only: stage })) write(join(out, name), text)
}

function write(path: string, text: string): void {
  try {
    writeFileSync(path, text)
  } catch {
    throw new Refusal(`${path} cannot be written.`)
  }
  print(`Written: ${path}`)
}
