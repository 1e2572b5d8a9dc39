import { create } from 'zustand'
import { palettes, type Palette, type Theme } from './tokens'

const stored = 'hedrion.theme'
const asked = '(prefers-color-scheme: dark)'

const isTheme = (value: string | null): value is Theme => value !== null && Object.hasOwn(palettes, value)

/** What a person chose on this machine; null follows the system. A browser that keeps nothing follows the system as well. */
function chosen(): Theme | null {
  try {
    const value = localStorage.getItem(stored)
    return isTheme(value) ? value : null
  } catch {
    return null
  }
}

const ofSystem = (): Theme => (globalThis.matchMedia?.(asked).matches ? 'dark' : 'light')

interface ThemeState {
  readonly theme: Theme
}

const useThemeState = create<ThemeState>(() => ({ theme: chosen() ?? ofSystem() }))

/** The colours in use: as chosen here, else as the system asks. Not part of the project. */
export const useTheme = (): Theme => useThemeState((state) => state.theme)
export const usePalette = (): Palette => palettes[useTheme()]

function show(theme: Theme): void {
  document.documentElement.dataset['theme'] = theme
  useThemeState.setState({ theme })
}

/** Light for dark and dark for light, kept for the next time. */
export function turnTheme(): void {
  const next: Theme = useThemeState.getState().theme === 'dark' ? 'light' : 'dark'
  try {
    localStorage.setItem(stored, next)
  } catch {
    // it holds until the page is left
  }
  show(next)
}

/** Shows the theme, and follows the system while nothing is chosen. */
export function startTheme(): void {
  show(useThemeState.getState().theme)
  globalThis.matchMedia?.(asked).addEventListener('change', () => {
    if (chosen() === null) show(ofSystem())
  })
}
