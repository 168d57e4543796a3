// What a browser fetches before the first page stands: the scripts that the page names, gzipped as the server sends them.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

const dist = fileURLToPath(new URL('../web/dist', import.meta.url));

/** Kilobytes of script, gzipped, of the first load and of all steps together. */
export function benchLoad({ note, atMost }) {
  const size = (file) => gzipSync(readFileSync(join(dist, file))).length;
  const page = readFileSync(join(dist, 'index.html'), 'utf8');
  const first = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.js)"/g)].map(([, file]) => file);
  if (first.length === 0) throw new Error('web/dist/index.html names no script');
  const kept = [...readFileSync(join(dist, 'sw.js'), 'utf8').matchAll(/"(assets\/[^"]+\.js)"/g)];
  const kilobytes = (files) => Math.round(files.reduce((sum, file) => sum + size(file), 0) / 1000);
  atMost('load', 'script of the first load, gzipped', kilobytes(first), 'kB', 200);
  note(
    'load',
    'script of all steps, kept for offline use, gzipped',
    kilobytes([...new Set(kept.map(([, file]) => file))]),
    'kB',
  );
}
