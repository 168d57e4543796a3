import type { ExpectedTable, Refinement } from '@which-way/core/log';
import type { RequirementSource } from '@which-way/core/match';
import { lineUp } from '@which-way/core/verify';
import { useState } from 'react';
import { api, toldOf } from '../../../api/client.js';
import { useJobState } from '../../../job/job-context.js';
import { Choice } from '../../../controls/fields/choice.js';
import { LibrarySelect } from '../../../controls/fields/library-select.js';
import { FromAnotherJob } from '../../../parts/other-jobs/from-another-job.js';
import { SOURCE_CHOICE_TEXT } from '@which-way/words/screens/pages/match/requirement/source-choice';

interface SourceChoiceProps {
  source: RequirementSource;
  proposed: RequirementSource;
  refinement: Refinement;
  onRefine: (change: Partial<Refinement>) => void;
  /** Some wire leads to a load: then it can be asked what the machine needs. */
  hasMachine: boolean;
}

/** Where the requirement comes from; each other source is one tap away. */
export function SourceChoice({ source, proposed, refinement, onRefine, hasMachine }: SourceChoiceProps) {
  return (
    <div className="mt-2 grid gap-2">
      <Choice<RequirementSource>
        label={SOURCE_CHOICE_TEXT.whatAReplacementHasTo}
        shown
        value={source}
        options={[
          { value: 'should-be', text: 'as it should be' },
          { value: 'as-mapped', text: 'as mapped' },
          { value: 'another', text: 'like another' },
          ...(hasMachine ? [{ value: 'machine' as const, text: 'what the machine needs' }] : []),
        ]}
        onChoose={(chosen) => onRefine({ source: chosen })}
      />
      {proposed === 'should-be' && source === 'as-mapped' && (
        <p className="text-amber-ink">{SOURCE_CHOICE_TEXT.theMapDiffersFromWhat}</p>
      )}
      {source === 'another' && (
        <Another refinement={refinement} onTake={(another) => onRefine({ source: 'another', another })} />
      )}
    </div>
  );
}

/** The name of the job or entry whose table is asked for. */
export function anotherName({ another }: Pick<Refinement, 'another'>): string | null {
  const from = another?.source;
  if (!from) return null;
  return from.kind === 'job' ? from.title : 'name' in from ? from.name : from.kind;
}

/** Takes the table of another job, or of an entry of the library, laid on this switch's terminals. */
function Another({ refinement, onTake }: { refinement: Refinement; onTake: (table: ExpectedTable) => void }) {
  const map = useJobState((state) => state.map);
  const [trouble, setTrouble] = useState('');
  const name = anotherName(refinement);
  const fromLibrary = async (id: string) => {
    if (id === '') return;
    try {
      const known = await api.entry(id);
      const lined = lineUp(map.structure, known);
      if (lined.kind === 'cannot') {
        const about = { terminals: 'terminals', positions: 'positions', actuators: 'handles' }[lined.because];
        return setTrouble(
          SOURCE_CHOICE_TEXT.hasThisSwitchChooseOne(known.name, lined.needs, about, lined.has),
        );
      }
      setTrouble('');
      onTake(lined.table);
    } catch (error) {
      setTrouble(`${toldOf(error).message} ${toldOf(error).hint}`);
    }
  };
  return (
    <div className="grid gap-2">
      {name !== null && (
        <p>
          {SOURCE_CHOICE_TEXT.as}
          <strong>{name}</strong>
          {SOURCE_CHOICE_TEXT.doesLaidOnTheseTerminals}
        </p>
      )}
      <FromAnotherJob onSet={onTake} />
      <LibrarySelect
        quiet
        label={SOURCE_CHOICE_TEXT.anEntryOfTheLibrary}
        placeholder={SOURCE_CHOICE_TEXT.whatAKnownSwitchDoes}
        value=""
        sized
        onChange={(id) => void fromLibrary(id)}
      />
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
    </div>
  );
}
