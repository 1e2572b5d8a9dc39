import { spawnSync } from 'node:child_process'
import { Refusal, say } from './console.mjs'

const isRoot = process.getuid?.() === 0
const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0

/** Installs Debian packages as root or by sudo; otherwise one sentence says what to install. */
export function aptInstall(packages, what, { before } = {}) {
  const sudo = !isRoot && has('sudo') && spawnSync('sudo', ['-n', 'true']).status === 0
  const hint = new Refusal(`${what} is missing. Install it once as root:  apt-get install -y ${packages.join(' ')}`)
  if (!has('apt-get') || (!isRoot && !sudo)) throw hint
  const apt = (...args) =>
    spawnSync(isRoot ? 'apt-get' : 'sudo', [...(isRoot ? [] : ['-n', 'apt-get']), ...args], {
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status === 0
  if (isRoot) before?.()
  say(`${what} is missing: installing ${packages.join(', ')} …`)
  const install = () => apt('install', '-y', '-q', '--no-install-recommends', ...packages)
  if (!(apt('update', '-q') && install()) && !install()) throw hint
}
