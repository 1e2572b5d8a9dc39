import { simpleMember } from '../document/blanks'
import { newId, recordsOf, type Document, type Random } from '../document/document'
import { isUpright } from '../document/roles'
import type { Layout, Material, Member, Section, Strut } from '../document/recordKinds'
import { letters, memberRoles } from '../editing/drawn'
import { readSection } from '../editing/sectionText'
import { spaceTools, usualHeights } from '../editing/drawnStruts'
import { storeyUnder, usualTruss } from '../editing/usual'
import { stockMaterials } from '../standards/stock/materials'
import { arcPath, mostRise } from '../geometry/arc'
import type { Point } from '../geometry/point'
import { distance } from '../geometry/segment'
import type { NumberFormat } from '../units/format'
import { refuseCell } from './cells'
import { labelsOn, readLabel } from './labelCells'
import { lengthCell, placeColumns, placeNames, placesBetween, readPath, saysWhere } from './placeCells'
import { readTable, type Cells, type TableKind, type TableProblem } from './tableRows'

export const memberTableLimits = { characters: 2_000_000, rows: 5000 } as const

export interface ReadMembers {
  readonly members: readonly (Member | Strut)[]
  /** Sections and materials that the project does not have yet, made from their names. */
  readonly sections: readonly Section[]
  readonly materials: readonly Material[]
  readonly problems: readonly TableProblem[]
}

interface Ground {
  readonly document: Document
  readonly layout: Layout
  readonly format: NumberFormat
  readonly random: Random
}

const columns = ['label', 'role', ...placeColumns, 'via', 'rise', 'z1', 'z2', 'section', 'material'] as const
type Column = (typeof columns)[number]
type MemberCells = Cells<Column>

const table: TableKind<Column> = {
  columns,
  otherNames: { mark: 'label', name: 'label', kind: 'role', ...placeNames },
  limits: memberTableLimits,
  example: 'label, from, to, section',
  lacks: (has) => (saysWhere(has) ? null : 'The start is missing: add a column from, or x1 and y1.'),
}

/** Roles of members in space have heights, z1 and z2. */
const spaceRoles: readonly Strut['role'][] = Object.values(spaceTools)
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
  const stock = stockOf(ground)
  const taken = labelsOn(ground.document, ground.layout, ['member', 'strut'])
  const { rows, problems } = readTable(text, table, (cells) => {
    const member = readRow(cells, ground, stock, taken)
    taken.add(member.label)
    return member
  })
  return { members: rows, sections: [...stock.made.values()], materials: [...stock.madeMaterials.values()], problems }
}

interface Stock {
  readonly sections: ReadonlyMap<string, Section>
  readonly materials: ReadonlyMap<string, Material>
  /** Sections and materials made by this table, by their names. */
  readonly made: Map<string, Section>
  readonly madeMaterials: Map<string, Material>
  /** The material that all members of a section have, by the section. */
  readonly usual: ReadonlyMap<string, Material['id'] | null>
}

const plainName = (name: string): string => name.toLowerCase().replace(/\s+/g, '')

const stockOf = ({ document }: Ground): Stock => ({
  sections: new Map(recordsOf(document, 'section').map((section) => [plainName(section.name), section])),
  materials: new Map(recordsOf(document, 'material').map((material) => [plainName(material.name), material])),
  made: new Map(),
  madeMaterials: new Map(),
  usual: usualMaterials(document),
})

/** By section the one material that its members have; null where they have several. */
function usualMaterials(document: Document): ReadonlyMap<string, Material['id'] | null> {
  const usual = new Map<string, Material['id'] | null>()
  for (const { section, material } of recordsOf(document, 'member')) {
    const before = usual.get(section)
    usual.set(section, before === undefined || before === material ? material : null)
  }
  return usual
}

function readRow(cells: MemberCells, ground: Ground, stock: Stock, taken: ReadonlySet<string>): Member | Strut {
  const path = readPath(cells, ground)
  const role = readRole(cells, path)
  const label = readLabel(cells, letters[inSpace(role) ? 'strut' : role], taken)
  const section = readSectionCell(cells, ground, stock).id
  const base = { layout: ground.layout.id, label, section, material: readMaterialCell(cells, section, ground, stock) }
  if (inSpace(role))
    return { kind: 'strut', id: newId('strut', ground.random), ...base, role, path, ...heights(role, cells, ground) }
  refuseHeights(cells, role)
  const line = bentPath(cells, path, role, ground)
  return {
    kind: 'member',
    id: newId('member', ground.random),
    ...base,
    ...simpleMember,
    role,
    path: line,
    truss: role === 'truss' ? usualTruss(path, section) : null,
  }
}

const straightRoles: ReadonlySet<Role> = new Set(['column', 'hanger', 'truss'])

/** A member that passes other places on its way, or rises in an arc to the left of the line between its ends. */
function bentPath(cells: MemberCells, path: readonly Point[], role: Member['role'], ground: Ground): readonly Point[] {
  const { via, rise } = cells
  const [start, end] = path
  if (!via && !rise) return path
  if (straightRoles.has(role) || !start || !end)
    return refuseCell(via ? 'via' : 'rise', `A ${role} cannot be cranked or curved.`)
  if (via && rise) return refuseCell('rise', 'Enter intermediate points or an arc rise, not both.')
  if (via) return [start, ...placesBetween(via.text, start, ground, { most: 58, what: 'A member' }), end]
  const height = rise ? lengthCell(rise, 'rise', ground.format) : 0
  return Math.abs(height) <= mostRise * distance(start, end)
    ? arcPath(start, end, height)
    : refuseCell('rise', 'The arc rise cannot exceed the length.')
}

/** Of a member in space over the level: as one that is drawn where nothing is said. */
function heights(
  role: Strut['role'],
  cells: MemberCells,
  { document, layout, format }: Ground,
): Pick<Strut, 'startHeight' | 'endHeight'> {
  const at = (column: 'z1' | 'z2', otherwise: number): number => {
    const cell = cells[column]
    const height = cell ? lengthCell(cell, column, format) : otherwise
    return Math.abs(height) <= 200 ? height : refuseCell(column, 'This is more than 200 m from the level.')
  }
  const [start, end] = usualHeights(role, storeyUnder(document, layout))
  return { startHeight: at('z1', start), endHeight: at('z2', end) }
}

/** A height that would be passed over is refused. */
function refuseHeights(cells: MemberCells, role: Member['role']): void {
  for (const column of ['z1', 'z2'] as const)
    if (cells[column])
      refuseCell(column, `A ${role} is at its level or in its roof; only secondary members have heights.`)
}

function readRole(cells: MemberCells, path: readonly Point[]): Role {
  const text = cells.role?.text.toLowerCase()
  const role = text ?? (path.length === 1 ? 'column' : 'beam')
  if (!isRole(role)) return refuseCell('role', `“${role.slice(0, 40)}” is not one of ${roles.join(', ')}.`)
  if (!isUpright(role) && path.length < 2) return refuseCell('to', `A ${role} must have an end.`)
  return role
}

function readSectionCell(cells: MemberCells, { format, random }: Ground, { sections, made }: Stock): Section {
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

/**
 * Where no material is said: the one that all members of the section have, or the only one there is. What the project does
 * not have is made from the tables by its name.
 */
function readMaterialCell(
  cells: MemberCells,
  section: Section['id'],
  { random }: Ground,
  { materials, madeMaterials, usual }: Stock,
): Material['id'] {
  const text = cells.material?.text
  const names = [...materials.values()].map(({ name }) => name).join(', ')
  const [first, second] = materials.values()
  if (text === undefined) {
    const alike = usual.get(section)
    if (alike) return alike
    if (first && !second) return first.id
    return refuseCell('material', first ? `The material is missing: ${names}.` : 'Name a material.')
  }
  const known = materials.get(plainName(text)) ?? madeMaterials.get(plainName(text))
  if (known) return known.id
  const found = stockMaterials.find(({ name }) => plainName(name) === plainName(text))
  if (!found)
    return refuseCell(
      'material',
      `“${text.slice(0, 40)}” is not a material of the project or of the tables${names ? `; the project has ${names}` : ''}.`,
    )
  const made: Material = { kind: 'material', id: newId('material', random), ...found }
  madeMaterials.set(plainName(text), made)
  return made.id
}
