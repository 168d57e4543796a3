import { readingsAsked, type Deed, type Prompt, type Reading, type Value } from '../../log/index.js';
import { type NewId, type ReadingId, type SettingId, type TerminalId } from '../../switch/index.js';

/** What the hands found for a prompt: a value per terminal that black touched, or per setting that the handle came to. */
export interface Findings {
  values: ReadonlyMap<TerminalId | SettingId, Value>;
  source: 'typed' | 'meter' | 'simulated' | 'heard';
  inCircuit: boolean;
}

/**
 * The answer to a prompt as one act with a reading per touch or setting. What has no value was not read (it follows
 * from what was), and gets no reading.
 */
export function answerTo(
  prompt: Prompt,
  findings: Findings,
  newId: NewId,
): Extract<Deed, { kind: 'answered' }> {
  const { ask } = prompt;
  const readings = readingsAsked(ask).flatMap(({ setting, red, black, key, fromOtherSide }): Reading[] => {
    const value = findings.values.get(key);
    return value
      ? [{ id: newId<ReadingId>(), setting, red, black, value, ...(fromOtherSide && { fromOtherSide }) }]
      : [];
  });
  const { source, inCircuit } = findings;
  return { kind: 'answered', act: ask.kind, prompt: prompt.id, source, inCircuit, readings };
}
