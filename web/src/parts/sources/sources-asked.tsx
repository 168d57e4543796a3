import {
  askedSources,
  SOURCE_ANSWERS,
  sourcesAnswered,
  sourcesOf,
  type AskedSources,
  type Source,
} from '@which-way/core/machine';
import type { Deed, NamedSource, Supply } from '@which-way/core/log';
import {
  noOwnReturn,
  onPurposeWords,
  sourceAnswerWords,
  sourceQuestion,
} from '@which-way/words/machine/sources';
import { SOURCES_ASKED_TEXT } from '@which-way/words/screens/parts/sources/sources-asked';
import { useState } from 'react';
import { CheckLine } from '../../controls/fields/check-line.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { newId } from '../../job/new-id.js';

interface SourcesAskedProps {
  supplies: readonly Supply[];
  named: readonly NamedSource[];
  emit: (deed: Deed) => void;
}

/** What two sources of one current share: asked once, and what follows from it, to be said or taken back. */
export function SourcesAsked({ supplies, named, emit }: SourcesAskedProps) {
  const sources = sourcesOf(supplies, named);
  const [asked] = askedSources(sources);
  const say = (list: readonly NamedSource[]) => {
    for (const source of list) emit({ kind: 'source-named', source });
  };
  const alike = pairsAlike(sources);
  if (!asked && alike.length === 0) return null;
  return (
    <section aria-label={SOURCES_ASKED_TEXT.whatTheSourcesShare} className="grid gap-2">
      {asked && <Asked key={keyOf(asked.second)} {...{ asked, supplies, say }} />}
      {alike.map(([one, other]) => {
        const first = named.find(({ id }) => id === one.id);
        if (!first || !other.id) return null;
        const { id } = other;
        const is = first.joinedWith.includes(id);
        const others = first.joinedWith.filter((joined) => joined !== id);
        return (
          <CheckLine
            key={`${one.id} ${id}`}
            checked={is}
            onChange={(on) => say([{ ...first, joinedWith: on ? [...others, id] : others }])}
          >
            {onPurposeWords(one, other)}
          </CheckLine>
        );
      })}
    </section>
  );
}

const keyOf = ({ id, poles }: Source): string => id ?? poles.join();

/** Two DC sources on one return, alike in volts: a person may join them on purpose. Never two on AC. */
const pairsAlike = (sources: readonly Source[]): [Source, Source][] =>
  sources.flatMap((other) => {
    const { reference } = other;
    const one = reference.to === 'source' ? sources.find(({ id }) => id === reference.source) : undefined;
    return one && one.current === 'DC' && one.volts !== null && one.volts === other.volts
      ? [[one, other] as [Source, Source]]
      : [];
  });

interface AskedProps {
  asked: AskedSources;
  supplies: readonly Supply[];
  say: (list: readonly NamedSource[]) => void;
}

function Asked({ asked, supplies, say }: AskedProps) {
  const [refused, setRefused] = useState(false);
  return (
    <Notice look="amber" title={sourceQuestion(asked)}>
      <p>{SOURCES_ASKED_TEXT.untilYouSayIt}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {SOURCE_ANSWERS.map((answer) => (
          <PlainButton
            key={answer}
            onClick={() => {
              const said = sourcesAnswered(asked, answer, supplies, newId);
              setRefused(!said);
              if (said) say(said);
            }}
          >
            {sourceAnswerWords(answer, asked)}
          </PlainButton>
        ))}
      </div>
      {refused && <p className="mt-2 font-semibold">{noOwnReturn(asked)}</p>}
    </Notice>
  );
}
