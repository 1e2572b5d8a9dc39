import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    ssr: 'readers.ts',
    outDir: '../../../.cache/attack',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { output: { entryFileNames: 'readers.mjs' } },
  },
  ssr: { noExternal: true },
})
