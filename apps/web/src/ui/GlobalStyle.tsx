import '@fontsource-variable/source-sans-3/wght.css'
import '@fontsource-variable/source-serif-4/opsz.css'
import '@fontsource-variable/source-serif-4/opsz-italic.css'
import './fonts.css'
import { createGlobalStyle } from 'styled-components'
import { cssVariables, dark, light, type } from './tokens'

export const GlobalStyle = createGlobalStyle`
  :root {
    ${cssVariables(light)}
    --sans: ${type.sans};
    --serif: ${type.serif};
    --gap: 8px;
    --row: 28px;
    color-scheme: light;
  }
  :root[data-theme='dark'] {
    ${cssVariables(dark)}
    color-scheme: dark;
  }
  *, *::before, *::after { box-sizing: border-box; }
  html, body, #root { height: 100%; margin: 0; }
  body {
    background: var(--film);
    color: var(--ink);
    font: 400 15px/1.4 var(--sans);
    font-variant-numeric: lining-nums tabular-nums;
    -webkit-font-smoothing: antialiased;
  }
  h1, h2, h3, p { margin: 0; font-weight: inherit; font-size: inherit; }
  :focus-visible, [data-focus-visible] { outline: 2px solid var(--accent); outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { transition: none !important; animation: none !important; }
  }
`
