import { describe, expect, it } from 'vitest';
import { pictureSheet } from './picture-sheet.js';
import { schematicPicture, type Schematic } from './schematic.js';
import { svgText } from './svg-text.js';

const throwOf = (label: string, now: boolean, ...names: string[]) => ({
  label,
  now,
  closedAt: names.map((name) => ({ name, returns: name === 'START' })),
});
const CHANGEOVER: Schematic = {
  linked: true,
  poles: [
    [{ label: '2', throws: [throwOf('1', true, 'UP'), throwOf('3', false, 'DOWN')] }],
    [{ label: '5', throws: [throwOf('4', true, 'START')] }],
  ],
};

/** Where lines end, of all lines of a picture that are no leads and no link. */
const arms = (schematic: Schematic) =>
  [...svgText(schematicPicture(schematic, 'x')).matchAll(/<line ([^>]*)>/g)]
    .map(
      ([, attributes = '']) =>
        Object.fromEntries(
          [...attributes.matchAll(/([\w-]+)="([^"]*)"/g)].map(([, name, value]) => [name, value]),
        ) as Record<string, string>,
    )
    .filter((line) => line['stroke-width'] === '5');

describe('a schematic', () => {
  it('draws each arm to the throw that it lies on, one link through all, and marks what springs back', () => {
    const text = svgText(schematicPicture(CHANGEOVER, 'Two poles'));
    for (const label of ['2', '1', '3', '5', '4', 'UP', 'DOWN', 'START'])
      expect(text).toContain(`>${label}<`);
    expect(text.match(/stroke-dasharray/g)).toHaveLength(1);
    expect(text.match(/<path/g)).toHaveLength(1);
    expect(arms(CHANGEOVER).map((arm) => arm['x2'])).toEqual(['551', '551']);
  });

  it('at rest on nothing no arm touches a throw', () => {
    const open = {
      ...CHANGEOVER,
      poles: CHANGEOVER.poles.map((pole) =>
        pole.map((moving) => ({ ...moving, throws: moving.throws.map((one) => ({ ...one, now: false })) })),
      ),
    };
    expect(arms(open).every((arm) => Number(arm['x2']) < 500)).toBe(true);
  });

  it('grows with its throws, and draws a bridging contact to both', () => {
    const many = Array.from({ length: 6 }, (_, at) => throwOf(String(at + 2), at < 2, 'A'));
    const one = { linked: false, poles: [[{ label: '1', throws: many }]] };
    expect(schematicPicture(one, 'x').height).toBeGreaterThan(6 * 60);
    expect(arms(one)).toHaveLength(2);
  });
});

describe('a sheet of pictures', () => {
  it('puts them row by row under their titles, each row as high as its highest', () => {
    const of = (height: number) => ({ width: 1000, height, shapes: [], caption: '' });
    const sheet = pictureSheet(
      [
        { title: 'OFF', picture: of(300) },
        { title: 'LOW', picture: of(500) },
        { title: 'HIGH & up', picture: of(200) },
      ],
      2,
      'All settings',
    );
    expect(sheet).toMatchObject({ width: 2040, height: 300 + 500 + 60 });
    const text = svgText(sheet);
    expect(text).toContain('translate(1040 0)');
    expect(text).toContain('translate(0 600)');
    expect(text).toContain('HIGH &#38; up');
  });
});
