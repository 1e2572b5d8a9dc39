/** The code and the value of each group, which stand on a line each. */
export function* groupsOf(text: string): Generator<readonly [code: string, value: string]> {
  let code: string | undefined
  for (let start = 0; start <= text.length;) {
    const found = text.indexOf('\n', start)
    const end = found < 0 ? text.length : found
    const line = text.slice(start, end).trim()
    if (code === undefined) code = line
    else {
      yield [code, line]
      code = undefined
    }
    start = end + 1
  }
}

/** Codes of a corner of a lightweight polyline: place, widths, bulge (DXF reference, LWPOLYLINE). */
const ofCorner = new Set(['10', '20', '30', '40', '41', '42'])

/**
 * The drawing with lightweight polylines that say how many corners they have and hold nothing between them, such as identifiers (91): the
 * parser takes anything else for the end of the corners and would lose all but the last, and it believes any number.
 */
export function withPlainCorners(text: string): string {
  const lines: string[] = []
  /** Where the present polyline says how many corners it has. */
  let counted: number | null = null
  let corners = 0
  const close = () => {
    if (counted !== null) lines[counted] = String(corners)
    counted = null
    corners = 0
  }
  for (const [code, value] of groupsOf(text)) {
    if (Number(code) === 0) {
      close()
      lines.push(code, value)
      if (value === 'LWPOLYLINE') counted = lines.push('90', '0') - 1
    } else if (counted === null) lines.push(code, value)
    else if (code !== '90') {
      if (code === '10') corners++
      if (corners === 0 || ofCorner.has(code)) lines.push(code, value)
    }
  }
  close()
  return `${lines.join('\n')}\n`
}
