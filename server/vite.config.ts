import { defineConfig } from 'vite'

/**
 * Bundles server, core and packages: a start reads one file, and not six hundred; what it does without (structures, what
 * checks the lines of a kind) is read when it is wanted. PGlite keeps its own files
 * beside it, and what decodes pictures is loaded by a worker, by its name; both stay in node_modules.
 */
export default defineConfig({
  root: import.meta.dirname,
  build: {
    ssr: 'src/main.ts',
    outDir: 'dist',
    emptyOutDir: true,
    target: 'node20',
    minify: false,
  },
  // Read as data, and not as a program: a table of a thousand kinds of file is among the packages.
  json: { stringify: true },
  ssr: { noExternal: true, external: ['@electric-sql/pglite', 'jpeg-js'] },
})
