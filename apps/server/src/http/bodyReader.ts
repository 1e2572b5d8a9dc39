import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import type { JsonLimits } from '@hedrion/core'
import { Piscina } from 'piscina'
import { Problem } from './problem'
import { readBody, type ReadBody } from './readBody'

/** Bytes up to which a body is read at once: a few milliseconds. */
const small = 256 * 1024

/** Large bodies that wait for the thread: each is held in memory. */
const mostWaiting = 4

/** Reads bodies as JSON: large ones in a thread, which ends when nothing is left to read and gives its memory back. */
export class BodyReader {
  readonly #threads: Piscina | undefined
  #collecting: NodeJS.Timeout | undefined

  /** @param file - that of the thread; without one everything is read at once. */
  constructor(file: string | undefined) {
    this.#threads = file
      ? new Piscina({
          filename: file,
          name: 'read',
          minThreads: 0,
          maxThreads: 1,
          maxQueue: mostWaiting,
          idleTimeout: 2000,
          resourceLimits: { maxOldGenerationSizeMb: 1024 },
        })
      : undefined
  }

  async read(bytes: Buffer, limits: JsonLimits): Promise<ReadBody> {
    if (!this.#threads || bytes.length <= small) return readBody(bytes, limits)
    if (this.#threads.queueSize >= mostWaiting)
      throw new Problem(
        503,
        'server.busy',
        'Other large requests are being read, so this one was not accepted. Send it again.',
      )
    this.#giveBackSoon()
    const { buffer } = bytes
    // a copy where the bytes stand in memory that others use
    const own = buffer instanceof ArrayBuffer && buffer.byteLength === bytes.byteLength ? buffer : copyOf(bytes)
    try {
      return (await this.#threads.run({ bytes: new Uint8Array(own), limits }, { transferList: [own] })) as ReadBody
    } catch (error) {
      if ((error as { readonly code?: unknown }).code !== 'ERR_WORKER_OUT_OF_MEMORY') throw error
      throw new Problem(
        413,
        'request.too-large',
        'The request needs more memory than the server allows for one request.',
      )
    }
  }

  /** Where nothing is going on nothing is collected either: the server would keep the memory of a large body for hours. */
  #giveBackSoon(): void {
    clearTimeout(this.#collecting)
    this.#collecting = setTimeout(() => collect(), 3000).unref()
  }

  async close(): Promise<void> {
    clearTimeout(this.#collecting)
    await this.#threads?.destroy()
  }
}

function copyOf(bytes: Buffer): ArrayBuffer {
  const copy = new ArrayBuffer(bytes.byteLength)
  new Uint8Array(copy).set(bytes)
  return copy
}

/** Twice: what a first time ends, such as the end of a connection, only a second one takes away. */
function collect(times = 2): void {
  setFlagsFromString('--expose-gc')
  ;(runInNewContext('gc') as () => void)()
  if (times > 1) setTimeout(() => collect(times - 1), 3000).unref()
}
