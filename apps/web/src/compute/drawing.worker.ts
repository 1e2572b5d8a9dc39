import { readDxf } from '@hedrion/core'

globalThis.onmessage = ({ data }: MessageEvent<string>) => {
  globalThis.postMessage(readDxf(data))
}
