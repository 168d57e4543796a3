import { TESTERS, type Tester } from '@which-way/core/log';
import { PROVING_SOURCE_LETTERS } from '@which-way/core/schema';
import { PEN_WORDS, TESTER_WORDS } from '@which-way/words/before/safety';
import { Choice } from '../../controls/fields/choice.js';
import { givenOnce, useGivenOnce } from '../../parts/safety/given-once.js';
import { PROVED_WITH_TEXT } from '@which-way/words/screens/pages/safe/proved-with';
import { Field } from '../../controls/fields/field.js';

/** The tester and the known source it is proved on: as they were given last, until they are changed. */
export function ProvedWith() {
  const { tester, source } = useGivenOnce();
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Choice<Tester>
        label={PROVED_WITH_TEXT.whatIsItProvedWith}
        value={tester}
        options={TESTERS.map((value) => ({ value, text: TESTER_WORDS[value] }))}
        onChoose={(chosen) => givenOnce.setState({ tester: chosen })}
      />
      {tester === 'pen' && <p className="basis-full text-brick">{PEN_WORDS}</p>}
      <Field
        label={PROVED_WITH_TEXT.onWhichKnownSource}
        className="max-w-full"
        box="w-64 max-w-full"
        value={source}
        maxLength={PROVING_SOURCE_LETTERS}
        placeholder={PROVED_WITH_TEXT.theBenchSocketV}
        onType={(text) => givenOnce.setState({ source: text })}
      />
    </div>
  );
}

/** The answer that the tester showed the voltage; null while it is not said with what, or on what. */
export function useProvedAnswer() {
  const { tester, source } = useGivenOnce();
  if (tester === null || tester === 'pen' || source.trim() === '') return null;
  return { kind: 'proved' as const, tester, source: source.trim() };
}
