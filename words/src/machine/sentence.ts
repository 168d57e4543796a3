import type { Combination, InSetting } from '@which-way/core/machine';
import { standingsWords } from './handles.js';
import { DOES_WORDS, wattsWords } from './loads.js';
import { signalClauses } from './signals.js';
import type { MachineNames } from './places.js';

/** What a machine does as it stands, in a sentence. */
export function machineSentence(
  { loads, watts }: Pick<InSetting, 'loads' | 'watts'>,
  combination: Combination,
  { job, machine: { circuit, handles } }: MachineNames,
): string {
  const said = (
    ['full', 'part', 'reversed', 'braked', 'stalled', 'floating', 'chatters', 'not-known'] as const
  ).flatMap((does) => {
    const named = circuit.loads.filter(({ id }) => {
      const state = loads.get(id);
      return state?.does === does && !state.signal;
    });
    const shares = new Set(named.map(({ id }) => Math.round((loads.get(id)?.share ?? 0) * 100)));
    const [share] = shares;
    const how = does !== 'part' ? DOES_WORDS[does] : shares.size === 1 ? `at ${share} %` : 'in part';
    return named.length > 0 ? [`${named.map(({ name }) => name).join(' and ')} ${how}`] : [];
  });
  const signals = signalClauses(circuit.loads, ({ id }) => loads.get(id)?.signal);
  const started = circuit.loads.flatMap((load) => {
    const does = (loads.get(load.id)?.held ?? []).map((one) => DOES_WORDS[one]);
    return does.length > 0 ? [`${load.name} ${does.join(' or ')}`] : [];
  });
  const once = started.length > 0 ? [`once started, ${started.join(' and ')}`] : [];
  const clauses = [...signals, ...said, ...once];
  const what = clauses.length > 0 ? clauses.join('; ') : 'everything off';
  // The figure and its unit stay on one line.
  const figures = watts !== null && watts > 0 ? `, ${wattsWords(watts).replace(' ', '\u00a0')}` : '';
  const where = standingsWords(handles, combination, job);
  return `${handles.length === 1 ? 'At ' : ''}${where}: ${what}${figures}`;
}
