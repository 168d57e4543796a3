import { HOW_KNOWN, MECHANICS, mechanicsOf, type MechanicsFact } from '@which-way/core/log';
import { MECHANICS_LETTERS } from '@which-way/core/schema';
import { useMemo } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { Choice } from '../../shared/controls/choice.js';
import { KeptField } from '../../shared/controls/kept-field.js';
import { MECHANICS_WORDS } from '@which-way/words/tag/wires';

const HOW_WORDS: Record<(typeof HOW_KNOWN)[number], string> = {
  measured: 'Measured',
  marking: 'From the marking',
  unknown: 'Unknown',
};

/** What a replacement must fit besides the wiring: measured, from the marking, or honestly unknown. */
export function FitPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const facts = useMemo(() => mechanicsOf(log), [log]);
  const keep = (fact: MechanicsFact) => session.emit({ kind: 'measured', fact });
  const unknown = MECHANICS.filter((field) => (facts.get(field)?.how ?? 'unknown') === 'unknown').length;
  return (
    <main className="mx-auto grid w-full max-w-4xl grow content-start gap-5 p-4 sm:p-6">
      <h1 className="text-title font-bold">What must fit</h1>
      <p className="text-quiet">
        {unknown === 0
          ? 'All of it is known.'
          : `${unknown} of ${MECHANICS.length} are unknown. What is unknown becomes a question to the seller.`}
      </p>
      <ul>
        {MECHANICS.map((field) => {
          const { label, unit, hint } = MECHANICS_WORDS[field];
          const fact = facts.get(field) ?? { field, value: '', how: 'unknown' as const };
          return (
            <li
              key={field}
              className="grid items-start gap-x-5 gap-y-2 border-b border-line py-3 sm:grid-cols-[1fr_auto]"
            >
              <KeptField
                label={label}
                unit={unit}
                hint={hint}
                maxLength={MECHANICS_LETTERS}
                text={fact.value}
                onKeep={(value) =>
                  keep({
                    field,
                    value: value.trim(),
                    how: value.trim() === '' ? 'unknown' : fact.how === 'unknown' ? 'measured' : fact.how,
                  })
                }
              />
              <div className="sm:mt-7">
                <Choice
                  label={`How ${label} is known`}
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
