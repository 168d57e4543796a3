import type { SwitchMap } from '../continuity/index.js';
import { impliedBySounded, type ClipChange, type Plan } from '../planner/index.js';
import { isLeakOhms, lastCheck, middleHint, quantityOf, type MiddleHint } from '../sense/index.js';
import {
  namedIn,
  openPrompt,
  readingsAsked,
  ORDINARY_METER,
  type Ask,
  type Prompt,
  type Reading,
  type Value,
} from '../log/index.js';
import { type SettingId, type Structure, type TerminalId } from '../switch/index.js';

/** A tone from the beeper, or ohms from the display. */
export type Sense = 'tone' | 'ohms';

/** What the hands are asked for now. */
export type Task =
  | { kind: 'plan'; plan: Exclude<Plan, { kind: 'ask' }> }
  | { kind: 'prompt'; prompt: Prompt }
  /** Before the prompt is read, or at the end, the clips: which come off, which go on, which are touched. */
  | { kind: 'clips'; prompt: Prompt | null; change: ClipChange }
  | { kind: 'correct'; reading: Reading };

/**
 * What is to be done: a correction before the meter check before the clips that the shown prompt wants before that prompt
 * before the plan's own, clips to prove among them.
 */
export function taskOf(
  wrong: Reading | undefined,
  plan: Plan | null,
  prompt: Prompt | null,
  clips: ClipChange | null,
): Task | null {
  if (wrong) return { kind: 'correct', reading: wrong };
  if (plan?.kind === 'check-meter') return { kind: 'plan', plan };
  if (prompt && clips) return { kind: 'clips', prompt, change: clips };
  if (prompt) return { kind: 'prompt', prompt };
  if (plan?.kind === 'prove-clips')
    return {
      kind: 'clips',
      prompt,
      change: { off: [], on: { red: [], black: [] }, touch: plan.clips, closing: true },
    };
  return plan === null || plan.kind === 'ask' ? null : { kind: 'plan', plan };
}

/** Whether all that a task names is still in use. */
export function standsIn(task: Task, structure: Structure): boolean {
  const inUse = new Set<string>([...structure.terminals, ...structure.settings].map(({ id }) => id));
  const { kind } = task;
  if (kind === 'prompt') return namedIn(task.prompt.ask).every((id) => inUse.has(id));
  if (kind === 'clips')
    return [...task.change.touch, ...(task.prompt ? namedIn(task.prompt.ask) : [])].every((id) =>
      inUse.has(id),
    );
  if (kind === 'correct')
    return [task.reading.setting, ...task.reading.red, ...task.reading.black].every((id) => inUse.has(id));
  return !('setting' in task.plan) || inUse.has(task.plan.setting);
}

/** The prompt that is still shown, if what it names is still in use. */
export function shownPrompt({ log, structure }: SwitchMap): Prompt | null {
  const prompt = openPrompt(log);
  return prompt && standsIn({ kind: 'prompt', prompt }, structure) ? prompt : null;
}

/** Whether the newest reading was in ohms: a person who goes on with a job goes on as before. */
export function lastReadInOhms({ tape }: SwitchMap): boolean {
  const last = tape.at(-1)?.reading.value.kind;
  return last === 'ohms' || last === 'over';
}

/** What was found so far: by terminal in a sweep, by setting while the leads are held and the handle turned. */
export type Found = ReadonlyMap<TerminalId | SettingId, Value>;

/** Whether an ask is answered by several at once: terminals that sounded, or positions. */
export const isMany = ({ kind }: Ask): boolean => kind !== 'pair';

/** Whether the leads stay while the handle is turned. */
export const isHeldAsk = (ask: Ask): ask is Extract<Ask, { kind: 'turn' | 'bundle' }> =>
  ask.kind === 'turn' || ask.kind === 'bundle';

/** The touch or position that the hands come to next, of those that an ask is for; null when they have been at all. */
export function nextTouch(
  ask: Ask,
  found: Found,
  implied: ReadonlySet<TerminalId | SettingId>,
): TerminalId | SettingId | null {
  return readingsAsked(ask).find(({ key }) => !found.has(key) && !implied.has(key))?.key ?? null;
}

/** Terminals of the prompt's sweep that need not be touched any more, given what was found so far. */
export function impliedIn(map: SwitchMap, prompt: Prompt | null, found: Found): Set<TerminalId | SettingId> {
  if (prompt?.ask.kind !== 'sweep') return new Set();
  const settled = map.settings.get(prompt.ask.setting)?.settled;
  if (!settled) return new Set();
  const place = (id: TerminalId | SettingId) => settled.terminals.indexOf(id as TerminalId);
  const check = lastCheck(map.log);
  const sounded = new Set([...found].filter(([, value]) => isJoin(value, check)).map(([id]) => place(id)));
  const sweep = { red: place(prompt.ask.red), black: prompt.ask.black.map(place) };
  const implied = impliedBySounded(settled, sweep, sounded);
  return new Set([...implied].map((at) => settled.terminals[at] as TerminalId));
}

/**
 * Whether a value is read again before it counts: where skin may lie across (hands off the tips), or a film on the contact
 * (ten strokes). A leak, 1 to 20 megohm, may be skin too.
 */
export function asksAgain(value: Value, check: ReturnType<typeof lastCheck>): MiddleHint | null {
  if (leaks(value, check)) return 'hands-off-the-tips';
  const hint = middleOf(value, check);
  return hint === 'a-part-or-film' ? null : hint;
}

/** Whether a value parts its leads and may yet be a leak. */
export function leaks(value: Value, check: ReturnType<typeof lastCheck>): boolean {
  if (value.kind !== 'ohms') return false;
  const { zeroOhms, meter } = check ?? { zeroOhms: null, meter: ORDINARY_METER };
  return isLeakOhms(quantityOf(value.ohms, zeroOhms, meter).ohms, meter);
}

/** Whether a value decides nothing: between closed and open, or unsteady. */
export const betweenBands = (value: Value, check: ReturnType<typeof lastCheck>): boolean =>
  value.kind === 'unsteady' || middleOf(value, check) !== null;

function middleOf(value: Value, check: ReturnType<typeof lastCheck>): MiddleHint | null {
  if (value.kind !== 'ohms') return null;
  const { zeroOhms, meter } = check ?? { zeroOhms: null, meter: ORDINARY_METER };
  return middleHint(quantityOf(value.ohms, zeroOhms, meter).ohms, meter);
}

/** Whether a value just read will join, by the bands of the meter in hand. */
export function isJoin(value: Value, check: ReturnType<typeof lastCheck>): boolean {
  if (value.kind === 'tone') return value.sounded;
  const { zeroOhms, meter } = check ?? { zeroOhms: null, meter: ORDINARY_METER };
  return value.kind === 'ohms' && quantityOf(value.ohms, zeroOhms, meter).ohms <= meter.lowOhms;
}
