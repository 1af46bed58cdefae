import { keepTemporaryFilesInMemory } from './scripts/in-memory.mjs'

const swc = [
  '<rootDir>/jest.transform.cjs',
  {
    jsc: {
      experimental: { keepImportAttributes: true },
      parser: { syntax: 'typescript', tsx: true },
      target: 'es2022',
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
  },
]

// The zone of every test, set before any worker starts; its day is set in jest.day.js.
process.env.TZ = 'UTC'
keepTemporaryFilesInMemory()

const shared = {
  setupFiles: ['<rootDir>/jest.day.js'],
  setupFilesAfterEnv: ['<rootDir>/jest.quiet.js'],
  roots: ['<rootDir>/core', '<rootDir>/server', '<rootDir>/web', '<rootDir>/scripts'],
  modulePathIgnorePatterns: ['<rootDir>/.*/dist/'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': swc,
    '/(openchemlib|fast-check|@electric-sql/pglite|drizzle-orm)/.+\\.js$': '<rootDir>/jest.transform.cjs',
  },
  // What is not transformed is told the same by its wrapper.
  sandboxInjectedGlobals: ['Math', 'Object', 'Array', 'JSON'],
  transformIgnorePatterns: ['/node_modules/(?!(openchemlib|fast-check|@electric-sql/pglite|drizzle-orm)/)'],
  moduleNameMapper: {
    '\\.module\\.css$': '<rootDir>/web/styles.mjs',
    // One file for all icons, and not one for each: 2,000 files fewer to open in every suite of a page.
    '^lucide-react$': '<rootDir>/node_modules/lucide-react/dist/cjs/lucide-react.js',
  },
}

/** What computes runs bare; what is on screen runs in a page without a browser. */
export default {
  projects: [
    {
      ...shared,
      displayName: 'bare',
      testEnvironment: 'node',
      testMatch: ['**/*.test.{ts,tsx}'],
      testPathIgnorePatterns: ['\\.page\\.test\\.tsx$'],
    },
    {
      ...shared,
      displayName: 'page',
      testEnvironment: '<rootDir>/web/jsdom.cjs',
      testMatch: ['**/*.page.test.tsx'],
    },
  ],
  testTimeout: 300_000,
  maxWorkers: 2,
}
