import { connect, createServer, type AddressInfo, type Socket } from 'node:net'

/** A wire between the server and its database that a test can cut, or hold so that nothing comes through. */
export interface Wire {
  readonly port: number
  cut(): void
  hold(): void
  mend(): void
  close(): Promise<void>
}

export async function wireTo(host: string, port: number): Promise<Wire> {
  const pairs = new Set<readonly [Socket, Socket]>()
  let state: 'open' | 'cut' | 'held' = 'open'
  const server = createServer((near) => {
    if (state === 'cut') {
      near.destroy()
      return
    }
    const far = connect(port, host)
    const pair = [near, far] as const
    pairs.add(pair)
    const end = () => {
      pairs.delete(pair)
      near.destroy()
      far.destroy()
    }
    for (const socket of pair) {
      socket.on('error', end)
      socket.on('close', end)
    }
    near.on('data', (bytes) => far.write(bytes))
    far.on('data', (bytes) => near.write(bytes))
    if (state === 'held') for (const socket of pair) socket.pause()
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return {
    port: (server.address() as AddressInfo).port,
    cut: () => {
      state = 'cut'
      for (const [near] of pairs) near.destroy()
    },
    hold: () => {
      state = 'held'
      for (const pair of pairs) for (const socket of pair) socket.pause()
    },
    mend: () => {
      state = 'open'
      for (const pair of pairs) for (const socket of pair) socket.resume()
    },
    close: () => {
      for (const [near] of pairs) near.destroy()
      return new Promise((resolve) => server.close(() => resolve()))
    },
  }
}
