import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

// the page's own host goes on to the server, which refuses pages of other origins
const server = { target: process.env['HEDRION_SERVER'] ?? 'http://127.0.0.1:4180', changeOrigin: false }

// a chunk for each large library, since a chunk is read in one task
const libraries = [
  { name: 'react', test: /node_modules\/(react|react-dom|scheduler)\// },
  { name: 'router', test: /node_modules\/react-router\// },
  { name: 'styles', test: /node_modules\/(styled-components|stylis)\// },
]

export default defineConfig({
  plugins: [react({ compiler: true })],
  resolve: { dedupe: ['react', 'react-dom', 'zustand'] },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: { groups: libraries } } },
  },
  server: { proxy: { '/api': server, '/health': server } },
})
