import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    ssr: 'bench.ts',
    outDir: '../../../.cache/bench',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { output: { entryFileNames: 'bench.mjs' } },
  },
  ssr: { noExternal: ['clipper2-ts', 'flatbush', 'flatqueue'] },
})
