import { Answering } from './answering'
import type { ToWorker } from './protocol'

const answering = new Answering()

function answer(message: Extract<ToWorker, { kind: 'query' }>): void {
  const found = answering.answer(message)
  if (found) globalThis.postMessage(found)
}

globalThis.onmessage = ({ data }: MessageEvent<ToWorker>) => {
  // a later change is on its way: its own question will be answered
  if (data.kind === 'query') setTimeout(() => answer(data))
  else answering.take(data)
}
