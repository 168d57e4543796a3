import type { Deed, NewId, Prompt, Reading, ReadingId, TerminalId, Value } from '../switch/index.js';

/** What the hands found for a prompt: a value per terminal that the black lead touched. */
export interface Findings {
  values: ReadonlyMap<TerminalId, Value>;
  source: 'typed' | 'meter' | 'simulated';
  inCircuit: boolean;
}

/**
 * The answer to a prompt as one act with a reading per touch. Terminals without a value were not touched
 * (what they would have told follows from those that were), and get no reading.
 */
export function answerTo(
  prompt: Prompt,
  findings: Findings,
  newId: NewId,
): Extract<Deed, { kind: 'answered' }> {
  const { ask } = prompt;
  const touched = ask.kind === 'sweep' ? ask.black : [ask.black];
  const readings = touched.flatMap((black): Reading[] => {
    const value = findings.values.get(black);
    return value
      ? [{ id: newId<ReadingId>(), setting: ask.setting, red: [ask.red], black: [black], value }]
      : [];
  });
  const { source, inCircuit } = findings;
  return { kind: 'answered', act: ask.kind, prompt: prompt.id, source, inCircuit, readings };
}
