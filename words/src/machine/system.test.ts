import type { LoadDoes } from '@which-way/core/circuit';
import type { Load } from '@which-way/core/log';
import {
  AT_REST,
  AT_WORK,
  type LoadBehaviour,
  type SystemHandle,
  type SystemHazard,
} from '@which-way/core/system';
import type { JobId, LoadId, PinnedDeviceId, SettingId } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { behaviourWords, doesWords, shortTitles, standingsWords, systemHazardWords } from './system.js';

const device = (name: string, kind: 'float' | 'thermostat', from: number): SystemHandle => ({
  ...{ of: 'device', from, size: 2, settings: [AT_REST, AT_WORK] },
  device: { id: name as PinnedDeviceId, name, kind, contact: 'makes', removed: false },
});
const handles = [device('Float', 'float', 0), device('Stove', 'thermostat', 2)];
const job = () => 'A switch';
const pump = { name: 'pump' };

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

describe('what loads do, in a line', () => {
  const named = (...names: string[]) => names.map((name) => ({ name }) as Load);
  const does =
    (states: Record<string, LoadDoes>) =>
    ({ name }: Load): LoadDoes =>
      states[name] ?? 'off';

  it('tells few one by one, and of many those that are not off', () => {
    expect(doesWords(named('lamp', 'pump'), does({ lamp: 'full' }))).toBe('lamp full, pump off');
    const many = named('bow', 'stern', 'cabin', 'pump', 'horn');
    expect(doesWords(many, does({ bow: 'full', stern: 'full', horn: 'not-known' }))).toBe(
      'bow and stern full, horn not known, all else off',
    );
    expect(doesWords(many, does({}))).toBe('everything off');
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
      'Pump runs as soon as Float is at water low or Stove is at warm.',
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

it('a hazard of a system is said with where it is, and how often it is elsewhere', () => {
  const hazard: SystemHazard['hazard'] = {
    kind: 'live-at-off',
    setting: 'x' as SettingId,
    loads: ['l' as LoadId],
  };
  const names = {
    job: (_: JobId) => '',
    handles,
    loads: [{ id: 'l', name: 'heater' } as never],
    supplies: [],
  };
  const said = (times: number) =>
    systemHazardWords({ hazard, combination: [AT_REST, AT_REST], handle: null, times }, names);
  expect(said(1)).toBe(
    'With Float at water low, Stove at cold: nothing runs, and heater stays live: only the return is broken.',
  );
  expect(said(3)).toMatch(/ So it is in 2 more\.$/);
});
