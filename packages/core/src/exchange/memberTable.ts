import { simpleMember } from '../document/blanks'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import type { Layout, Material, Member, Section, Strut } from '../document/recordKinds'
import { letters, memberRoles } from '../editing/drawn'
import { readPlaces } from '../editing/placeText'
import { readSection } from '../editing/sectionText'
import { freeLabel } from '../editing/shaped'
import { storeyUnder, usualTruss } from '../editing/usual'
import { arcPath, mostRise } from '../geometry/arc'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import { onLine } from '../geometry/tolerance'
import type { NumberFormat } from '../units/format'
import { parseQuantity } from '../units/parseQuantity'
import { CellRefusal, headingOf, inUnitOf, readCells, refuseCell, type CellRow } from './cells'

export const memberTableLimits = { characters: 2_000_000, rows: 5000 } as const

/** What is wrong with a cell, by the row as a person counts it (headings are row 1). */
export interface TableProblem {
  readonly row: number
  readonly column: string
  readonly problem: string
}

export interface ReadMembers {
  readonly members: readonly (Member | Strut)[]
  /** Sections that the project does not have yet, made from their names. */
  readonly sections: readonly Section[]
  readonly problems: readonly TableProblem[]
}

interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly format: NumberFormat
  readonly random: Random
}

const columns = [
  'label',
  'role',
  'from',
  'to',
  'via',
  'rise',
  'x1',
  'y1',
  'x2',
  'y2',
  'z1',
  'z2',
  'section',
  'material',
] as const
type Column = (typeof columns)[number]

const otherNames: Readonly<Record<string, Column>> = {
  mark: 'label',
  name: 'label',
  kind: 'role',
  start: 'from',
  at: 'from',
  end: 'to',
  x: 'x1',
  y: 'y1',
}

/** Roles of members in space have heights, z1 and z2. */
const spaceRoles = ['brace', 'girt', 'tie', 'post'] as const satisfies readonly Strut['role'][]
const roles = [...memberRoles, ...spaceRoles] as const
type Role = (typeof roles)[number]

const isRole = (text: string): text is Role => (roles as readonly string[]).includes(text)
const inSpace = (role: Role): role is Strut['role'] => (spaceRoles as readonly string[]).includes(role)

/**
 * Reads members of a layout from a table: CSV with comma or semicolon, or cells pasted from a spreadsheet (tabs). Headings
 * name the columns (label, role, from, to or x1, y1, x2, y2, section, material; z1 and z2 for members in space; via for places
 * that a bent member passes, rise for an arc), a unit after a comma or in brackets:
 * `x1, mm`. Places are grid crossings or what one may type while drawing. All or nothing: a problem anywhere leaves the
 * caller with no reason to add any.
 */
export function readMemberTable(text: string, ground: Ground): ReadMembers {
  const refused = (row: number, column: string, problem: string): ReadMembers => ({
    members: [],
    sections: [],
    problems: [{ row, column, problem }],
  })
  if (text.length > memberTableLimits.characters) return refused(1, '', 'The table is larger than 2 MB.')
  const [head, ...body] = readCells(text)
  if (!head || body.length === 0)
    return refused(1, '', 'A row of headings and a row of values are needed: label, from, to, section.')
  if (body.length > memberTableLimits.rows)
    return refused(1, '', `There are ${body.length} rows; ${memberTableLimits.rows} are allowed at once.`)
  const headings = readHeadings(head.cells)
  if ('problem' in headings) return refused(head.row, headings.column, headings.problem)
  return readRows(body, headings.found, ground)
}

interface Heading {
  readonly column: Column
  readonly unit: string
}

function readHeadings(
  cells: readonly string[],
): { readonly found: readonly (Heading | null)[] } | { readonly column: string; readonly problem: string } {
  const found: (Heading | null)[] = []
  for (const cell of cells) {
    const { name: plain, unit } = headingOf(cell)
    if (plain === '') {
      found.push(null)
      continue
    }
    const column = columns.find((known) => known === plain) ?? otherNames[plain]
    if (!column)
      return { column: cell.slice(0, 40), problem: `This heading is not known. Known are ${columns.join(', ')}.` }
    if (found.some((heading) => heading?.column === column))
      return { column: cell.slice(0, 40), problem: `The column ${column} stands there twice.` }
    found.push({ column, unit })
  }
  const has = (column: Column) => found.some((heading) => heading?.column === column)
  if (!has('from') && !(has('x1') && has('y1')))
    return { column: '', problem: 'Nothing says where a member begins: a column from, or x1 and y1.' }
  return { found }
}

function readRows(body: readonly CellRow[], headings: readonly (Heading | null)[], ground: Ground): ReadMembers {
  const members: (Member | Strut)[] = []
  const problems: TableProblem[] = []
  const stock = stockOf(ground)
  const taken = new Set(
    [...recordsOf(ground.document, 'member'), ...recordsOf(ground.document, 'strut')]
      .filter(({ layout }) => layout === ground.layout.id)
      .map(({ label }) => label),
  )
  for (const { cells, row } of body) {
    try {
      const member = readRow(cellsOf(cells, headings), ground, stock, taken)
      taken.add(member.label)
      members.push(member)
    } catch (error) {
      if (!(error instanceof CellRefusal)) throw error
      problems.push({ row, column: error.column, problem: error.message })
    }
  }
  return { members, sections: [...stock.made.values()], problems }
}

type Cells = Readonly<Partial<Record<Column, { readonly text: string; readonly unit: string }>>>

function cellsOf(cells: readonly string[], headings: readonly (Heading | null)[]): Cells {
  if (cells.length > headings.length && cells.slice(headings.length).some(Boolean))
    refuseCell('', 'The row has more cells than the headings.')
  return Object.fromEntries(
    headings.flatMap((heading, i) => {
      const text = cells[i] ?? ''
      return heading && text !== '' ? [[heading.column, { text, unit: heading.unit }] as const] : []
    }),
  )
}

interface Stock {
  readonly sections: ReadonlyMap<string, Section>
  readonly materials: ReadonlyMap<string, Material>
  /** Sections made by this table, by their names. */
  readonly made: Map<string, Section>
}

const plainName = (name: string): string => name.toLowerCase().replace(/\s+/g, '')

const stockOf = ({ document }: Ground): Stock => ({
  sections: new Map(recordsOf(document, 'section').map((section) => [plainName(section.name), section])),
  materials: new Map(recordsOf(document, 'material').map((material) => [plainName(material.name), material])),
  made: new Map(),
})

function readRow(cells: Cells, ground: Ground, stock: Stock, taken: ReadonlySet<string>): Member | Strut {
  const path = readPath(cells, ground)
  const role = readRole(cells, path)
  const label = cells.label?.text ?? freeLabel(`${letters[inSpace(role) ? 'strut' : role]}1`, taken)
  if (label.length > 40) refuseCell('label', 'A label has 40 characters at most.')
  if (taken.has(label)) refuseCell('label', `${label} is on the layout already.`)
  const section = readSectionCell(cells, ground, stock).id
  const base = { layout: ground.layout.id, label, section, material: readMaterialCell(cells, stock).id }
  if (inSpace(role))
    return { kind: 'strut', id: newId('strut', ground.random), ...base, role, path, ...heights(cells, ground) }
  refuseHeights(cells, role)
  const line = bentPath(cells, path, role, ground)
  return {
    kind: 'member',
    id: newId('member', ground.random),
    ...base,
    ...simpleMember,
    role,
    path: role === 'column' ? path.slice(0, 1) : line,
    truss: role === 'truss' ? usualTruss(path, section) : null,
  }
}

const straightRoles: ReadonlySet<Role> = new Set(['column', 'truss'])

/** A member that passes other places on its way, or rises in an arc to the left of the line between its ends. */
function bentPath(cells: Cells, path: readonly Point[], role: Member['role'], ground: Ground): readonly Point[] {
  const { via, rise } = cells
  const [start, end] = path
  if (!via && !rise) return path
  if (straightRoles.has(role) || !start || !end) return refuseCell(via ? 'via' : 'rise', `A ${role} is not bent.`)
  if (via && rise) return refuseCell('rise', 'A member passes places or rises in an arc, not both.')
  if (via) return [start, ...placesBetween(via.text, start, ground), end]
  const height = rise ? coordinate(rise, 'rise', ground.format) : 0
  return Math.abs(height) <= mostRise * distance(start, end)
    ? arcPath(start, end, height)
    : refuseCell('rise', 'An arc rises by its length at most.')
}

function placesBetween(text: string, start: Point, { document, format }: Ground): readonly Point[] {
  const read = readPlaces(text, { grid: recordsOf(document, 'gridLine'), format, last: start })
  if (!read.ok) return refuseCell('via', read.problem)
  return read.points.length <= 58 ? read.points : refuseCell('via', 'A member has 60 points at most.')
}

/** Of a member in space over the level: from the foot of the storey up to the level where nothing is said. */
function heights(cells: Cells, { document, layout, format }: Ground): Pick<Strut, 'startHeight' | 'endHeight'> {
  const at = (column: 'z1' | 'z2', otherwise: number): number => {
    const cell = cells[column]
    const height = cell ? coordinate(cell, column, format) : otherwise
    return Math.abs(height) <= 200 ? height : refuseCell(column, 'This is farther from the level than 200 m.')
  }
  return { startHeight: at('z1', -storeyUnder(document, layout)), endHeight: at('z2', 0) }
}

/** A height that would be passed over is refused. */
function refuseHeights(cells: Cells, role: Member['role']): void {
  for (const column of ['z1', 'z2'] as const)
    if (cells[column])
      refuseCell(column, `A ${role} lies at its level or in its roof; only members in space have heights.`)
}

function readRole(cells: Cells, path: readonly Point[]): Role {
  const text = cells.role?.text.toLowerCase()
  const role = text ?? (path.length === 1 ? 'column' : 'beam')
  if (!isRole(role)) return refuseCell('role', `“${role.slice(0, 40)}” is none of ${roles.join(', ')}.`)
  if (role !== 'column' && path.length < 2) return refuseCell('to', `A ${role} needs an end.`)
  return role
}

function readPath(cells: Cells, ground: Ground): readonly Point[] {
  const start = pointOf(cells, 'from', 'x1', 'y1', ground)
  const end = pointOf(cells, 'to', 'x2', 'y2', ground, start)
  if (!start) return refuseCell('from', 'There is no start.')
  if (end && distance(start, end) < onLine) return refuseCell('to', 'Start and end are the same point.')
  return end ? [start, end] : [start]
}

/** A place in words, or two coordinates; undefined where there is none. */
function pointOf(
  cells: Cells,
  place: 'from' | 'to',
  x: 'x1' | 'x2',
  y: 'y1' | 'y2',
  { document, format }: Ground,
  last?: Point,
): Point | undefined {
  const words = cells[place]
  if (words) {
    const read = readPlaces(words.text, { grid: recordsOf(document, 'gridLine'), format, last })
    if (!read.ok) return refuseCell(place, read.problem)
    const [point, second] = read.points
    return second ? refuseCell(place, 'One place is expected here.') : point
  }
  const [atX, atY] = [cells[x], cells[y]]
  if (!atX && !atY) return undefined
  if (!atX || !atY) return refuseCell(atX ? y : x, 'The other coordinate is missing.')
  return [coordinate(atX, x, format), coordinate(atY, y, format)]
}

function coordinate(
  { text, unit }: { readonly text: string; readonly unit: string },
  column: Column,
  format: NumberFormat,
): number {
  const read = parseQuantity(inUnitOf(text, unit), 'length', format)
  if (!read.ok) return refuseCell(column, read.problem)
  return Math.abs(read.value) <= 1e6 ? read.value : refuseCell(column, 'This is farther away than 1000 km.')
}

function readSectionCell(cells: Cells, { format, random }: Ground, { sections, made }: Stock): Section {
  const text = cells.section?.text
  if (text === undefined) return refuseCell('section', 'The section is missing.')
  const known = sections.get(plainName(text)) ?? made.get(plainName(text))
  if (known) return known
  const read = readSection(text, format, random)
  if (!read.ok) return refuseCell('section', read.problem)
  const same = sections.get(plainName(read.section.name))
  if (same) return same
  made.set(plainName(text), read.section)
  return read.section
}

/** Where no material is said, there must be one only. */
function readMaterialCell(cells: Cells, { materials }: Stock): Material {
  const text = cells.material?.text
  const [first, second] = materials.values()
  if (text === undefined) {
    if (first && !second) return first
    const names = [...materials.values()].map(({ name }) => name).join(', ')
    return refuseCell(
      'material',
      first ? `The material is missing: ${names}.` : 'There is no material yet. Add one first.',
    )
  }
  return (
    materials.get(plainName(text)) ??
    refuseCell(
      'material',
      `“${text.slice(0, 40)}” is no material of the project: ${[...materials.values()].map(({ name }) => name).join(', ')}.`,
    )
  )
}
