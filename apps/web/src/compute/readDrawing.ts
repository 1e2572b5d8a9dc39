import { dxfLimits, type ReadDxf } from '@hedrion/core'

/** Milliseconds; the largest drawing that is taken needs a few seconds. */
const longest = 30_000

/** Reads a drawing in a thread of its own, which is ended when it takes too long: a damaged file must not hold the page. */
export async function readDrawing(file: File): Promise<ReadDxf> {
  if (file.size > dxfLimits.characters) return { ok: false, problem: 'The drawing is larger than 20 MB.' }
  const text = await file.text()
  const worker = new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' })
  try {
    return await answerOf(worker, text)
  } finally {
    worker.terminate()
  }
}

const answerOf = (worker: Worker, text: string): Promise<ReadDxf> =>
  new Promise((resolve) => {
    const refuse = (problem: string) => resolve({ ok: false, problem })
    const timer = setTimeout(
      () => refuse(`Reading the drawing took longer than ${longest / 1000} s; it is damaged or too large.`),
      longest,
    )
    const end = (settle: () => void) => {
      clearTimeout(timer)
      settle()
    }
    worker.onmessage = ({ data }: MessageEvent<ReadDxf>) => end(() => resolve(data))
    worker.onerror = () => end(() => refuse('The drawing could not be read; it is damaged.'))
    worker.postMessage(text)
  })
