import { defineConfig } from 'vite'

/** Bundles server and core into one file; packages stay in node_modules. */
export default defineConfig({
  root: import.meta.dirname,
  build: {
    ssr: 'src/main.ts',
    outDir: 'dist',
    emptyOutDir: true,
    target: 'node20',
    minify: false,
    rolldownOptions: { output: { codeSplitting: false } },
  },
  ssr: { noExternal: [/^@ivory-crystal\//] },
})
