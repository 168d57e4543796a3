import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { partitionFromGroups, type Pattern } from '../partition/index.js';
import { bench, CLOSED, mapHidden, OPEN } from '../testing/generated.js';
import { settingsInTurn, sprungSettings } from './in-turn.js';

const nets = (size: number, ...settings: number[][][]): Pattern =>
  settings.map((groups) => partitionFromGroups(size, groups));

describe('a switch setting by setting', () => {
  it('leaves no contact out: those that are not of the common, and chains of three, are told too', () => {
    const on = bench(8, 2);
    // 1 is the common of one pole; 3-4 and 6-7 are closed besides, and in the second position three lugs are one net.
    const { map } = mapHidden(nets(8, [[0, 7], [2, 3], [5, 6]], [[0, 1], [2, 3, 4]]), on); // prettier-ignore
    const place = (id: string) => on.terminals.findIndex((one) => one === id) + 1;
    expect(settingsInTurn(map).map((told) => told.nets.map((net) => net.map(place)))).toEqual([
      [[1, 8], [3, 4], [6, 7]], // prettier-ignore
      [[1, 2], [3, 4, 5]], // prettier-ignore
    ]);
    expect(settingsInTurn(map).map(({ open }) => open)).toEqual([0, 0]);
  });

  it('counts what is not known, and calls nothing closed that is in dispute', () => {
    const on = bench(3, 1);
    on.read(0, 0, 1, CLOSED);
    expect(settingsInTurn(deriveMap(on.events))).toMatchObject([{ nets: [{ length: 2 }], open: 2 }]);
    on.read(0, 0, 1, OPEN);
    expect(settingsInTurn(deriveMap(on.events))).toMatchObject([{ nets: [], open: 3 }]);
  });

  it('keeps a part that was read and accepted, with its newest value, until it reads otherwise', () => {
    const on = bench(2, 1);
    const part = () => {
      const reading = on.read(0, 0, 1, { kind: 'ohms', ohms: 82.2 });
      on.add({ kind: 'explained', readings: [reading.id], as: 'part', note: '' });
    };
    part();
    part();
    const [told] = settingsInTurn(deriveMap(on.events));
    expect(told?.nets).toEqual([]);
    expect(told?.parts).toMatchObject([{ between: on.terminals, quantity: { ohms: 82 } }]);
    on.read(0, 0, 1, CLOSED);
    expect(settingsInTurn(deriveMap(on.events))[0]?.parts).toEqual([]);
  });

  it('marks where the handle is held: as described, or as a person answered it', () => {
    const on = bench(2, 2);
    const [actuator] = deriveMap(on.events).structure.actuators;
    const [rest, pushed] = actuator?.positions ?? [];
    expect(sprungSettings(deriveMap(on.events))).toEqual(new Set());
    if (!rest || !pushed) throw new Error('two positions are described');
    on.add({ kind: 'spring-answered', answer: { position: pushed.id, found: rest.id } });
    expect(sprungSettings(deriveMap(on.events))).toEqual(new Set([on.settings[1]]));
  });
});
