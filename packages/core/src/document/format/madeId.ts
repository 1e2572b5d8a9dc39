const letters = '0123456789abcdefghijklmnopqrstuvwxyz'

/** The id of a record that a step makes of another: the same whenever and wherever it is made, and no other's by chance. */
export function madeId(kind: string, of: string, part: string): string {
  let tail = ''
  for (let round = 0; tail.length < 16; round++) {
    // FNV-1a, 32 bits to a round
    let hash = 0x811c9dc5
    for (const letter of `${round} ${kind} ${part} ${of}`) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193)
    // mixed, so that texts that differ late differ in all letters
    hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b)
    hash = (hash ^ (hash >>> 13)) >>> 0
    for (let i = 0; i < 4; i++, hash = Math.floor(hash / 36)) tail += letters[hash % 36] ?? '0'
  }
  return `${kind}:${tail}`
}
