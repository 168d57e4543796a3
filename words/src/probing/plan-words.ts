import type { ClipUse, SwitchMap } from '@which-way/core/continuity';
import { handleLeftAt, lookedEnough, type Plan } from '@which-way/core/planner';
import type { SettingId } from '@which-way/core/switch';
import { LOOK_AGAIN_ADVICE, LOOK_AGAIN_WORDS } from '../map/facts.js';
import { settingMoveWords } from '../tag/handles.js';
import { settingName, terminalList, terminalName } from '../terminals.js';

/** What is asked, big; and what stays as it is, small. */
export interface PromptWords {
  /** The handle has to move first. */
  turn: string | null;
  big: string;
  /** What stays; the red lead's terminal is named first where there is one. */
  small: string;
  red: string | null;
}

/** What is big and what is small, where no handle has to move. */
export const say = (big: string, small: string, red: string | null = null): PromptWords => ({
  turn: null,
  big,
  small,
  red,
});

/** The same of a position: the handle has to be there first. */
export function sayAt(map: SwitchMap, setting: SettingId, big: string, small: string): PromptWords {
  const { structure } = map;
  const there = handleLeftAt(map) === setting;
  const turn = there ? null : settingMoveWords(structure, setting, settingName(structure, setting));
  return { ...say(big, small), turn };
}

/** A terminal by its name; '?' where it is not known. */
export function named(map: SwitchMap, id: Parameters<typeof terminalName>[1] | undefined): string {
  return id ? terminalName(map.structure, id) : '?';
}

const ENOUGH_ADVICE =
  'Three readings have not settled it. Choose in the panel what it is, or leave it as not known.';

/** What to look at again, and why. */
export function lookAgainWords(
  map: SwitchMap,
  { setting, item }: Extract<Plan, { kind: 'look-again' }>,
): PromptWords {
  const ids = map.settings.get(setting)?.settled.terminals ?? [];
  return sayAt(
    map,
    setting,
    `Look again at ${named(map, ids[item.a])}–${named(map, ids[item.b])}`,
    `At ${settingName(map.structure, setting)} it ${LOOK_AGAIN_WORDS[item.because]}. ${
      lookedEnough(map, setting, item) ? ENOUGH_ADVICE : LOOK_AGAIN_ADVICE[item.because]
    }`,
  );
}

/** Clips that came off before anyone touched them again: since which reading. */
export function clipsUnprovedWords(map: SwitchMap, uses: readonly ClipUse[]): PromptWords {
  const clips = terminalList(map.structure, [...new Set(uses.map(({ terminal }) => terminal))]);
  const first = new Set(uses.map(({ readings }) => readings[0]));
  const since = map.tape.findIndex(({ reading }) => first.has(reading.id)) + 1;
  return say(
    uses.length === 1 ? `The clip on ${clips} isn’t proven` : `The clips on ${clips} aren’t proven`,
    `Not checked since reading ${since}, so some opens may be false. The map isn’t complete until those are read again.`,
  );
}

/** The map that ends with something left not known. */
export const leftNotKnownWords = (pairs: number): PromptWords =>
  say(
    pairs === 1 ? 'One pair is left as not known' : `${pairs} pairs are left as not known`,
    'Everything else is settled, but the map is not complete. The table shows which. Read a pair again to reopen it.',
  );

/** The re-check that goes no further. */
export const notRecheckedWords = (pairs: number): PromptWords =>
  say(
    'Re-checked as far as possible',
    `${pairs === 1 ? 'In one pair' : `In ${pairs} pairs`} a single slip would not show: what lies across conducts one way only, or was accepted as it is. Nothing was skipped.`,
  );

/** The working pairs are read. */
export const workingPairsWords = (pairs: number): PromptWords =>
  say(
    'The working pairs are found',
    `${pairs} pairs are not known: throws were not tested against each other, nor poles against poles. This does not count as a pass.`,
  );

/** The quick check is read. */
export const namedPairsWords = ({
  named,
  known,
  pairs,
}: {
  named: number;
  known: number;
  pairs: number;
}): PromptWords =>
  named === 0
    ? say('No pairs chosen', 'Name them at How to map, such as 1-2, 3-4.')
    : say(
        'The named pairs are read',
        `${known} of their ${named} readings are known, of ${pairs} pairs in these positions. The rest isn’t tested: a short or a wrong contact there would not show.`,
      );
