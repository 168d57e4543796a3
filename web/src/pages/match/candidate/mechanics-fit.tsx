import type { SwitchMap } from '@which-way/core/continuity';
import { mechanicsOf } from '@which-way/core/log';
import { mechanicsAnswers } from '@which-way/core/match';
import type { PartFacts } from '@which-way/core/switch';
import { ADAPTING_WORDS, FIT_WORDS } from '@which-way/words/match/match';
import { mechanicsSaid, MECHANICS_WORDS } from '@which-way/words/tag/wires';
import { useUnits } from '../../../parts/units/units.js';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { ResultLine } from '../../../controls/result-line.js';
import { MECHANICS_FIT_TEXT } from '@which-way/words/screens/pages/match/candidate/mechanics-fit';

const LOOK = {
  fits: 'text-teal',
  'can-be-adapted': 'text-amber-ink',
  'does-not': 'text-brick',
  unknown: 'text-quiet',
};

/** Whether it fits where the old one sat: each thing that must fit, as far as both sides are known. */
export function MechanicsFit({ map, facts }: { map: SwitchMap; facts: PartFacts }) {
  const units = useUnits();
  const known = useMemo(() => mechanicsOf(map.log), [map.log]);
  const answers = mechanicsAnswers(known, facts);
  const judged = answers.filter(({ old, fresh }) => old !== '' || fresh !== '');
  // The worst of what is judged stands for all of it; what is not known on one side is not known.
  const worst = (['does-not', 'unknown', 'can-be-adapted', 'fits'] as const).find((kind) =>
    judged.some((one) => one.kind === kind),
  );
  return (
    <ResultLine
      name={MECHANICS_FIT_TEXT.whetherItFits}
      result={
        <span className={worst ? LOOK[worst] : 'text-quiet'}>
          {worst ? FIT_WORDS[worst] : MECHANICS_FIT_TEXT.nothingIsKnownOfEither}
        </span>
      }
      act={MECHANICS_FIT_TEXT.see}
    >
      {judged.length === 0 ? (
        <p className="text-quiet">{MECHANICS_FIT_TEXT.nothingIsKnownOfEither}</p>
      ) : (
        <table className="w-full">
          <tbody>
            {judged.map(({ field, kind, how, old, fresh }) => (
              <tr key={field} className="border-b border-line align-top">
                <th scope="row" className="py-1 pr-3 text-left font-normal">
                  {MECHANICS_WORDS[field].label}
                </th>
                <td className="pr-3 text-quiet">
                  {mechanicsSaid(field, old, units) || MECHANICS_FIT_TEXT.notMeasured} /{' '}
                  {mechanicsSaid(field, fresh, units) || MECHANICS_FIT_TEXT.notStated}
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
        {MECHANICS_FIT_TEXT.oldNew}{' '}
        <Link to="../tag/fit" relative="path" className="underline">
          {MECHANICS_FIT_TEXT.whatMustFit}
        </Link>{' '}
        {MECHANICS_FIT_TEXT.isWhereTheOldOne}
      </p>
    </ResultLine>
  );
}
