import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
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
    globPatterns: ['**/*.{js,css,html}', '**/*latin-wght-normal*.woff2', '**/dejavu-sans-*.woff'],
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

/** What the bundler tells of a module. */
interface Told {
  getModuleInfo(id: string): { importedIds: readonly string[] } | null;
}

const source = (path: string) => fileURLToPath(new URL(`src/${path}`, import.meta.url));

/** All modules that are there once these are: what they import, and what that imports in turn. */
function thereWith(begun: readonly string[], told: Told): Set<string> {
  const there = new Set<string>();
  const waiting = [...begun];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    if (there.has(id)) continue;
    there.add(id);
    waiting.push(...(told.getModuleInfo(id)?.importedIds ?? []));
  }
  return there;
}

/** Of the core and its words the bench needs next to nothing: their indexes name more than it takes. */
const OF_A_JOB = /\/(core|words)\/src\//;
const OF_THE_BENCH =
  /\/core\/src\/(route\/steps|schema\/limits|switch\/handle-angle)\.ts|\/words\/src\/(route|plural|tag\/handles|before\/safety-short|screens\/(app|keep-pages|api|controls|pages\/bench|parts\/(begin|beside))\/?)/;
/** Controls that the bench has none of, though the package that offers them all names them. */
const CONTROLS_OF_A_JOB =
  /\/@radix-ui\/react-(select|tooltip|radio-group|popover|checkbox|toggle|toggle-group|tabs)\//;
/** Loaded only where they are asked for. */
const BY_THEMSELVES = /\/core\/src\/formats\//;

/**
 * One file for what the bench needs, one for the frame of a job, one for what several pages of a job need of the core: a hundred
 * small ones take longer to ask for than to read.
 */
function inFewFiles() {
  let bench: Set<string> | null = null;
  let frame: Set<string> | null = null;
  return (id: string, told: Told): string | null => {
    bench ??= thereWith([source('main.tsx')], told);
    frame ??= thereWith([source('job/job-frame.tsx')], told);
    if (OF_A_JOB.test(id)) return OF_THE_BENCH.test(id) ? 'bench' : null;
    return bench.has(id) && !CONTROLS_OF_A_JOB.test(id) ? 'bench' : frame.has(id) ? 'job' : null;
  };
}

export default defineConfig({
  plugins: [react(), tailwind(), keepPages],
  resolve: { conditions: ['which-way-source', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4170', '/shared': 'http://127.0.0.1:4170' } },
  build: {
    target: 'es2023',
    sourcemap: true,
    chunkSizeWarningLimit: 2200,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: inFewFiles(), debugName: 'in few files' },
            {
              name: 'core',
              test: (id: string) => OF_A_JOB.test(id) && !BY_THEMSELVES.test(id),
              minShareCount: 2,
            },
          ],
        },
      },
    },
  },
});
