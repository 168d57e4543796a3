import type { SwitchMap } from '@which-way/core/continuity';
import type { MatchedEntry } from '@which-way/contract';
import type { ChosenReplacement } from '@which-way/core/log';
import type { RequirementSource } from '@which-way/core/match';
import { nearWords } from '@which-way/words/match';
import { factLines } from '@which-way/words/part-facts';
import type { PartFacts, SettingId, TerminalId } from '@which-way/core/switch';
import { useSession } from '../job/job-context.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { StrandSample } from '../shared/drawings/strand-sample.js';
import { strandOf } from '@which-way/drawing/strand';
import { settingName, terminalName } from '@which-way/words/terminals';
import { positionName, resultWords, spareWords } from './match-words.js';
import { Differences, useAccepted } from './part-differences.js';

interface CandidateViewProps {
  candidate: MatchedEntry;
  source: RequirementSource;
  map: SwitchMap;
  settings: SettingId[];
  chosen: ChosenReplacement | null;
}

/** One candidate: old terminal to new terminal, position to position, and what was not compared. */
export function CandidateView({ candidate, map, settings, chosen, source }: CandidateViewProps) {
  const { known, result, differences, near } = candidate;
  const accepted = useAccepted(differences, chosen?.entry === known.id ? chosen : null);
  const session = useSession();
  const heading = (
    <>
      <h2 className="text-title font-bold">{known.name}</h2>
      <p className="text-quiet">{[known.maker, known.family].filter(Boolean).join(' · ')}</p>
      {known.note && <p>{known.note}</p>}
      <Stated facts={known.facts ?? {}} />
    </>
  );
  if (result.kind === 'no' || result.kind === 'undecided') {
    return (
      <section aria-label="Candidate" className="px-6 py-4 lg:overflow-y-auto">
        {heading}
        <p className="mt-3 text-large">{resultWords(result)}.</p>
        {near && (
          <p className="text-large font-semibold">Near: {nearWords(near, map.structure, settings)}.</p>
        )}
      </section>
    );
  }
  const old = (place: number) => map.structure.terminals[place]?.id as TerminalId;
  const replacement: ChosenReplacement = {
    entry: known.id,
    name: known.name,
    terminals: result.terminals.map(({ from, to }) => ({ from: old(from), to: known.terminals[to] ?? '' })),
    positions: result.positions.map(({ from, to }) => ({
      from: settings[from] as SettingId,
      to: positionName(known, to),
    })),
    ...{ source, accepted: accepted.list, part: known },
  };
  const isChosen = chosen?.entry === known.id && JSON.stringify(chosen) === JSON.stringify(replacement);
  const stale = chosen?.entry === known.id && !isChosen;
  return (
    <section aria-label="Candidate" className="px-6 py-4 lg:overflow-y-auto">
      <div className="flex flex-wrap items-start gap-4">
        <div className="grow">{heading}</div>
        {isChosen ? (
          <PlainButton onClick={() => session.emit({ kind: 'chosen', replacement: null })}>
            Chosen. Take it back
          </PlainButton>
        ) : (
          <PlainButton
            look="strong"
            className="min-h-14 text-large"
            disabled={result.kind !== 'same-wiring' || accepted.open > 0}
            onClick={() => session.emit({ kind: 'chosen', replacement })}
          >
            Choose this one
          </PlainButton>
        )}
      </div>
      <p className="mt-2 text-large">
        {resultWords(result)}, {source === 'should-be' ? 'as it should be' : 'as mapped'}.
      </p>
      {accepted.open > 0 && (
        <p className="text-brick">
          {accepted.open === 1 ? 'One safety difference is' : `${accepted.open} safety differences are`} to be
          answered before it can be chosen.
        </p>
      )}
      <Differences {...{ differences, accepted, known, settings }} structure={map.structure} />
      {stale && (
        <p className="text-amber-ink">It was chosen with another terminal map; look again and choose anew.</p>
      )}
      <div className="mt-4 grid gap-x-10 gap-y-6 xl:grid-cols-[auto_1fr]">
        <TransferLines map={map} replacement={replacement} />
        <div className="grid max-w-xl content-start gap-4">
          <PositionLines map={map} replacement={replacement} />
          {result.sparePositions.length > 0 && (
            <Notice look="amber" title="Positions to spare">
              <p>
                The handle can go where the old one could not:{' '}
                {result.sparePositions.map((index) => spareWords(known, index)).join('; ')}.{' '}
                {result.between.length > 0
                  ? 'Some lie between: no stop takes them away.'
                  : 'Fit a stop, or know what happens there.'}
              </p>
            </Notice>
          )}
          <Notice look="plain" title="Same wiring is not yet ‘fits’">
            How it fits is not compared. Only loads that were named at Wires and jumpers are compared with its
            ratings. Look at each before fitting; mains work follows local rules and is for those who may do
            it.
          </Notice>
        </div>
      </div>
    </section>
  );
}

/** What is stated of it besides its wiring; all else is not. */
function Stated({ facts }: { facts: PartFacts }) {
  const lines = factLines(facts);
  if (lines.length === 0) return <p className="text-quiet">Nothing is stated besides its wiring.</p>;
  return <p className="text-quiet">{lines.map(([label, value]) => `${label}: ${value}`).join(' · ')}</p>;
}

function TransferLines({ map, replacement }: { map: SwitchMap; replacement: ChosenReplacement }) {
  return (
    <table aria-label="Terminal by terminal" className="border-separate border-spacing-y-1">
      <thead>
        <tr className="text-left text-small text-quiet">
          <th scope="col" className="font-normal">
            old terminal
          </th>
          <th aria-hidden="true" />
          <th scope="col" className="font-normal">
            new terminal
          </th>
        </tr>
      </thead>
      <tbody>
        {replacement.terminals.map(({ from, to }) => (
          <tr key={`${from} ${to}`}>
            <td>
              <span className="inline-flex h-12 min-w-12 items-center justify-center rounded-full border-3 border-ink bg-sheet px-2 font-mono text-large font-bold">
                {terminalName(map.structure, from)}
              </span>
            </td>
            <td aria-hidden="true" className="w-40 px-1">
              <div className="h-1 bg-ink" />
            </td>
            <td>
              <span className="inline-flex h-12 min-w-16 items-center justify-center rounded-part border-3 border-ink bg-sheet px-3 font-mono text-large font-bold">
                {to}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function PositionLines({ map, replacement }: { map: SwitchMap; replacement: ChosenReplacement }) {
  return (
    <table aria-label="Position by position" className="w-full">
      <tbody>
        {replacement.positions.map(({ from, to }, index) => (
          <tr key={from} className="border-b border-line">
            <td className="py-1.5">
              <span className="flex items-center gap-3 font-semibold">
                <StrandSample strand={strandOf(index)} />
                {settingName(map.structure, from)}
              </span>
            </td>
            <td className="px-3 text-quiet">is now</td>
            <td className="font-semibold">{to}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
