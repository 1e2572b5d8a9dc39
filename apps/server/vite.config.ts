import { defineConfig } from 'vite'

export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    sourcemap: true,
    rolldownOptions: {
      input: { main: 'src/main.ts', jobWorker: 'src/jobs/jobWorker.ts', bodyWorker: 'src/http/bodyWorker.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
  // the core is source; its ESM-only helpers go in with it
  ssr: { noExternal: [/^@hedrion\//, 'clipper2-ts', 'flatbush', 'flatqueue'] },
})
