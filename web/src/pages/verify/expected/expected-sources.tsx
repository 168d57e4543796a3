import { TABLE_LETTERS } from '@which-way/core/schema';
import {
  expectedFromJob,
  expectedKind,
  kindsFor,
  lastStretch,
  layBeside,
  readExpected,
} from '@which-way/core/verify';
import { WORK_WORDS } from '@which-way/words/judge/verdict';
import type { ExpectedTable } from '@which-way/core/log';
import { textTroubleWords } from '@which-way/words/judge/diagnosis';
import { kindTexts } from '@which-way/words/kinds';
import { nameOfSetting } from '@which-way/words/terminals';
import { useMemo, useState } from 'react';
import { FromAFile } from './from-a-file.js';
import { FromAnotherJob } from '../../../parts/other-jobs/from-another-job.js';
import { useJobState } from '../../../job/job-context.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { EXPECTED_SOURCES_TEXT } from '@which-way/words/screens/pages/verify/expected/expected-sources';
import { TextLines } from '../../../controls/fields/text-input.js';

/** So many kinds stand in sight, each one tap away: the plainest first, whatever was read. */
const FEW_KINDS = 3;

/** The same switch before it was worked on, as what it should do now. */
function FromBefore({ onSet }: { onSet: (table: ExpectedTable) => void }) {
  const map = useJobState((state) => state.map);
  const job = useJobState((state) => state.job);
  const stretch = useMemo(() => lastStretch(map), [map]);
  const laid = stretch && layBeside(map.structure, stretch.before.structure);
  if (!job || !stretch || laid?.kind !== 'laid') return null;
  return (
    <PlainButton onClick={() => onSet(expectedFromJob(stretch.before, laid, job.id, job.title))}>
      {EXPECTED_SOURCES_TEXT.asItWasBeforeIt}
      {WORK_WORDS[stretch.what]}
    </PlainButton>
  );
}

/** More ways to say what it should do: an ordinary kind by one tap, or the diagram typed in, a position a line. */
export function ExpectedSources({ onSet }: { onSet: (table: ExpectedTable) => void }) {
  const map = useJobState((state) => state.map);
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const kinds = kindsFor(map);
  const names = kindTexts(kinds);
  const { structure } = map;
  const nameOf = (at: number) => {
    const setting = structure.settings[at];
    return setting ? nameOfSetting(structure, setting, at) : '';
  };
  const take = () => {
    const read = readExpected(text, structure, nameOf);
    if (!read.ok) return setTrouble(textTroubleWords(structure, read.trouble));
    setTrouble('');
    return onSet(read.table);
  };
  return (
    <>
      {kinds.length > 0 && (
        <div className="flex flex-wrap items-center gap-2">
          {EXPECTED_SOURCES_TEXT.itShouldBeA}
          {kinds.slice(0, FEW_KINDS).map((kind, at) => {
            const name = names[at] ?? '';
            return (
              <PlainButton key={name} onClick={() => onSet(expectedKind(map, kind, name))}>
                {name}
              </PlainButton>
            );
          })}
          {kinds.length > FEW_KINDS && (
            <Pick
              quiet
              label={EXPECTED_SOURCES_TEXT.anOrdinaryKind}
              placeholder={EXPECTED_SOURCES_TEXT.itShouldBeA2}
              value=""
              options={names.slice(FEW_KINDS).map((text, at) => ({ value: String(at + FEW_KINDS), text }))}
              onPick={(at) => {
                const kind = kinds[Number(at)];
                if (kind) onSet(expectedKind(map, kind, names[Number(at)] ?? ''));
              }}
            />
          )}
        </div>
      )}
      <div className="flex flex-wrap items-start gap-3">
        <FromAnotherJob onSet={onSet} />
        <FromAFile nameOf={nameOf} onSet={onSet} />
        <FromBefore onSet={onSet} />
      </div>
      <form
        className="grid gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        <label className="grid gap-1">
          {EXPECTED_SOURCES_TEXT.asTheDiagramSaysA}
          <TextLines
            value={text}
            rows={3}
            maxLength={TABLE_LETTERS}
            placeholder={`${nameOf(0) || 'LEFT'}: 1-8 3-4`}
            onChange={({ target }) => setText(target.value)}
            mono
          />
        </label>
        <PlainButton type="submit" className="justify-self-start" disabled={text.trim() === ''}>
          {EXPECTED_SOURCES_TEXT.takeIt}
        </PlainButton>
        {trouble && (
          <p role="alert" className="text-brick">
            {trouble}
          </p>
        )}
      </form>
    </>
  );
}
