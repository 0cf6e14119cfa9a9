import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { DAY_CACHE } from './src/data/day-cache.ts';

/** What the classes of a day need to open and run without a line: who is signed in, the day, its classes, exercises. */
const OF_THE_DAY =
  /\/api\/(?:session|exercises|today\?from=[^&]*|classes\/[0-9a-f-]{36}(?:\/events)?)$/;
const HOUR_S = 3600;

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      // A new version waits until nobody teaches with the old one: `app/keep-offline.ts`.
      registerType: 'prompt',
      injectRegister: false,
      manifest: false,
      workbox: {
        // The solver is for drafts, which need a line anyway.
        globPatterns: ['index.html', 'leaf.svg', 'theme.js', 'assets/**/*.{js,css,woff2}'],
        globIgnores: ['**/highs-*', '**/*-vietnamese-*'],
        maximumFileSizeToCacheInBytes: 3_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/local-authority/],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
        runtimeCaching: [
          {
            urlPattern: OF_THE_DAY,
            method: 'GET',
            handler: 'NetworkFirst',
            options: {
              cacheName: DAY_CACHE,
              networkTimeoutSeconds: 8,
              cacheableResponse: { statuses: [200] },
              expiration: { maxEntries: 60, maxAgeSeconds: 24 * HOUR_S },
            },
          },
        ],
      },
    }),
  ],
  worker: { format: 'es' },
  build: { target: 'es2023', sourcemap: false, chunkSizeWarningLimit: 700 },
  server: { port: 4700, proxy: { '/api': 'http://127.0.0.1:4600' } },
});
