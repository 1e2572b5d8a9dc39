import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    ssr: 'src/hedrion.ts',
    outDir: 'dist',
    target: 'node20',
    sourcemap: true,
    rolldownOptions: { output: { entryFileNames: 'hedrion.js' } },
  },
  ssr: { noExternal: [/^@hedrion\//, 'clipper2-ts', 'flatbush', 'flatqueue'] },
})
