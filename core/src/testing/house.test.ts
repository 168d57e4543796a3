import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('../../..', import.meta.url));
const PACKAGES = ['core', 'words', 'drawing', 'contract', 'server', 'web'];

describe('the page on architecture', () => {
  const page = readFileSync(`${root}docs/architecture.md`, 'utf8');

  it('names every folder', () => {
    const folders = PACKAGES.flatMap((name) => [
      `${name}/src`,
      ...readdirSync(`${root}${name}/src`, { recursive: true, withFileTypes: true }).flatMap((entry) =>
        entry.isDirectory() ? [`${entry.parentPath.slice(root.length)}/${entry.name}`] : [],
      ),
    ]);
    expect(folders.length).toBeGreaterThan(70);
    // What the screens and the server say has the rooms of those who say it.
    const mirrored = (folder: string) =>
      [
        ['words/src/screens/', 'web/src/'],
        ['words/src/server/', 'server/src/'],
      ].some(([of = '', where = '']) => folder.startsWith(of) && folders.includes(folder.replace(of, where)));
    const unnamed = folders.filter((folder) => {
      if (mirrored(folder)) return false;
      const short = folder.replace(/^(core|web)\/src\//, '');
      return ![folder, short].some((one) => page.includes(`\`${one}\``) || page.includes(`\`${one}/`));
    });
    expect(unnamed.filter((folder) => !['core/src', 'server/src', 'web/src'].includes(folder))).toEqual([]);
  });

  it('names no file that is not there', () => {
    const files = new Set(
      [...PACKAGES.map((name) => `${name}/src`), 'tools'].flatMap((folder) =>
        readdirSync(`${root}${folder}`, { recursive: true }).map((path) => String(path).split('/').at(-1)),
      ),
    );
    const named = [...page.matchAll(/`(?:[\w/-]+\/)?([\w.-]+\.(?:ts|tsx|mjs))`/g)].map(
      ([, file = '']) => file,
    );
    expect(named.length).toBeGreaterThan(25);
    expect(named.filter((file) => !files.has(file))).toEqual([]);
  });
});

describe('the tools', () => {
  const tools = readdirSync(`${root}tools`, { recursive: true })
    .map(String)
    .filter((file) => file.endsWith('.mjs'));
  const asked = tools.flatMap((file) =>
    [
      ...readFileSync(`${root}tools/${file}`, 'utf8').matchAll(
        /import \{([^}]*)\} from '@which-way\/core\/(\w+)'/g,
      ),
    ].map(([, names = '', floor = '']) => ({
      file,
      floor,
      names: names.split(',').map((name) => name.trim().split(' ')[0] ?? ''),
    })),
  );

  it('ask the core for nothing that it does not give', () => {
    expect(asked.length).toBeGreaterThan(30);
    for (const { file, floor, names } of asked) {
      const folder = `${root}core/src/${floor}/`;
      const index = readFileSync(`${folder}index.ts`, 'utf8');
      const whole = [...index.matchAll(/export \* from '\.\/([\w/-]+)\.js'/g)].map(([, path = '']) =>
        readFileSync(`${folder}${path}.ts`, 'utf8'),
      );
      const given = new Set([index, ...whole].join(' ').match(/\w+/g));
      expect([file, names.filter((name) => name !== '' && !given.has(name))]).toEqual([file, []]);
    }
  });
});
