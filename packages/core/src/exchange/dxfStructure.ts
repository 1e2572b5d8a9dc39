import { groupsOf } from './dxfGroups'

/** What opens a part of a drawing that must be closed again, with what closes it (DXF reference, ASCII format). */
const closedBy = new Map([
  ['SECTION', 'ENDSEC'],
  ['TABLE', 'ENDTAB'],
  ['BLOCK', 'ENDBLK'],
  ['POLYLINE', 'SEQEND'],
])
const closers = new Set(closedBy.values())

interface Part {
  readonly name: string
  readonly line: number
}

/**
 * What is wrong with how a text drawing is put together: a part that is not closed, or closed by something else; null where all is
 * well. The reader of its shapes would wait for the missing end for ever.
 */
export function dxfDamage(text: string): string | null {
  const open: Part[] = []
  let line = 1
  for (const [code, value] of groupsOf(text)) {
    if (!/^\d{1,4}$/.test(code)) return `The file is damaged: a group code is expected in line ${line}.`
    if (Number(code) === 0) {
      const problem = takes(open, value, line)
      if (problem !== null) return problem
      if (value === 'EOF') return null
    }
    line += 2
  }
  return 'The file is truncated.'
}

/** Takes a group of code 0 to the parts that are open; answers what is wrong with it there. */
function takes(open: Part[], value: string, line: number): string | null {
  const inner = open.at(-1)
  if (value === 'EOF') return inner ? unclosed(inner) : null
  if (inner && isLost(inner, value)) return unclosed(inner)
  if (closers.has(value)) return closes(open, value, line)
  if (closedBy.has(value)) open.push({ name: value, line })
  return null
}

/** Whether what begins or ends here cannot stand within a part. */
const isLost = ({ name }: Part, value: string): boolean =>
  name === 'POLYLINE' ? value !== 'VERTEX' && value !== 'SEQEND' : name === 'TABLE' && closedBy.has(value)

function closes(open: Part[], value: string, line: number): string | null {
  const inner = open.at(-1)
  if (inner && closedBy.get(inner.name) === value) open.pop()
  // the attributes of a block's place end so too
  else if (value !== 'SEQEND') return inner ? unclosed(inner) : `The file is damaged: unexpected end in line ${line}.`
  return null
}

const words: Readonly<Record<string, string>> = {
  SECTION: 'section',
  TABLE: 'table',
  BLOCK: 'block',
  POLYLINE: 'polyline',
}

const unclosed = ({ name, line }: Part): string =>
  `The file is damaged: the ${words[name] ?? 'part'} starting in line ${line} has no end.`
