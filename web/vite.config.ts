import { join } from 'node:path'
import react from '@vitejs/plugin-react'
import { build, defineConfig, type Rolldown, type UserConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/** Tiers of the first screen, each fetched after the one before; a module stands in the first that needs it. */
const TIERS: readonly { readonly name: string; readonly roots: readonly string[] }[] = [
  { name: 'shell', roots: ['src/main.tsx'] },
  { name: 'today', roots: ['src/places/today/Today.tsx'] },
  { name: 'now', roots: ['src/places/today/Rest.tsx', 'src/app/Beside.tsx', 'src/app/Clocks.tsx'] },
]

export default defineConfig(async ({ command }): Promise<UserConfig> => ({
  root: import.meta.dirname,
  plugins: [
    react(),
    VitePWA({
      // A new version is offered on screen, and taken when its user says so.
      registerType: 'prompt',
      // Registered by the app itself, once the first screen is there.
      injectRegister: false,
      includeAssets: ['crystal.svg', 'icon-192.png'],
      manifest: {
        name: 'Ivory Crystal',
        short_name: 'Ivory Crystal',
        description: 'Recrystallize, melt and judge: planner, logbook and practice for the bench',
        id: '/',
        start_url: '/',
        display: 'standalone',
        background_color: '#faf6ec',
        theme_color: '#faf6ec',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: 'icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff,woff2}', 'assets/*.json'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
        // A tab that was open before the first visit was over is looked after at once.
        clientsClaim: true,
        runtimeCaching: [
          {
            // What lies under a hash never changes.
            urlPattern: /\/api\/photographs\/[0-9a-f]{64}$/,
            method: 'GET',
            handler: 'CacheFirst',
            options: {
              cacheName: 'photographs',
              cacheableResponse: { statuses: [200] },
              expiration: { maxEntries: 400, purgeOnQuotaError: true },
            },
          },
        ],
      },
    }),
  ],
  css: {
    // Bootstrap’s sources are older than what the compiler would have them say.
    preprocessorOptions: { scss: { quietDeps: true } },
  },
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    manifest: true,
    target: 'es2022',
    chunkSizeWarningLimit: 1300,
    modulePreload: {
      polyfill: false,
      // Lists of what each place needs were a tenth of the shell; a place asks for it itself.
      resolveDependencies: (_, needed) => needed.filter((file) => !file.endsWith('.js')),
    },
    rolldownOptions: {
      preserveEntrySignatures: 'allow-extension',
      output: {
        codeSplitting: {
          // What a tier uses is known to the function; what its modules could use is not to come along.
          includeDependenciesRecursively: false,
          groups: await firstScreenGroups(command),
        },
      },
    },
  },
  server: {
    port: 5173,
    strictPort: true,
    proxy: { '/api': { target: 'http://127.0.0.1:4321', changeOrigin: true } },
  },
}))

async function firstScreenGroups(command: 'build' | 'serve') {
  if (command === 'serve') return []
  const tiers = await tiersOfFirstScreen(import.meta.dirname)
  return TIERS.map(({ name }) => ({ name, test: (id: string) => tiers.get(id) === name }))
}

/**
 * Which modules the first screen takes, by the tier they come with.
 *
 * The bundler cuts a file for every set of places that share something, a hundred for the first screen; but a place
 * never opens without the shell. What each tier really uses is known once it is bundled, so it is bundled once to
 * learn that, and once more, cut by it.
 */
async function tiersOfFirstScreen(root: string): Promise<ReadonlyMap<string, string>> {
  const chunks = new Map<string, Rolldown.OutputChunk>()
  const output = await build({
    configFile: false,
    root,
    logLevel: 'error',
    build: {
      write: false,
      minify: false,
      target: 'es2022',
      rolldownOptions: { external: [/^virtual:/] },
    },
  })
  for (const one of [output].flat())
    if ('output' in one)
      for (const part of one.output) if (part.type === 'chunk') chunks.set(part.fileName, part)
  const tiers = new Map<string, string>()
  for (const { name, roots } of TIERS)
    for (const wanted of roots) {
      const from = [...chunks.values()].find(
        ({ facadeModuleId, moduleIds }) =>
          facadeModuleId === join(root, wanted) || moduleIds.includes(join(root, wanted)),
      )
      if (!from) throw new Error(`Nothing was bundled of ${wanted}.`)
      take(from.fileName, name, new Set())
    }
  return tiers

  function take(file: string, tier: string, seen: Set<string>): void {
    const chunk = chunks.get(file)
    if (!chunk || seen.has(file)) return
    seen.add(file)
    for (const id of chunk.moduleIds) if (!tiers.has(id)) tiers.set(id, tier)
    for (const needed of chunk.imports) take(needed, tier, seen)
  }
}
