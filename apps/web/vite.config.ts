import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import react from '@vitejs/plugin-react'
import subsetFont from 'subset-font'
import { defineConfig, type Plugin } from 'vite'

// the page's own host goes on to the server, which refuses pages of other origins
const server = { target: process.env['HEDRION_SERVER'] ?? 'http://127.0.0.1:4180', changeOrigin: false }

// a chunk for each large library, since a chunk is read in one task
const libraries = [
  { name: 'react', test: /node_modules\/(react|react-dom|scheduler)\// },
  { name: 'router', test: /node_modules\/react-router\// },
  { name: 'styles', test: /node_modules\/(styled-components|stylis)\// },
]

/** Blocks of signs that `fonts.css` takes from the whole font: raised and lowered digits, arrows and operators, shapes. */
const signs = [
  [0x2070, 0x209f],
  [0x2190, 0x22ff],
  [0x25a0, 0x25ff],
] as const

const fontOfSigns = '@expo-google-fonts/source-sans-3/400Regular/SourceSans3_400Regular.ttf'

/** Puts what the page takes of the font of signs in place of all of it, in a file whose name follows its content. */
const subsetOfSigns = (): Plugin => ({
  name: 'subset-of-signs',
  apply: 'build',
  async config() {
    const text = signs
      .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)))
      .join('')
    const whole = await readFile(fileURLToPath(import.meta.resolve(fontOfSigns)))
    const replacement = fileURLToPath(new URL('node_modules/.cache/signs.ttf', import.meta.url))
    await mkdir(dirname(replacement), { recursive: true })
    await writeFile(replacement, await subsetFont(whole, text, { targetFormat: 'sfnt' }))
    return { resolve: { alias: [{ find: fontOfSigns, replacement }] } }
  },
})

export default defineConfig({
  plugins: [react({ compiler: true }), subsetOfSigns()],
  resolve: { dedupe: ['react', 'react-dom', 'zustand'] },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: { groups: libraries } } },
  },
  server: { proxy: { '/api': server, '/health': server } },
})
