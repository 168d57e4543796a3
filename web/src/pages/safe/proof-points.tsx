import { POINT_KINDS, type PointKind } from '@which-way/core/log';
import { POINT_LETTERS } from '@which-way/core/schema';
import { endsInSight } from '@which-way/core/safety';
import { POINT_WORDS } from '@which-way/words/before/safety';
import { useState } from 'react';
import { X } from 'lucide-react';
import { CheckLine } from '../../controls/fields/check-line.js';
import { PlainButton } from '../../controls/plain-button.js';
import type { ProofDesk } from './use-proof.js';
import { PROOF_POINTS_TEXT } from '@which-way/words/screens/pages/safe/proof-points';
import { TextInput } from '../../controls/fields/text-input.js';

const FIRST_NAME: Record<PointKind, string> = {
  conductor: '',
  earth: 'Earth',
  'long-earth': PROOF_POINTS_TEXT.earthOnALead,
  'long-neutral': PROOF_POINTS_TEXT.neutralOnALead,
  box: 'Box',
};

/** What comes into the box, and what it is measured against. */
export function ProofPoints({ desk: { proof, list, change } }: { desk: ProofDesk }) {
  const [name, setName] = useState('');
  const has = (is: PointKind) => proof.points.some((point) => point.is === is);
  const add = (is: PointKind, called: string) => {
    const trimmed = called.trim();
    if (trimmed === '' || proof.points.some((point) => point.name === trimmed)) return;
    change({ points: [...proof.points, { name: trimmed, is }] });
    setName('');
  };
  const drop = (gone: string) => {
    const without = <Of extends { between: readonly string[] }>(readings: Of[]) =>
      readings.filter(({ between }) => !between.includes(gone));
    change({
      points: proof.points.filter((point) => point.name !== gone),
      before: without(proof.before),
      after: without(proof.after),
    });
  };
  return (
    <div className="grid gap-2">
      <ul className="flex flex-wrap gap-1.5" aria-label={PROOF_POINTS_TEXT.measuredBetween}>
        {proof.points.map((point) => (
          <li key={point.name} className="flex items-center rounded-part border-2 border-line bg-sheet pl-3">
            <strong>{point.name}</strong>
            {point.is !== 'conductor' && (
              <span className="ml-1 text-small text-quiet">{POINT_WORDS[point.is]}</span>
            )}
            <button
              type="button"
              aria-label={PROOF_POINTS_TEXT.isNotHere(point.name)}
              className="flex size-11 items-center justify-center"
              onClick={() => drop(point.name)}
            >
              <X size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
        <li>
          <form
            className="flex flex-wrap gap-1"
            onSubmit={(event) => {
              event.preventDefault();
              add('conductor', name);
            }}
          >
            <TextInput
              aria-label={PROOF_POINTS_TEXT.oneMoreConductor}
              placeholder={PROOF_POINTS_TEXT.oneMore}
              value={name}
              maxLength={POINT_LETTERS}
              onChange={({ target }) => setName(target.value)}
              className="w-28"
            />
            <PlainButton type="submit" disabled={name.trim() === ''}>
              {PROOF_POINTS_TEXT.add}
            </PlainButton>
          </form>
        </li>
      </ul>
      {!endsInSight(list.supply) && (
        <div className="flex flex-wrap items-center gap-2">
          {!has('earth') && (
            <CheckLine tight checked={proof.noEarth} onChange={(noEarth) => change({ noEarth })}>
              {PROOF_POINTS_TEXT.noEarthHere}
            </CheckLine>
          )}
          {POINT_KINDS.filter((is) => is !== 'conductor' && !has(is)).map((is) => (
            <PlainButton key={is} className="!px-3" onClick={() => add(is, FIRST_NAME[is])}>
              + {POINT_WORDS[is]}
            </PlainButton>
          ))}
        </div>
      )}
    </div>
  );
}
