import type { SwitchMap } from '@which-way/core/continuity';
import { mechanicsOf } from '@which-way/core/log';
import { mechanicsAnswers } from '@which-way/core/match';
import type { PartFacts } from '@which-way/core/switch';
import { ADAPTING_WORDS, FIT_WORDS } from '@which-way/words/match/match';
import { MECHANICS_WORDS } from '@which-way/words/tag/wires';
import { useMemo } from 'react';
import { Link } from 'react-router';

const LOOK = {
  fits: 'text-teal',
  'can-be-adapted': 'text-amber-ink',
  'does-not': 'text-brick',
  unknown: 'text-quiet',
};

/** Whether it fits where the old one sat: each thing that must fit, as far as both sides are known. */
export function MechanicsFit({ map, facts }: { map: SwitchMap; facts: PartFacts }) {
  const known = useMemo(() => mechanicsOf(map.log), [map.log]);
  const answers = mechanicsAnswers(known, facts);
  const judged = answers.filter(({ old, fresh }) => old !== '' || fresh !== '');
  return (
    <section aria-label="Whether it fits" className="mt-4 max-w-2xl">
      <h3 className="text-large font-bold">Whether it fits</h3>
      {judged.length === 0 ? (
        <p className="text-quiet">Nothing is known of either.</p>
      ) : (
        <table className="w-full">
          <tbody>
            {judged.map(({ field, kind, how, old, fresh }) => (
              <tr key={field} className="border-b border-line align-top">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {MECHANICS_WORDS[field].label}
                </th>
                <td className="pr-3 text-quiet">
                  {old || 'not measured'} / {fresh || 'not stated'}
                </td>
                <td className={`font-semibold ${LOOK[kind]}`}>
                  {FIT_WORDS[kind]}
                  {how && `: ${ADAPTING_WORDS[how]}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="text-small text-quiet">
        Old / new.{' '}
        <Link to="../tag/fit" relative="path" className="underline">
          What must fit
        </Link>{' '}
        is where the old one is measured.
      </p>
    </section>
  );
}
