import { describe, expect, it } from 'vitest';
import { SYMPTOMS, type Symptom } from '../log/index.js';
import { at, chain, test } from '../testing/paths.js';
import { firstTestsOf, guessedSymptoms, mustShow, steeredBy } from './symptom.js';
import { nextStep } from './next-step.js';

describe('the wording of a complaint', () => {
  it.each<[string, Symptom[]]>([
    ['It is dead.', ['dead']],
    ['nothing happens when I turn it', ['dead']],
    ["It won't turn on", ['dead']],
    ['it cuts out when I move the cord', ['sometimes']],
    ['Flickers now and then', ['sometimes']],
    ['it stays on, even at OFF', ['never-off']],
    ["won't go off", ['never-off']],
    ['slow on setting 2', ['weak']],
    ['runs backwards', ['wrong-way']],
    ['the knob is stuck', ['jams']],
    ['it coasts for a minute', ['brake-lost']],
    ['keeps running, and the knob sticks', ['never-off', 'jams']],
    ['a nice old radio', []],
  ])('%s', (said, symptoms) => expect(guessedSymptoms(said)).toEqual(symptoms));

  it('says what to try first and what has to be shown, each once', () => {
    for (const symptom of SYMPTOMS) {
      expect(firstTestsOf([symptom]).length).toBeGreaterThan(0);
      expect(mustShow([symptom]).length).toBeGreaterThan(0);
    }
    expect(firstTestsOf(['jams', 'brake-lost'])).toEqual(['look-inside', 'brake-contact']);
    expect(mustShow(['dead', 'sometimes'])).toEqual(['every-contact-closes', 'repeats']);
    expect(mustShow(['never-off'])).toContain('opens-at-off');
    expect(firstTestsOf([])).toEqual([]);
  });

  it('steers what is tested first, and never a verdict', () => {
    const links = chain('plug', 'fuse', 'cord', 'terminals', 'switch', 'motor');
    const failed = [test(links, 'fail')];
    const first = (symptoms: Symptom[]) => nextStep({ ...at(links, failed), symptoms });
    const covers = (symptoms: Symptom[], place: number) => {
      const step = first(symptoms);
      const id = links[place]?.id;
      return step?.kind === 'look' ? step.link === id : step?.links.includes(id as never);
    };
    expect(covers(['wrong-way'], 4)).toBe(true);
    expect(covers(['wrong-way'], 1)).toBe(false);
    expect(steeredBy([], 'switch')).toBe(1);
    expect(steeredBy(['never-off', 'jams'], 'switch')).toBeGreaterThan(steeredBy(['jams'], 'switch'));
  });
});
