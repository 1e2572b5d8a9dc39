/** Every colour of the application. Values are ink; colour is only on marks. */
export interface Palette {
  /** The ground of the drawing and of the frame. */
  readonly film: string
  readonly sheet: string
  readonly raised: string
  readonly ink: string
  readonly quiet: string
  /** Borders of controls, which must be seen. */
  readonly border: string
  /** Lines between rows, which only part. */
  readonly hairline: string
  readonly accent: string
  readonly accentSoft: string
  readonly onAccent: string
  readonly warm: string
  readonly warmSoft: string
  readonly permanent: string
  readonly imposed: string
  readonly wind: string
  readonly snow: string
  readonly floor: string
}

export const light: Palette = {
  film: '#f4f2ec',
  sheet: '#fbfaf6',
  raised: '#fffefa',
  ink: '#1d2730',
  quiet: '#55606a',
  border: '#7d7a70',
  hairline: '#dcd8cc',
  accent: '#1f6f6b',
  accentSoft: '#d9e8e4',
  onAccent: '#ffffff',
  warm: '#9a3d12',
  warmSoft: '#f6e3d4',
  permanent: '#343b45',
  imposed: '#8f6d0c',
  wind: '#1f5f99',
  snow: '#7f5cc0',
  floor: '#fffdf5',
}

export const dark: Palette = {
  film: '#1a2026',
  sheet: '#20272e',
  raised: '#29323a',
  ink: '#eceae2',
  quiet: '#aab3b8',
  border: '#89929a',
  hairline: '#3a444d',
  accent: '#6fc2b8',
  accentSoft: '#24403f',
  onAccent: '#10201f',
  warm: '#f0a074',
  warmSoft: '#46301f',
  permanent: '#c9ced4',
  imposed: '#d9b64a',
  wind: '#7fb4e6',
  snow: '#b79ae8',
  floor: '#232b32',
}

export const palettes = { light, dark } as const
export type Theme = keyof typeof palettes

/** Text must reach 4.5, marks and control borders 3 (WCAG 2.2, 1.4.3 and 1.4.11). */
export const textPairs: readonly (readonly [text: keyof Palette, ground: keyof Palette])[] = [
  ['ink', 'film'],
  ['ink', 'sheet'],
  ['ink', 'raised'],
  ['ink', 'accentSoft'],
  ['ink', 'warmSoft'],
  ['ink', 'floor'],
  ['quiet', 'film'],
  ['quiet', 'sheet'],
  ['quiet', 'raised'],
  ['quiet', 'accentSoft'],
  ['quiet', 'floor'],
  ['accent', 'film'],
  ['accent', 'sheet'],
  ['accent', 'raised'],
  ['accent', 'accentSoft'],
  ['onAccent', 'accent'],
  ['warm', 'film'],
  ['warm', 'sheet'],
  ['warm', 'raised'],
  ['warm', 'warmSoft'],
]

export const markPairs: readonly (readonly [mark: keyof Palette, ground: keyof Palette])[] = [
  ['border', 'film'],
  ['border', 'sheet'],
  ['border', 'raised'],
  ...(['permanent', 'imposed', 'wind', 'snow', 'warm', 'accent'] as const).flatMap((mark) =>
    (['film', 'sheet', 'floor'] as const).map((ground) => [mark, ground] as const),
  ),
]

export const type = {
  sans: "'Source Sans 3 Variable', 'Source Sans 3 Signs', system-ui, sans-serif",
  serif: "'Source Serif 4 Variable', 'Source Sans 3 Signs', Georgia, serif",
} as const

const kebab = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)

/** The palette as CSS variables: `--accent-soft`. */
export const cssVariables = (palette: Palette): string =>
  Object.entries(palette)
    .map(([name, value]) => `--${kebab(name)}: ${value as string};`)
    .join('\n')
