import type { SwitchMap } from '@which-way/core/continuity';
import type { Refinement } from '@which-way/core/log';
import { contactTerminals, type TerminalId } from '@which-way/core/switch';
import { terminalName } from '@which-way/words/terminals';
import { useState } from 'react';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { REFINEMENTS_TEXT } from '@which-way/words/screens/pages/match/requirement/refinements';

interface RefinementsProps {
  map: SwitchMap;
  refinement: Refinement;
  onRefine: (change: Partial<Refinement>) => void;
}

const JUNCTIONS = ['0', '1', '2'] as const;

/** How far a part may be adapted, and which wires must never meet. */
export function Refinements({ map: { structure }, refinement, onRefine }: RefinementsProps) {
  const { never, jumpers, gaps, spares, returns } = refinement;
  const tight = !spares || returns;
  const name = (id: TerminalId) => terminalName(structure, id);
  return (
    <details className="mt-2" open={jumpers > 0 || gaps || tight || never.length > 0 || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {REFINEMENTS_TEXT.howFarItMayBe}
      </summary>
      <Choice<(typeof JUNCTIONS)[number]>
        label={REFINEMENTS_TEXT.junctionsThatMayBeAdded}
        shown
        value={JUNCTIONS.find((one) => Number(one) === jumpers) ?? null}
        options={JUNCTIONS.map((one) => ({ value: one, text: one === '0' ? 'none' : `up to ${one}` }))}
        onChoose={(one) => onRefine({ jumpers: Number(one) })}
      />
      <CheckLine checked={gaps} onChange={(on) => onRefine({ gaps: on })}>
        {REFINEMENTS_TEXT.positionsMayLieUnusedBetween}
      </CheckLine>
      <CheckLine checked={spares} onChange={(on) => onRefine({ spares: on })}>
        {REFINEMENTS_TEXT.itMayHavePositionsTo}
      </CheckLine>
      <CheckLine checked={returns} onChange={(on) => onRefine({ returns: on })}>
        {REFINEMENTS_TEXT.itMustSpringBackWhere}
      </CheckLine>
      <ul>
        {never.map((pair, at) => (
          <li key={pair.join()} className="flex items-center gap-2 border-b border-line">
            <span className="grow">
              {name(pair[0])}
              {REFINEMENTS_TEXT.and}
              {name(pair[1])}
              {REFINEMENTS_TEXT.mustNeverMeet}
            </span>
            <PlainButton
              look="quiet"
              className="!px-2"
              onClick={() => onRefine({ never: never.filter((_, index) => index !== at) })}
            >
              {REFINEMENTS_TEXT.remove}
            </PlainButton>
          </li>
        ))}
      </ul>
      <NeverMeet structure={structure} onAdd={(pair) => onRefine({ never: [...never, pair] })} />
    </details>
  );
}

function NeverMeet({
  structure,
  onAdd,
}: {
  structure: SwitchMap['structure'];
  onAdd: (pair: [TerminalId, TerminalId]) => void;
}) {
  const terminals = contactTerminals(structure);
  const [one, setOne] = useState('');
  const [other, setOther] = useState('');
  const find = (id: string) => terminals.find((terminal) => terminal.id === id)?.id;
  const [a, b] = [find(one), find(other)];
  const options = terminals.map(({ id, label }) => ({ value: id, text: label }));
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2">
      {REFINEMENTS_TEXT.twoSuppliesOn}
      <Pick
        quiet
        label={REFINEMENTS_TEXT.oneSupply}
        value={one}
        placeholder="–"
        options={options}
        onPick={setOne}
      />
      {REFINEMENTS_TEXT.and2}
      <Pick
        quiet
        label={REFINEMENTS_TEXT.theOtherSupply}
        value={other}
        placeholder="–"
        options={options}
        onPick={setOther}
      />
      <PlainButton
        disabled={!a || !b || a === b}
        onClick={() => {
          if (!a || !b) return;
          onAdd([a, b]);
          setOne('');
          setOther('');
        }}
      >
        {REFINEMENTS_TEXT.mustNeverMeet2}
      </PlainButton>
    </div>
  );
}
