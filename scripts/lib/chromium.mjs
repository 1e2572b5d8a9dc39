import fs from 'node:fs'
import { aptInstall } from './apt.mjs'

const known = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome']

/** Path of a Chromium for the browser tests; Debian's is installed where there is none. */
export function ensureChromium() {
  const found = [process.env.HEDRION_CHROMIUM, ...known].find((path) => path && fs.existsSync(path))
  if (found) return found
  aptInstall(['chromium', 'fonts-dejavu-core'], 'Chromium')
  return known[0]
}

/** Flags that headless Chromium needs on a closed network and as root. */
export const chromiumFlags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-default-apps',
  '--disable-domain-reliability',
  '--disable-dev-shm-usage',
]
