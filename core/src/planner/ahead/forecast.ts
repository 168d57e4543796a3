import type { SwitchMap } from '../../continuity/index.js';
import { openPrompt, sameAsk, type Approach, type Ask } from '../../log/index.js';
import { type SettingId, type TerminalId } from '../../switch/index.js';
import { approachOf, askOfMove, costsOf, plannerOf } from '../schools/approach.js';
import { agrees } from '../schools/certify.js';
import { learntChance, type Chance } from '../chance/chance.js';
import { copyField, playMove, type Field } from '../field/field.js';
import { fieldOf, handsOf, settingsInOrder } from '../field/field-of-map.js';
import { costOf, type Hands } from '../hands/hands.js';
import { supposedJoins, type JoinedAt } from './supposed.js';
import { keysOf, labelLengths, turnsOf } from './keys-and-turns.js';
import { lastOf } from '../field/last-of.js';
import type { Move } from '../hands/move.js';
import { namedPairs } from '../schools/named-pairs.js';
import type { Outlook } from '../next/plan.js';
import type { Course } from '../schools/course.js';

/** What mapping will probably still take, in the settings found so far. */
export interface Expected extends Omit<Course, 'hands'> {
  /** How often the handle is turned. */
  turns: number;
  /** Keys pressed where a beeper is heard and nothing listens: see `keysOf`. */
  keys: number;
}

/** What the switch is supposed to be: the first hypothesis that agrees, else what chance says. */
function supposition(
  field: Field,
  chanceOf: (field: Field) => Chance,
  { hypotheses = [] }: Outlook,
): JoinedAt {
  const fits = hypotheses.find((one) => agrees(field, one));
  return fits
    ? (setting, a, b) => fits.pattern[setting]?.[a] === fits.pattern[setting]?.[b]
    : supposedJoins(field, chanceOf);
}

/**
 * The approach's own run over the predicted rest, a few acts at a time: each step yields what it has counted so far, so
 * that a worker can look up between them; the last value is the whole. With `mostActs` acts or more it stops and says less
 * than the whole.
 */
export function* forecastCourse(
  map: SwitchMap,
  at: SettingId | null,
  outlook: Outlook = {},
  approach: Approach = approachOf(map),
  mostActs = 4000,
): Generator<Expected, Expected> {
  const costs = costsOf(map, approach);
  const field = copyField(fieldOf(map));
  const chanceOf = outlook.chance ?? learntChance;
  // What it looks like serves as the supposition whatever the order of probing.
  const joined = supposition(field, chanceOf, outlook);
  const held = (setting: number) => field.settings[setting]?.held ?? false;
  const total: Expected = { acts: 0, readings: 0, touches: 0, seconds: 0, turns: 0, keys: 0 };
  const labels = labelLengths(map);
  let hands: Hands = handsOf(map, at);
  const named = namedPairs(map);
  while (total.acts < mostActs) {
    const { planner } = plannerOf(approach, outlook.hypotheses, named)(field);
    const move = planner({ field, hands, costs, chance: chanceOf(field) });
    if (!move) break;
    const touched = playMove(field, move, joined);
    if (!touched) break;
    const cost = costOf(move, hands, costs, held, touched);
    total.turns += turnsOf(move, hands);
    total.keys += keysOf(move, touched, { joined, labels });
    hands = cost.after;
    total.acts += 1;
    total.readings += touched.length;
    total.touches += cost.touches;
    total.seconds += cost.seconds;
    yield { ...total };
  }
  return total;
}

/** What an approach would still take, as `forecastCourse` counts it, without looking up between its steps. */
export function expectedCourse(
  map: SwitchMap,
  at: SettingId | null,
  outlook: Outlook = {},
  approach?: Approach,
): Expected {
  return lastOf(forecastCourse(map, at, outlook, approach));
}

/**
 * What is asked after a prompt: when nothing in it sounds, and when its likeliest does. null: the plan goes elsewhere, or
 * such an answer would contradict what is known.
 */
export interface FollowUps {
  /** What was asked; null: nothing. */
  of: Ask | null;
  silent: Ask | null;
  sounded: Ask | null;
  /** What sounds in the second case, and it alone: the terminal of a sweep, else the setting. */
  likeliest: TerminalId | SettingId | null;
}

/** Both follow-ups of the move that the approach proposes now, worked out before the hands have moved. */
export function followUpsOf(map: SwitchMap, at: SettingId | null, outlook: Outlook = {}): FollowUps {
  const approach = approachOf(map);
  const costs = costsOf(map, approach);
  const field = fieldOf(map);
  const chanceOf = outlook.chance ?? learntChance;
  const plannerFor = plannerOf(approach, outlook.hypotheses, namedPairs(map));
  const now = { field, hands: handsOf(map, at), costs, chance: chanceOf(field) };
  const move = plannerFor(field).planner(now);
  if (!move) return { of: null, silent: null, sounded: null, likeliest: null };
  const { after } = costOf(move, now.hands, costs, (setting) => field.settings[setting]?.held ?? false);
  const then = (joined: JoinedAt): Ask | null => {
    const next = copyField(field);
    if (!playMove(next, move, joined)) return null;
    const planned = plannerFor(next).planner({ field: next, hands: after, costs, chance: chanceOf(next) });
    return planned && askOfMove(map, planned);
  };
  const [setting, a, b] = likeliestOf(move, now.chance);
  const key = move.kind === 'sweep' ? map.structure.terminals[b]?.id : settingsInOrder(map)[setting];
  return {
    of: askOfMove(map, move),
    likeliest: key ?? null,
    silent: then(() => false),
    sounded: then(
      (s, one, other) => s === setting && ((one === a && other === b) || (one === b && other === a)),
    ),
  };
}

/** The pair of a move that most probably joins. */
function likeliestOf(move: Move, chance: Chance): [setting: number, a: number, b: number] {
  const all: [number, number, number][] =
    move.kind === 'sweep'
      ? move.black.map((black) => [move.setting, move.red, black])
      : move.settings.flatMap((setting) =>
          move.red.flatMap((red) =>
            move.black.map((black): [number, number, number] => [setting, red, black]),
          ),
        );
  return all.reduce((best, one) => (chance(...one) > chance(...best) ? one : best));
}

/**
 * The next ask, where it was worked out beforehand: the log has gone on from `before` by one answer alone, to the prompt that
 * was foreseen, and it was as one of the follow-ups supposed; or by a meter check alone. null where it has to be planned.
 */
export function foreseenAsk(
  before: SwitchMap,
  { of, silent, sounded, likeliest }: FollowUps,
  map: SwitchMap,
): Ask | null {
  const [event, ...more] = map.log.ordered.slice(before.log.ordered.length);
  const prompt = openPrompt(before.log);
  if (
    !event ||
    more.length > 0 ||
    map.log.ordered[before.log.ordered.length - 1] !== before.log.ordered.at(-1)
  )
    return null;
  // The leads were held together in between: what was to be asked before it still is.
  if (event.what.kind === 'meter-checked') return prompt ? null : of;
  if (event.what.kind !== 'answered' || !prompt || event.what.prompt !== prompt.id) return null;
  if (!of || !sameAsk(of, prompt.ask)) return null;
  const lines = map.tape.filter((line) => line.event.id === event.id);
  if (lines.some(({ standing, evidence }) => standing !== 'counts' || evidence.says === 'nothing'))
    return null;
  const joined = lines.filter(({ evidence }) => evidence.says === 'joins');
  if (joined.length === 0) return silent;
  const [only, ...others] = joined;
  const at = only && [only.reading.black[0], only.reading.setting];
  return others.length === 0 && likeliest !== null && at?.includes(likeliest) ? sounded : null;
}
