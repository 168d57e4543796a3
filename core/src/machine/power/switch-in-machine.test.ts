import { describe, expect, it } from 'vitest';
import type { LoadId, SettingId } from '../../switch/index.js';
import { drawnContacts, drawnCircuit, type Drawn } from '../wiring/drawn.js';
import { inSetting } from './in-setting.js';
import { switchInMachine } from './switch-in-machine.js';

const LAMPS: Drawn = {
  terminals: '1 2 3',
  supplies: {
    plus: { kind: '+', volts: 12, current: 'DC' },
    minus: { kind: '0', volts: null, current: 'DC' },
  },
  loads: { bow: { volts: 12, watts: 25, current: 'DC' }, stern: { volts: 12, watts: 25, current: 'DC' } },
  wires: '2>plus 1>bow.1 3>stern.1 bow.2>minus stern.2>minus',
};
const machine = drawnCircuit(LAMPS);
const at = (...joins: string[]) =>
  joins.map((one, index) =>
    inSetting(machine, `s${index}` as SettingId, drawnContacts(LAMPS.terminals, one)),
  );
const seen = (setting: number, load: string, what: 'on' | 'off' | 'right') => ({
  ...{ setting: `s${setting}` as SettingId, load: load as LoadId, seen: what },
});

describe('the differences of a switch, put into the machine', () => {
  it('a bridged changeover lights both lamps: that explains the complaint, and not a lamp that is dark', () => {
    const [mapped, should] = [at('1-2-3', '1-2-3'), at('1-2', '2-3')];
    const found = switchInMachine(mapped, should, [
      seen(0, 'stern', 'on'),
      seen(0, 'bow', 'right'),
      seen(1, 'stern', 'off'),
    ]);
    expect(found.otherwise).toMatchObject([
      { setting: 's0', load: 'stern', is: { does: 'full' }, should: { does: 'off' } },
      { setting: 's1', load: 'bow', is: { does: 'full' }, should: { does: 'off' } },
    ]);
    expect(found.explained).toHaveLength(2);
    expect(found.left).toEqual([seen(1, 'stern', 'off')]);
  });

  it('a switch that does as it should does nothing otherwise', () => {
    const same = at('1-2', '2-3');
    expect(switchInMachine(same, same, []).otherwise).toEqual([]);
  });
});
