import type { KnownSwitch } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { newId } from '../../job/new-id.js';
import { catalogueCsv, lookAt, mappingFor, readCatalogue, type Catalogue } from './catalogue.js';

const fileOf = (content: BlobPart) => new File([content], 'parts.csv');
const read = async (text: string): Promise<Catalogue> => {
  const found = await readCatalogue(fileOf(text));
  if (typeof found === 'string') throw new Error(found);
  return found;
};

describe('a catalogue that is taken in', () => {
  it.each([
    ['a quote that takes the rest of the file into one cell', 'name,note\nA,"x\nB,y\nC,z\n', 'open-quote'],
    ['no row', 'name,terminals\n\n', 'no-rows'],
    ['nothing', '', 'no-rows'],
  ])('is refused with %s', async (_, text, trouble) => {
    expect(await readCatalogue(fileOf(text))).toBe(trouble);
  });

  it('is refused where letters would be lost', async () => {
    const latin = Uint8Array.from([...'name\nGr'].map((one) => one.charCodeAt(0)).concat(0xfc, 0x6e));
    expect(await readCatalogue(fileOf(latin))).toBe('not-utf-8');
  });

  it('knows each row by its place in the file, blank lines counted', async () => {
    expect((await read('\uFEFFname,terminals\n\nA,1 2\n,\nB,1 2\n')).rows.map(({ at }) => at)).toEqual([
      3, 5,
    ]);
  });

  it('takes no row with a cell behind the last column: a comma without quotes moves all that follows', async () => {
    const { head, rows } = await read(
      'name,terminals,positions\nA,1 2,A: 1-2\nB,with a cover,1 2,A: 1-2\nC,1 2,A: 1-2,\n',
    );
    const found = rows.map((row) => lookAt(row, head, mappingFor(head)));
    expect(found.map(({ ok }) => ok)).toEqual([true, false, true]);
    expect(found[1]).toMatchObject({ troubles: [{ code: 'more-cells', text: 'A: 1-2' }] });
  });

  it.each([',', ';', '\t', '|'])(
    'is read with %j between its cells, whatever stands within them',
    async (mark) => {
      // Semicolons between the positions outnumber the commas between the cells.
      const lines = [
        ['name', 'terminals', 'positions'],
        ['A', '1 2 3', '"L: 1-2; M: ; N: ; H: 1-3"'],
      ];
      const found = await read(lines.map((cells) => cells.join(mark)).join('\n'));
      expect(found.separator).toBe(mark);
      expect(found.rows.map((row) => lookAt(row, found.head, mappingFor(found.head)).ok)).toEqual([true]);
    },
  );

  it('joins a list again that nobody quoted, and only where each piece can be nothing else', async () => {
    const found = await read(
      'name,terminals,positions,maker\nA,1,2,3,L: 1-2; H: 1-3,x\nB,1 2 3,L: 1-2,H: 1-3,y\nC,lamp,1,2,L: 1-2,z\n',
    );
    const looked = found.rows.map((row) => lookAt(row, found.head, mappingFor(found.head)));
    expect(looked.map(({ ok }) => ok)).toEqual([true, true, false]);
    expect(looked[0]).toMatchObject({ entry: { terminals: ['1', '2', '3'], maker: 'x' } });
    expect(looked[1]).toMatchObject({ entry: { positions: [{ name: 'L' }, { name: 'H' }], maker: 'y' } });
  });

  it('comes back from a file that keeps formulas from a spreadsheet', async () => {
    const entry: KnownSwitch = {
      ...{ id: newId(), kind: 'part', name: '=Lever, nine', maker: '@home', family: '', form: 'unsaid' },
      ...{ terminals: ['+', '-', 'L 1'], note: '-40 to +60' },
      positions: [
        { name: '+;-', rests: 'maintained', joined: [['+', '-']] },
        { name: 'ON*', rests: 'momentary', joined: [['L 1', '-']] },
      ],
    };
    const { head, rows } = await read(catalogueCsv([entry]));
    expect(rows.map((row) => lookAt({ ...row, id: entry.id }, head, mappingFor(head)))).toEqual([
      { ok: true, entry },
    ]);
  });
});
