import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    manifest: true,
    target: 'es2022',
    chunkSizeWarningLimit: 1300,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // Every kind of line is in the first screen: one file compresses better than a dozen of a few lines each.
          groups: [
            {
              name: 'kinds',
              test: /core\/src\/(notebook\/kinds\/[^/]+\/kind|problems|notebook\/kinds\/defineKind)\.ts$/,
            },
          ],
        },
      },
    },
  },
  server: {
    port: 5173,
    strictPort: true,
    proxy: { '/api': { target: 'http://127.0.0.1:4321', changeOrigin: true } },
  },
})
