import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/**
 * The pages of the application are kept by the browser, so that a reload works while the server is away. Online they come
 * from the server as ever; data never goes through here: a job's log is kept in IndexedDB (src/job/outbox.ts).
 */
const keepPages = VitePWA({
  registerType: 'prompt',
  injectRegister: false,
  manifest: false,
  workbox: {
    globPatterns: ['**/*.{js,css,html}', '**/*latin-wght-normal*.woff2'],
    maximumFileSizeToCacheInBytes: 3_000_000,
    navigateFallback: null,
    cleanupOutdatedCaches: true,
    runtimeCaching: [
      {
        urlPattern: ({ request, url }) =>
          request.mode === 'navigate' && !/^\/(api|shared)\//.test(url.pathname),
        handler: 'NetworkOnly',
        options: { precacheFallback: { fallbackURL: 'index.html' } },
      },
    ],
  },
});

export default defineConfig({
  plugins: [react(), tailwind(), keepPages],
  resolve: { conditions: ['which-way-source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4170', '/shared': 'http://127.0.0.1:4170' } },
  build: { target: 'es2023', sourcemap: true, chunkSizeWarningLimit: 2200 },
});
