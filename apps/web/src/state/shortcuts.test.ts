import { expectPage, markdownTable } from '../../../../packages/core/test/writtenPage'
import { directions } from '../drawing/picking'
import { arrows, pressed, shortcutPlaces, shortcuts, type Shortcut, type ShortcutName } from './shortcuts'

const event = (key: string, { ctrl = false, meta = false, shift = false } = {}) => ({
  key,
  ctrlKey: ctrl,
  metaKey: meta,
  shiftKey: shift,
})

test('a shortcut is its key with what is held down, by Ctrl or by the command key', () => {
  expect(pressed(event('z', { ctrl: true }), 'undo')).toBe(true)
  expect(pressed(event('z', { meta: true }), 'undo')).toBe(true)
  expect(pressed(event('z'), 'undo')).toBe(false)
  expect(pressed(event('Z', { ctrl: true, shift: true }), 'redo')).toBe(true)
  expect(pressed(event('z', { ctrl: true }), 'redo')).toBe(false)
  expect(pressed(event('Enter', { ctrl: true }), 'setPoint')).toBe(false)
  expect(pressed(event('Enter', { ctrl: true }), 'finish')).toBe(true)
  // a plus needs Shift on some keyboards and not on others
  expect([pressed(event('+'), 'zoomIn'), pressed(event('+', { shift: true }), 'zoomIn')]).toEqual([true, true])
})

test('the arrows of the table are those that the drawing goes by', () => {
  expect(Object.keys(directions).sort()).toEqual([...arrows].sort())
})

test('no two shortcuts of a place have the same keys', () => {
  const seen = Object.values<Shortcut>(shortcuts).flatMap(({ place, keys }) => keys.map((key) => `${place}: ${key}`))
  // Escape on the sheet is for the sheet, in a field of it for the field
  expect(new Set(seen).size).toBe(seen.length)
})

const asWritten = (key: string): string =>
  key
    .replace('PageUp', 'Page Up')
    .replace('PageDown', 'Page Down')
    .replace(/^Arrow(\w+)$/, '$1 arrow')

const keysOf = ({ keys }: Shortcut): string => {
  const [first = ''] = keys
  if (keys.length === arrows.length && first.endsWith(arrows[0])) return `${first.replace(arrows[0], '')}arrow keys`
  return keys.map((key) => `\`${asWritten(key)}\``).join(' or ')
}

test('the page of shortcuts is written from the table', () => {
  const names = Object.keys(shortcuts) as readonly ShortcutName[]
  const sections = Object.entries(shortcutPlaces).map(([place, title]) => {
    const rows = names
      .map((name): Shortcut => shortcuts[name])
      .filter((shortcut) => shortcut.place === place)
      .map((shortcut) => [keysOf(shortcut), shortcut.does])
    expect(rows.length).toBeGreaterThan(0)
    return `## ${title}\n\n${markdownTable(['keys', 'what they do'], rows)}\n`
  })
  expectPage(
    'shortcuts',
    `# Shortcuts\n\nWritten from the table that the interface uses (\`HEDRION_WRITE=1 npm run unit -- shortcuts\`). The command key is the same as Ctrl. Buttons and choices are used as\nin any page: Tab, Space, Enter and the arrow keys.\n\n${sections.join('\n')}`,
  )
})
