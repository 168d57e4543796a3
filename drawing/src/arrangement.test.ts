import {
  describeSwitch,
  newIdFrom,
  newTerminal,
  seededRandom,
  type Layout,
  type PhotoId,
  type PlacedTerminal,
  type Side,
  type Terminal,
} from '@which-way/core/switch';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arrange, spotNear, spotsOf, tagPlace, type Place } from './arrangement.js';
import { tagGrowth, tagHalf, tagText } from './legible.js';

const newId = newIdFrom(seededRandom(6));
const lugs = (count: number): Terminal[] =>
  describeSwitch({ terminals: count, positions: 1, form: 'rotary', layout: 'list' }, newId).terminals;
const frame: Terminal = { ...newTerminal('FRAME', newId), role: 'frame' };
const photo = newId<PhotoId>();
const plainLayouts: Layout[] = (['two-rows', 'one-row', 'circle', 'list', 'wires'] as const).map((kind) => ({
  kind,
}));
const ownPlaces: Extract<Layout, { kind: 'wafers' | 'grid' }>[] = [
  { kind: 'wafers', decks: 1, places: 12 },
  { kind: 'wafers', decks: 2, places: 8 },
  { kind: 'wafers', decks: 4, places: 6 },
  { kind: 'grid', rows: 2, columns: 5 },
  { kind: 'grid', rows: 1, columns: 12 },
];
const far = (one: Place, other: Place) => Math.hypot(one.x - other.x, one.y - other.y);

describe('the arrangement of a switch', () => {
  it.each(plainLayouts)(
    '$kind: terminals lie apart, inside the drawing, and mirror left to right',
    (layout) => {
      fc.assert(
        fc.property(fc.integer({ min: 2, max: 48 }), (count) => {
          const terminals = [...lugs(count), frame];
          const [rear, front] = (['terminal', 'front'] as Side[]).map((side) =>
            arrange({ terminals, layout, placed: [] }, side),
          );
          if (!rear || !front) throw new Error('nothing was arranged');
          const places = [...rear.places.values()];
          expect(places).toHaveLength(count + 1);
          expect(rear.radius).toBeGreaterThanOrEqual(13);
          const near = places.flatMap((one, at) => places.slice(at + 1).map((other) => far(one, other)));
          expect(rear.apart).toBeGreaterThanOrEqual(Math.min(...near) - 1e-9);
          places.forEach(({ x, y }) => {
            expect(x > 0 && x < 1000).toBe(true);
            expect(y > 0 && y < rear.height).toBe(true);
          });
          for (const { id, role } of terminals) {
            if (role === 'frame') continue;
            expect(front.places.get(id)?.x).toBeCloseTo(1000 - (rear.places.get(id)?.x ?? 0), 6);
            expect(front.places.get(id)?.y).toBe(rear.places.get(id)?.y);
          }
        }),
        { numRuns: 25 },
      );
    },
  );

  it.each(ownPlaces)(
    '%j: a terminal put where a place is drawn lands on that place, from either side',
    (layout) => {
      const [terminal] = lugs(2);
      if (!terminal) throw new Error('no terminal');
      for (const side of ['terminal', 'front'] as Side[]) {
        for (const spot of spotsOf(layout)) {
          const placed: PlacedTerminal[] = [{ terminal: terminal.id, spot }];
          const { places, height } = arrange({ terminals: [terminal], layout, placed }, side);
          const place = places.get(terminal.id);
          expect(place && spotNear(layout, side, place, height)).toEqual(spot);
        }
      }
    },
  );

  it('wafers mirror each where it lies: deck 1 stays on the left from both sides', () => {
    const terminals = lugs(2);
    const layout: Layout = { kind: 'wafers', decks: 2, places: 4 };
    const placed = terminals.map(({ id }, deck) => ({
      terminal: id,
      spot: { on: 'wafers' as const, deck, face: 'front' as const, clock: 1 },
    }));
    const x = (side: Side) =>
      terminals.map(({ id }) => arrange({ terminals, layout, placed }, side).places.get(id)?.x ?? 0);
    const [rear, front] = [x('terminal'), x('front')];
    expect(rear[0]).toBeGreaterThan(250);
    expect(front[0]).toBeLessThan(250);
    expect((front[0] ?? 0) + (rear[0] ?? 0)).toBeCloseTo(500, 6);
    expect((front[1] ?? 0) + (rear[1] ?? 0)).toBeCloseTo(1500, 6);
  });

  it('a photo of the front is shown as it was taken from the front, and mirrored from the terminal side', () => {
    const [terminal] = lugs(2) as [Terminal, Terminal];
    const layout: Layout = { kind: 'photo', photo, side: 'front' };
    const placed: PlacedTerminal[] = [
      { terminal: terminal.id, spot: { on: 'photo', photo, x: 0.2, y: 0.5 } },
    ];
    const seen = (side: Side) => arrange({ terminals: [terminal], layout, placed }, side, 2);
    expect(seen('front').places.get(terminal.id)).toEqual({ x: 200, y: 250 });
    expect(seen('terminal').places.get(terminal.id)).toEqual({ x: 800, y: 250 });
    expect(seen('terminal').ground[0]).toMatchObject({ kind: 'photo', mirrored: true });
    expect(spotNear(layout, 'terminal', { x: 800, y: 250 }, 500)).toEqual(placed[0]?.spot);
  });

  it('what has no place yet lies in the tray below, and nothing lies on top of another', () => {
    const terminals = lugs(5);
    const { unplaced, places, height, ground } = arrange(
      { terminals, layout: { kind: 'grid', rows: 2, columns: 2 }, placed: [] },
      'terminal',
    );
    expect(unplaced).toEqual(terminals.map(({ id }) => id));
    expect(ground.some(({ kind }) => kind === 'tray')).toBe(true);
    const all = [...places.values()];
    all.forEach((one, index) =>
      all.slice(index + 1).forEach((other) => expect(far(one, other)).toBeGreaterThan(20)),
    );
    all.forEach(({ y }) => expect(y).toBeLessThan(height));
  });
});

describe('the tag of a wire', () => {
  it.each(plainLayouts.flatMap((layout) => [0, 30].map((least) => ({ kind: layout.kind, layout, least }))))(
    '$kind, type of at least $least: it stands clear of its terminal, and as near as it may',
    ({ layout, least }) => {
      const arrangement = arrange({ terminals: lugs(6), layout, placed: [] }, 'terminal');
      const grown = tagGrowth(least);
      const half = tagHalf(tagText('2', 'RD', grown));
      for (const place of arrangement.places.values()) {
        const tag = tagPlace(arrangement, place, 0, least);
        const away = Math.hypot(
          Math.max(0, Math.abs(tag.x - place.x) - half.width * grown),
          Math.max(0, Math.abs(tag.y - place.y) - half.height * grown),
        );
        expect(away).toBeGreaterThanOrEqual(arrangement.radius);
        expect(away).toBeLessThan(arrangement.radius + 10);
      }
    },
  );
});
