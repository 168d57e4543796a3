import { describeSwitch, type ReadingId, type SettingId, type TerminalId } from '@which-way/core/switch';
import { ORDINARY_METER, PLAIN_APPROACH, type Approach, type Deed, type Value } from '@which-way/core/log';
import { newId } from '../job/new-id.js';

/** What a job's log is made of in tests of screens: a switch in one row, and what may have been done with it. */
export function aSwitch(terminals: number, positions: number | null, positionNames: readonly string[] = []) {
  const change = describeSwitch(
    { terminals, positions, form: 'rotary', layout: 'one-row', positionNames },
    newId,
  );
  const ids = change.terminals.map(({ id }) => id);
  const lead = (places: number[]) => places.map((place) => ids[place] as TerminalId);
  /** A reading of the person's own choice, by places of terminals, in one of the settings. */
  const read = (
    red: number[],
    black: number[],
    value: Value,
    { inCircuit = false, setting = 0 }: { inCircuit?: boolean; setting?: number } = {},
  ): Deed => ({
    kind: 'answered',
    act: red.length + black.length > 2 ? 'bundle' : 'pair',
    prompt: null,
    source: 'typed',
    inCircuit,
    readings: [
      {
        id: newId<ReadingId>(),
        setting: change.settings[setting]?.id as SettingId,
        red: lead(red),
        black: lead(black),
        value,
      },
    ],
  });
  const described: Deed = { kind: 'restructured', change, basedOn: null };
  const checked: Deed = {
    kind: 'meter-checked',
    leadsTogether: { kind: 'ohms', ohms: 0.2 },
    meter: ORDINARY_METER,
  };
  const approached = (approach: Partial<Approach>): Deed => ({
    kind: 'approached',
    approach: { ...PLAIN_APPROACH, ...approach },
  });
  return { change, ids, described, checked, approached, read };
}
