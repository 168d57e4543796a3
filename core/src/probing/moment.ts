import type { SwitchMap } from '../continuity/index.js';
import { clipChangeFor, handleAt, type Plan } from '../planner/index.js';
import type { Ask, MeterProfile, Prompt, Value } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import type { ProbingHands } from './hands.js';
import { impliedIn, isMany, nextTouch, shownPrompt, taskOf, type Found, type Task } from './task.js';

/** What the machine works on: the map, what the plan says next, and what is true of the bench. */
export interface Scene {
  map: SwitchMap;
  /** null for the moment in which it is thought of. */
  plan: Plan | null;
  /** Make safe is answered: something may be asked at all. */
  open: boolean;
  inCircuit: boolean;
  /** Whether a meter answers by itself, and which; null: the person types or taps. */
  meter: 'simulated' | 'meter' | null;
  /** How many positions the handle of a simulated switch has; null: a real one. */
  clicks: number | null;
  /** Whether a pedal has been learnt for sounded or for none. */
  pedals: boolean;
  /** The ear listens for the beeper; absent: it does not. In ohms it answers nothing. */
  ear?: boolean;
  /** The meter in the hand as it was chosen on this bench; absent: as the job had it last. */
  profile?: MeterProfile | null;
  /** A meter on a wire answers touch by touch; absent: none does. By tone it answers nothing. */
  wired?: boolean;
}

/** A scene with the hands in it, and what follows from both: what is asked, where, and what is found of it so far. */
export interface Moment extends Scene {
  hands: ProbingHands;
  prompt: Prompt | null;
  task: Task | null;
  /** Where the handle should be. */
  at: SettingId | null;
  /** The ask of the task, where several answer it at once; else null. */
  many: Ask | null;
  /** What was found of the prompt so far. */
  found: Found;
  /** What need not be touched any more. */
  implied: ReadonlySet<TerminalId | SettingId>;
  /** The touch or position that is answered next, where one is after the other; null: the whole at once. */
  stepAt: TerminalId | SettingId | null;
  /** What none and sounded stand for. */
  none: Value;
  sounded: Value;
}

const NOTHING_FOUND: Found = new Map();
const SOUNDED: Value = { kind: 'tone', sounded: true };

/** What follows from a map alone, worked out once for it. */
export interface MapMoment {
  prompt: Prompt | null;
  clips: ReturnType<typeof clipChangeFor>;
  handle: SettingId | null;
}

/** What follows from a map alone: worth keeping while only the hands move. */
export function mapMoment(map: SwitchMap): MapMoment {
  const prompt = shownPrompt(map);
  return { prompt, clips: prompt && clipChangeFor(map, prompt.ask), handle: handleAt(map) };
}

/** A scene with the hands in it. @param known what follows from the map, if it is at hand. */
export function momentOf(scene: Scene, hands: ProbingHands, known: MapMoment = mapMoment(scene.map)): Moment {
  const { map, plan } = scene;
  const { prompt, clips, handle } = known;
  const again = map.tape.find(
    ({ reading, standing }) => hands.again.readings[0] === reading.id && standing === 'counts',
  )?.reading;
  const task = taskOf(again, plan, prompt, clips);
  const found =
    hands.tapped && hands.tapped.prompt === (prompt?.id ?? null) ? hands.tapped.values : NOTHING_FOUND;
  const many = task?.kind === 'prompt' && isMany(task.prompt.ask) ? task.prompt.ask : null;
  const implied = impliedIn(map, prompt, found);
  return {
    ...scene,
    hands,
    prompt,
    task,
    at: again?.setting ?? handle,
    many,
    found,
    implied,
    stepAt: many && touchByTouch(scene, hands) ? nextTouch(many, found, implied) : null,
    none: hands.sense === 'tone' ? { kind: 'tone', sounded: false } : { kind: 'over' },
    sounded: SOUNDED,
  };
}

/** Whether one touch is answered after the other: by pedals, by ear, by a meter on a wire, and where each value is typed. */
function touchByTouch({ meter, pedals, ear, wired }: Scene, { sense }: ProbingHands): boolean {
  return meter === null && (pedals || ear === true || wired === true || sense === 'ohms');
}

/** What the plan wants shown and nobody has shown yet. */
export function wantedAsk({ task, plan, open }: Moment): Ask | null {
  return task === null && plan?.kind === 'ask' && open ? plan.ask : null;
}
