import { describeSwitch, newIdFrom, seededRandom, PLAIN_LAYOUTS } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { handlePicture } from './handles/handle-forms.js';
import type { Picture, Shape } from './shape.js';
import { strandOf } from './strand.js';
import { PAPER, svgText } from './svg-text.js';
import { switchPicture } from './switch-picture.js';

const SAID = { noPhoto: 'no photo', notPlaced: 'not placed', caption: 'A <switch> & its "lugs"' };

const described = (layout: (typeof PLAIN_LAYOUTS)[number]) =>
  describeSwitch(
    { terminals: 6, positions: 3, form: 'rotary', layout, labels: ['1', '2', '3', 'A&B', '<5>', '6'] },
    newIdFrom(seededRandom(7)),
  );

const drawn = (layout: (typeof PLAIN_LAYOUTS)[number]): Picture => {
  const change = described(layout);
  const [one, two, three] = change.terminals.map(({ id }) => id) as [never, never, never];
  const links = [
    { from: one, to: two, strand: strandOf(0) },
    { from: one, to: two, strand: strandOf(1), faint: true },
    { from: two, to: three, strand: strandOf(2), disputed: true },
  ];
  return switchPicture({ ...change, placed: [], links }, 'terminal', SAID);
};

const tags = (shape: Shape | string): string[] =>
  typeof shape === 'string' ? [] : [shape.tag, ...shape.children.flatMap(tags)].filter((tag) => tag !== '');

describe('a drawing as a file', () => {
  it.each(PLAIN_LAYOUTS)(
    'is well formed, with every colour said and no name of a screen left: %s',
    (layout) => {
      const picture = drawn(layout);
      const text = svgText(picture);
      expect(text).not.toMatch(/var\(|class|tabIndex|undefined|NaN/);
      const opened = [...text.matchAll(/<([a-z]+)[ >]/g)].map(([, tag]) => tag);
      const closed = [...text.matchAll(/<\/([a-z]+)>/g)].map(([, tag]) => tag);
      expect(opened.toSorted()).toEqual(closed.toSorted());
      expect(opened.length).toBe(picture.shapes.flatMap(tags).length + 2);
      expect(text).toContain('&#60;5&#62;');
    },
  );

  it('draws links between the same two terminals side by side', () => {
    const paths = [...svgText(drawn('two-rows')).matchAll(/ d="([^"]+)"[^>]*stroke-width="(?:11|5)"/g)];
    expect(new Set(paths.map(([, path]) => path)).size).toBe(3);
  });

  it('says which colour a palette lacks', () => {
    expect(() => svgText(drawn('circle'), { ink: '#000' })).toThrow(/palette has no/);
    expect(Object.keys(PAPER)).toContain('ink');
  });
});

describe('a handle as a drawing', () => {
  it('is mirrored for the terminal side: what is left goes right', () => {
    const [actuator] = described('list').actuators;
    if (!actuator) throw new Error('a switch has a handle');
    const said = { caption: 'Handle', stroke: '' };
    const tip = (side: 'front' | 'terminal') =>
      Number(/x2="([\d.]+)"/.exec(svgText(handlePicture(actuator, 0, side, said)))?.[1]);
    expect(tip('front') + tip('terminal')).toBeCloseTo(260, 6);
    expect(tip('front')).not.toBeCloseTo(130, 0);
  });
});
