// Joins what `tsc` made of the server, with the packages it uses, into a few files: opening two thousand small ones is half of a start.
import { rolldown } from 'rolldown';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const server = fileURLToPath(new URL('../server/', import.meta.url));
const out = join(server, 'bundle');
/** With code of the machine's own: they look for it beside themselves. */
const NATIVE = ['libsql', 'sharp', 'serialport'];

const bundle = await rolldown({
  cwd: server,
  input: Object.fromEntries(
    ['main', 'backup-command', 'restore-command', 'backroom/backroom.worker'].map((name) => [
      name,
      `dist/${name}.js`,
    ]),
  ),
  platform: 'node',
  external: NATIVE,
  plugins: [
    {
      name: 'what is not installed is asked for when it is wanted',
      resolveId: {
        order: 'post',
        async handler(id, importer, { kind }) {
          const found = await this.resolve(id, importer, { skipSelf: true, kind });
          return found ?? { id, external: true };
        },
      },
    },
  ],
  logLevel: 'silent',
});
rmSync(out, { recursive: true, force: true });
await bundle.write({
  dir: out,
  format: 'esm',
  entryFileNames: '[name].js',
  chunkFileNames: '[name]-[hash].js',
  sourcemap: true,
  keepNames: true,
});
