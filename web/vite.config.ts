import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
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
