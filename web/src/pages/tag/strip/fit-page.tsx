import { HOW_KNOWN, MECHANICS, mechanicsOf, type MechanicsFact } from '@which-way/core/log';
import { MECHANICS_LETTERS } from '@which-way/core/schema';
import { useMemo } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { Choice } from '../../../controls/fields/choice.js';
import { KeptField } from '../../../controls/fields/kept-field.js';
import { MECHANICS_WORDS } from '@which-way/words/tag/wires';
import { keptLengths, shownLengths, UNIT_OF_LENGTH } from '@which-way/words/units';
import { useUnits } from '../../../parts/units/units.js';
import { FIT_PAGE_TEXT } from '@which-way/words/screens/pages/tag/strip/fit-page';

const HOW_WORDS: Record<(typeof HOW_KNOWN)[number], string> = {
  measured: 'Measured',
  marking: FIT_PAGE_TEXT.fromTheMarking,
  unknown: 'Unknown',
};

/** What a replacement must fit besides the wiring: measured, from the marking, or honestly unknown. */
export function FitPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const units = useUnits();
  const facts = useMemo(() => mechanicsOf(log), [log]);
  const keep = (fact: MechanicsFact) => session.emit({ kind: 'measured', fact });
  const unknown = MECHANICS.filter((field) => (facts.get(field)?.how ?? 'unknown') === 'unknown').length;
  return (
    <main className="mx-auto grid w-full max-w-5xl grow content-start gap-2 p-4 sm:px-6 sm:py-4">
      <h1 className="text-title font-bold">{FIT_PAGE_TEXT.whatMustFit}</h1>
      <p className="text-quiet">
        {unknown === 0
          ? FIT_PAGE_TEXT.allOfItIsKnown
          : FIT_PAGE_TEXT.ofAreUnknownWhatIs(unknown, MECHANICS.length)}
      </p>
      <ul>
        {MECHANICS.map((field) => {
          const { label, isLength, hint } = MECHANICS_WORDS[field];
          const fact = facts.get(field) ?? { field, value: '', how: 'unknown' as const };
          return (
            <li
              key={field}
              className="grid items-center gap-x-5 gap-y-2 border-b border-line py-1 lg:grid-cols-[1fr_auto]"
            >
              <KeptField
                inLine
                label={label}
                unit={isLength ? UNIT_OF_LENGTH[units] : null}
                hint={typeof hint === 'string' ? hint : hint[units]}
                maxLength={MECHANICS_LETTERS}
                text={isLength ? shownLengths(fact.value, units) : fact.value}
                onKeep={(typed) => {
                  const value = isLength ? keptLengths(typed.trim(), units) : typed.trim();
                  if (value === fact.value) return;
                  const how = value === '' ? 'unknown' : fact.how === 'unknown' ? 'measured' : fact.how;
                  keep({ field, value, how });
                }}
              />
              <div>
                <Choice
                  joined
                  label={FIT_PAGE_TEXT.howIsKnown(label)}
                  value={fact.how}
                  options={HOW_KNOWN.map((value) => ({ value, text: HOW_WORDS[value] }))}
                  onChoose={(how) => keep({ ...fact, how })}
                />
              </div>
            </li>
          );
        })}
      </ul>
    </main>
  );
}
