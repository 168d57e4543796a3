import type { Signal, SignalState } from '@which-way/core/machine';
import type { Load } from '@which-way/core/log';

type Named = readonly Pick<Load, 'id' | 'name'>[];

const nameOf = (loads: Named, id: string): string => loads.find((one) => one.id === id)?.name ?? 'a source';

const list = (words: readonly string[]): string =>
  words.length <= 1 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** Sources in a signal, and whether each is turned. */
function leaves(signal: Signal): { load: string; turned: boolean }[] {
  if (signal.of === 'source') return [signal];
  return signal.of === 'part' ? [] : signal.parts.flatMap(leaves);
}

/** A source; of two coils, which one, or how both lie. */
function sourceWords({ load, coils, against }: Extract<Signal, { of: 'source' }>, loads: Named): string {
  const name = nameOf(loads, load);
  if (!coils) return name;
  if (coils === 'A' || coils === 'B') return `${name} (coil ${coils} only)`;
  return `${name} (coils in ${coils}${against ? ', out of phase with each other' : ''})`;
}

/** How what reaches an output is joined. */
function joinedWords(signal: Signal, loads: Named): string {
  if (signal.of === 'part') return nameOf(loads, signal.load);
  if (signal.of === 'source') return sourceWords(signal, loads);
  const parts = signal.parts.filter((part) => part.of === 'part').map((part) => joinedWords(part, loads));
  const sources = signal.parts.filter((part) => part.of !== 'part');
  const told = sources.map((part) => joinedWords(part, loads));
  const plain = sources.every(({ of }) => of === 'source');
  const together =
    told.length < 2
      ? (told[0] ?? '')
      : plain
        ? `${list(told)} in ${signal.of}`
        : told.join(signal.of === 'series' ? ', in series with ' : ', in parallel with ');
  if (parts.length === 0) return together;
  return signal.of === 'series'
    ? `${together} through ${list(parts)}`
    : `${together} with ${list(parts)} across`;
}

/** Two sources against each other thin the sound; one by itself turned over is heard alike. */
function phaseWords(signal: Signal, loads: Named): string {
  const all = leaves(signal);
  const turned = all.filter((one) => one.turned);
  if (turned.length === 0) return '';
  if (turned.length === all.length) return ', polarity reversed';
  if (all.length === 2) return ', out of phase';
  return `, ${list(turned.map(({ load }) => nameOf(loads, load)))} out of phase`;
}

/** What reaches an output, in the trade's words: 'neck and bridge in parallel'. */
const reachedWords = (signal: Signal, loads: Named): string =>
  `${joinedWords(signal, loads)}${phaseWords(signal, loads)}`;

/** How a source or an output of a signal stands, in a few words. */
export function signalWords(state: SignalState, loads: Named): string {
  switch (state.is) {
    case 'reached':
      return reachedWords(state.by, loads);
    case 'tangled':
      return `${list(state.sources.map((id) => nameOf(loads, id)))}, neither in series nor in parallel`;
    case 'shorted':
      return 'muted: its ends are joined';
    case 'not-reached':
      return 'no signal';
    case 'reaches':
      return 'on';
    case 'split':
      return `one coil only: ${state.coil}`;
    case 'grounded':
      return 'grounded';
    case 'joined-ends':
      return 'its ends are joined';
    case 'hangs':
      return 'joined by one end only: may hum';
    case 'apart':
      return 'not joined';
  }
}

/** The same in a word or two, where the sentence stands beside it. */
export const signalMark = (state: SignalState, loads: Named): string =>
  state.is === 'reached' || state.is === 'tangled'
    ? 'signal'
    : (signalWords(state, loads).split(':')[0] ?? '');

/** The signals of a machine as it stands, each output in a clause, then what is worth knowing of idle sources. */
export function signalClauses(
  loads: readonly Load[],
  stateOf: (load: Load) => SignalState | undefined,
): string[] {
  const idle = new Map<'grounded' | 'joined-ends' | 'hangs', string[]>();
  const outputs = loads.flatMap((load) => {
    const state = stateOf(load);
    if (!state) return [];
    switch (state.is) {
      case 'reached':
      case 'tangled':
      case 'shorted':
      case 'not-reached':
        return [`${load.name} ${state.is === 'shorted' ? 'is' : 'has'} ${signalWords(state, loads)}`];
      case 'grounded':
      case 'joined-ends':
      case 'hangs':
        idle.set(state.is, [...(idle.get(state.is) ?? []), load.name]);
        return [];
      default:
        return [];
    }
  });
  return [...outputs, ...[...idle].map(([is, names]) => `${list(names)} ${signalWords({ is }, loads)}`)];
}
