import { defineConfig } from 'vite'

export default defineConfig({
  root: import.meta.dirname,
  build: {
    ssr: 'main.ts',
    outDir: 'dist',
    emptyOutDir: true,
    target: 'node20',
    minify: false,
    rolldownOptions: { output: { codeSplitting: false } },
  },
  ssr: { noExternal: [/^@ivory-crystal\//] },
})
