import { TABLE_LETTERS } from '@which-way/core/schema';
import { kindsOf } from '@which-way/core/kinds';
import { readBehaviour, STOPS_NOTHING, type WrittenBehaviour } from '@which-way/core/match';
import type { MatchQuestion } from '@which-way/contract';
import { kindWords } from '@which-way/words/kinds';
import { behaviourTroubleWords } from '@which-way/words/match/match';
import { useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { FoundLine } from '../../parts/finding/found-line.js';
import { MatchSearch } from '../../parts/finding/match-search.js';
import { resultWords } from '@which-way/words/match/results';
import { Notice } from '../../controls/notice.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { EntryList } from './entry-list.js';
import { BEHAVIOUR_SEARCH_TEXT } from '@which-way/words/screens/pages/library/behaviour-search';
import { TextLines } from '../../controls/fields/text-input.js';

/** Sizes of ordinary switches that are offered as something to begin with. */
const SIZES = [2, 3, 4, 5, 6, 8, 9, 10, 12].flatMap((terminals) =>
  [2, 3, 4, 5, 6].map((positions) => [terminals, positions] as const),
);
const ORDINARY = SIZES.flatMap(([terminals, positions]) => kindsOf(terminals, positions)).filter(
  ({ poles }) => poles <= 4,
);

/** An ordinary switch as one would write it down. */
const textOf = (pattern: readonly (readonly number[])[]): string =>
  pattern
    .map((nets, at) => {
      const groups = [...new Set(nets)].map((root) =>
        nets.flatMap((one, place) => (one === root ? [place + 1] : [])),
      );
      return `${at + 1}: ${groups
        .filter((group) => group.length > 1)
        .map((group) => group.join('-'))
        .join(' ')}`;
    })
    .join('\n');

function questionOf({ requirement, positions }: WrittenBehaviour): MatchQuestion {
  const { pattern, terminals, known } = requirement;
  return {
    pattern,
    terminals,
    known: known && [...known],
    free: null,
    also: [],
    never: [],
    words: '',
    rules: { jumpers: 0, gaps: false, spares: true, returns: false },
    told: 60,
    subject: {
      positions: positions.map(() => ({ rests: null, returnsTo: null })),
      loads: [],
      mostWires: 1,
      facts: {},
      brake: false,
      offLeftOut: false,
      startsAt: [],
      stopsAt: STOPS_NOTHING,
    },
  };
}

/** Switches that do this: a behaviour written down, or an ordinary one, without a job. */
export function BehaviourSearch() {
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const [search] = useState(() => new MatchSearch());
  const matches = useStore(search.store);
  useEffect(() => () => search.stop(), [search]);
  const options = useMemo(
    () =>
      ORDINARY.map(({ kind, poles, ways }, at) => ({
        value: String(at),
        text: kindWords(kind, poles, ways),
      })),
    [],
  );
  const look = () => {
    const read = readBehaviour(text);
    setTrouble(read.ok ? '' : behaviourTroubleWords(read.trouble));
    if (read.ok) search.start(questionOf(read.behaviour));
  };
  const may = matches.candidates.filter(({ result }) => result.kind !== 'no');
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {BEHAVIOUR_SEARCH_TEXT.byWhatItDoes}
      </summary>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          look();
        }}
      >
        <label className="grid gap-1">
          {BEHAVIOUR_SEARCH_TEXT.whatItJoinsAPosition}
          <TextLines
            value={text}
            rows={3}
            maxLength={TABLE_LETTERS}
            placeholder={BEHAVIOUR_SEARCH_TEXT.offLowHigh}
            onChange={({ target }) => setText(target.value)}
            mono
          />
        </label>
        <div className="flex flex-wrap gap-2">
          <PlainButton type="submit" disabled={text.trim() === ''}>
            {BEHAVIOUR_SEARCH_TEXT.switchesThatDoThis}
          </PlainButton>
          <Pick
            quiet
            label={BEHAVIOUR_SEARCH_TEXT.anOrdinaryKind}
            placeholder={BEHAVIOUR_SEARCH_TEXT.beginWithAnOrdinaryKind}
            value=""
            options={options}
            onPick={(at) => setText(textOf(ORDINARY[Number(at)]?.pattern ?? []))}
          />
        </div>
        {trouble && (
          <p role="alert" className="text-brick">
            {trouble}
          </p>
        )}
      </form>
      {matches.trouble && (
        <Notice look="amber" title={matches.trouble.message}>
          {matches.trouble.hint}
        </Notice>
      )}
      <FoundLine matches={matches} onStop={() => search.stop()} />
      <EntryList
        label={BEHAVIOUR_SEARCH_TEXT.switchesThatDoThis}
        entries={may.map(({ known, result }) => ({
          id: known.id,
          name: known.name,
          about: [known.maker, known.family, resultWords(result)].filter(Boolean).join(' · '),
        }))}
      />
    </details>
  );
}
