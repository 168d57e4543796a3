import {
  AT_REST,
  AT_WORK,
  type FoundHazard,
  type LoadBehaviour,
  type LoadDoes,
  type MachineHandle,
} from '@which-way/core/machine';
import type { LoadId, PinnedDeviceId, SettingId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { behaviourWords } from './behaviour.js';
import { shortTitles, standingsWords } from './handles.js';
import { hazardWords } from './hazards.js';
import type { MachineNames } from './places.js';
import { machineSentence } from './sentence.js';

const device = (name: string, kind: 'float' | 'thermostat', from: number): MachineHandle => ({
  ...{ of: 'device', from, size: 2, settings: [AT_REST, AT_WORK] },
  device: { id: name as PinnedDeviceId, name, kind, contact: 'makes', removed: false },
});
const handles = [device('Float', 'float', 0), device('Stove', 'thermostat', 2)];
const job = () => 'A switch';
const pump = { name: 'pump' };
const namesWith = (loads: object[]): MachineNames => ({
  job,
  machine: { handles, circuit: { loads, supplies: [] } } as never,
});

describe('titles in a system', () => {
  it.each([
    [
      ['Stairs, foot', 'Stairs, head'],
      ['foot', 'head'],
    ],
    [
      ['Stairs', 'Stairs, head'],
      ['Stairs', 'Stairs, head'],
    ],
    [
      ['Lathe', 'Lathe'],
      ['Lathe', 'Lathe'],
    ],
    [['Mill, feed switch'], ['Mill, feed switch']],
    [
      ['Helm selector of the launch', 'Deck selector of the launch'],
      ['Helm', 'Deck'],
    ],
  ])('%j are %j', (titles, short) => expect(shortTitles(titles)).toEqual(short));
});

describe('what a machine does as it stands, in a sentence', () => {
  const state = (does: LoadDoes, share = 1, watts: number | null = null) => ({ does, share, watts });
  const says = (states: Record<string, ReturnType<typeof state>>, watts: number | null = null) =>
    machineSentence(
      { loads: new Map(Object.entries(states)) as never, watts },
      [AT_REST, AT_REST],
      namesWith(Object.keys(states).map((name) => ({ id: name, name }))),
    );

  it('tells what is not off, with the share of a part and the watts of all', () => {
    const where = 'Float at water low, Stove at cold';
    expect(says({ lamp: state('full'), pump: state('off', 0) })).toBe(`${where}: lamp full`);
    expect(says({ bow: state('part', 0.25), stern: state('part', 0.25) }, 500)).toBe(
      `${where}: bow and stern at 25 %, 500\u00a0W`,
    );
    expect(says({ lamp: state('off', 0) }, 0)).toBe(`${where}: everything off`);
  });
});

describe('when a load runs, in words', () => {
  const at = (handle: number, ...settings: SettingId[]) => ({ handle, settings });
  const said: [LoadBehaviour, string][] = [
    [{ kind: 'either', handles: [0, 1] }, 'Pump changes whenever either of Float and Stove moves.'],
    [
      { kind: 'all', parts: [at(0, AT_WORK), at(1, AT_REST)] },
      'Pump runs only while Float is at water high and Stove is at cold.',
    ],
    [
      { kind: 'any', parts: [at(0, AT_REST), at(1, AT_WORK)] },
      'Pump runs whenever Float is at water low or Stove is at warm.',
    ],
    [{ kind: 'follows', part: at(1, AT_WORK) }, 'Pump runs while Stove is at warm, whatever the others do.'],
    [{ kind: 'not-known' }, 'Pump: not known in every combination.'],
  ];
  it.each(said)('%j', (behaviour, words) =>
    expect(behaviourWords(pump, behaviour, handles, job)).toBe(words),
  );

  it('and how all stand', () => {
    expect(standingsWords(handles, [AT_WORK, AT_REST], job)).toBe('Float at water high, Stove at cold');
  });
});

it('a hazard is said with where it is, and how often it is elsewhere', () => {
  const hazard: FoundHazard['hazard'] = {
    kind: 'live-at-off',
    setting: 'x' as SettingId,
    loads: ['l' as LoadId],
    supplies: [],
  };
  const names = namesWith([{ id: 'l', name: 'heater' }]);
  const said = (times: number) =>
    hazardWords({ hazard, combination: [AT_REST, AT_REST], handle: null, times }, names);
  expect(said(1)).toBe(
    'With Float at water low, Stove at cold: nothing runs, and heater stays live: only the return is broken.',
  );
  expect(said(3)).toMatch(/ So it is in 2 more\.$/);
});
