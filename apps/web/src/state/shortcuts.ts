/** Where keys do something, in the order in which a person meets them. */
export const shortcutPlaces = {
  anywhere: 'Anywhere',
  drawing: 'On the drawing',
  space: 'On the drawing in 3D',
  placing: 'While drawing an object',
  field: 'In a field',
  sheet: 'On the sheet and its divider',
  sentence: 'In the opening sentence',
  find: 'In Find',
} as const

export interface Shortcut {
  readonly place: keyof typeof shortcutPlaces
  /** Alternatives, each a key with what is held down: `Ctrl+Z`. */
  readonly keys: readonly string[]
  readonly does: string
}

/** The four keys that go somewhere, as their handlers look them up. */
export const arrows = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'] as const

/** Every key that does something, by what it does: handlers ask `pressed`, and docs/reference/shortcuts.md is written from it. */
export const shortcuts = {
  find: {
    place: 'anywhere',
    keys: ['Ctrl+K'],
    does: 'open Find: steps, elements, cases, clauses and commands by name',
  },
  undo: { place: 'anywhere', keys: ['Ctrl+Z'], does: 'undo the last change' },
  redo: { place: 'anywhere', keys: ['Ctrl+Y', 'Ctrl+Shift+Z'], does: 'redo what was undone' },
  nextRegion: { place: 'anywhere', keys: ['F6'], does: 'go to the next region: steps, drawing, sheet, bars' },
  lastRegion: { place: 'anywhere', keys: ['Shift+F6'], does: 'go to the region before' },
  neighbour: { place: 'drawing', keys: arrows, does: 'select the nearest object in this direction' },
  deletePicked: { place: 'drawing', keys: ['Delete'], does: 'delete what is selected' },
  levelUp: { place: 'drawing', keys: ['PageUp'], does: 'go to the level above' },
  levelDown: { place: 'drawing', keys: ['PageDown'], does: 'go to the level below' },
  fit: { place: 'drawing', keys: ['0'], does: 'fit the view to what is drawn' },
  zoomIn: { place: 'drawing', keys: ['+'], does: 'zoom in' },
  zoomOut: { place: 'drawing', keys: ['-'], does: 'zoom out' },
  pickNone: { place: 'drawing', keys: ['Escape'], does: 'clear the selection' },
  turn: { place: 'space', keys: arrows.map((key) => `Shift+${key}`), does: 'rotate the view' },
  nextSnap: { place: 'placing', keys: arrows, does: 'go to the next snap point in this direction' },
  setPoint: {
    place: 'placing',
    keys: ['Enter'],
    does: 'add the point; in the line under the drawing, the entered position',
  },
  finish: { place: 'placing', keys: ['Ctrl+Enter'], does: 'finish a path or a polygon' },
  removePoint: { place: 'placing', keys: ['Backspace'], does: 'remove the last point' },
  stopPlacing: { place: 'placing', keys: ['Escape'], does: 'stop drawing' },
  commit: { place: 'field', keys: ['Enter'], does: 'apply what is entered' },
  cancel: { place: 'field', keys: ['Escape'], does: 'restore the value' },
  widen: { place: 'sheet', keys: ['ArrowLeft'], does: 'on the divider: make the sheet wider' },
  narrow: { place: 'sheet', keys: ['ArrowRight'], does: 'on the divider: make the sheet narrower' },
  usualWidth: { place: 'sheet', keys: ['Escape'], does: 'on the sheet: restore its width' },
  build: { place: 'sentence', keys: ['Enter'], does: 'generate the building' },
  newLine: { place: 'sentence', keys: ['Shift+Enter'], does: 'start a new line' },
  goToFound: { place: 'find', keys: ['Enter'], does: 'go to the selected match' },
} as const satisfies Readonly<Record<string, Shortcut>>

export type ShortcutName = keyof typeof shortcuts

interface Pressed {
  readonly key: string
  readonly ctrlKey: boolean
  readonly metaKey: boolean
  readonly shiftKey: boolean
}

/** Whether a key is the one of a shortcut. Shift counts where the shortcut has it: on some keyboards + and others need it. */
export const pressed = (event: Pressed, name: ShortcutName): boolean =>
  shortcuts[name].keys.some((alternative: string) => {
    const parts = alternative === '+' ? ['+'] : alternative.split('+')
    const key = parts.at(-1) ?? ''
    const isControl = event.ctrlKey || event.metaKey
    return (
      event.key.toLowerCase() === key.toLowerCase() &&
      isControl === parts.includes('Ctrl') &&
      (event.shiftKey || !parts.includes('Shift'))
    )
  })
