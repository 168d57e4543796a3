import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf, type Refinement } from '@which-way/core/log';
import type { MapRequirement } from '@which-way/core/match';
import { contactTerminals, type SettingId, type TerminalId } from '@which-way/core/switch';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useState } from 'react';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { WHAT_MATTERS_TEXT } from '@which-way/words/screens/pages/match/requirement/what-matters';

interface WhatMattersProps {
  map: SwitchMap;
  /** All that the source says. */
  whole: MapRequirement & { kind: 'requirement' };
  refinement: Refinement;
  onRefine: (change: Partial<Refinement>) => void;
}

/** What of it matters: positions, terminals that carried wires, joins. What is left out is asked of nobody. */
export function WhatMatters({ map, whole, refinement, onRefine }: WhatMattersProps) {
  const { structure } = map;
  const { unused, leftOut, free } = refinement;
  const terminals = whole.requirement.terminals.flatMap((at) => structure.terminals[at] ?? []);
  const wired = new Set(recordsOf(map.log, 'wire-tagged').flatMap(({ terminal }) => terminal ?? []));
  const bare = terminals.filter(({ id }) => !wired.has(id)).map(({ id }) => id);
  const said = unused.length + leftOut.length + free.length;
  const toggle = <Id extends string>(list: readonly Id[], id: Id, on: boolean) =>
    on ? list.filter((one) => one !== id) : [...list, id];
  return (
    <details className="mt-1" open={said > 0 || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">
        {WHAT_MATTERS_TEXT.whatOfItMatters}
        {said > 0 && WHAT_MATTERS_TEXT.leftOut(said)}
      </summary>
      <fieldset>
        <legend className="text-small text-quiet">{WHAT_MATTERS_TEXT.positionsThatAreNeeded}</legend>
        <div className="flex flex-wrap gap-x-4">
          {whole.settings.map((id) => (
            <CheckLine
              key={id}
              checked={!leftOut.includes(id)}
              onChange={(on) => onRefine({ leftOut: toggle(leftOut, id, on) })}
            >
              {settingName(structure, id)}
            </CheckLine>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="text-small text-quiet">{WHAT_MATTERS_TEXT.terminalsThatCarriedAWire}</legend>
        <div className="flex flex-wrap gap-x-4">
          {terminals.map(({ id, label }) => (
            <CheckLine
              key={id}
              checked={!unused.includes(id)}
              onChange={(on) => onRefine({ unused: toggle(unused, id, on) })}
            >
              {label}
            </CheckLine>
          ))}
        </div>
        {wired.size > 0 && bare.length > 0 && bare.some((id) => !unused.includes(id)) && (
          <PlainButton onClick={() => onRefine({ unused: [...new Set([...unused, ...bare])] })}>
            {WHAT_MATTERS_TEXT.noWireIsTaggedOn}
            {bare.map((id) => terminalName(structure, id)).join(', ')}
            {WHAT_MATTERS_TEXT.leave} {bare.length === 1 ? WHAT_MATTERS_TEXT.it : WHAT_MATTERS_TEXT.them}
            {WHAT_MATTERS_TEXT.out}
          </PlainButton>
        )}
      </fieldset>
      <ul>
        {free.map(({ pair, setting }, at) => (
          <li key={at} className="flex items-center gap-2 border-b border-line">
            <span className="grow">
              {pair.map((id) => terminalName(structure, id)).join(' and ')}
              {WHAT_MATTERS_TEXT.mayJoinOrNot}
              {setting === null
                ? WHAT_MATTERS_TEXT.everywhere
                : WHAT_MATTERS_TEXT.at(settingName(structure, setting))}
            </span>
            <PlainButton
              look="quiet"
              className="!px-2"
              onClick={() => onRefine({ free: free.filter((_, index) => index !== at) })}
            >
              {WHAT_MATTERS_TEXT.remove}
            </PlainButton>
          </li>
        ))}
      </ul>
      <MayJoinOrNot map={map} settings={whole.settings} onAdd={(one) => onRefine({ free: [...free, one] })} />
    </details>
  );
}

function MayJoinOrNot({
  map: { structure },
  settings,
  onAdd,
}: {
  map: SwitchMap;
  settings: readonly SettingId[];
  onAdd: (free: Refinement['free'][number]) => void;
}) {
  const [one, setOne] = useState('');
  const [other, setOther] = useState('');
  const [where, setWhere] = useState('');
  const terminals = contactTerminals(structure);
  const options = terminals.map(({ id, label }) => ({ value: id, text: label }));
  const find = (id: string): TerminalId | undefined => terminals.find((terminal) => terminal.id === id)?.id;
  const [a, b] = [find(one), find(other)];
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2">
      {WHAT_MATTERS_TEXT.whether}
      <Pick
        quiet
        label={WHAT_MATTERS_TEXT.oneTerminal}
        value={one}
        placeholder="–"
        options={options}
        onPick={setOne}
      />
      {WHAT_MATTERS_TEXT.and}
      <Pick
        quiet
        label={WHAT_MATTERS_TEXT.theOtherTerminal}
        value={other}
        placeholder="–"
        options={options}
        onPick={setOther}
      />
      {WHAT_MATTERS_TEXT.join}
      <Pick
        quiet
        label={WHAT_MATTERS_TEXT.inWhichPosition}
        value={where}
        options={[
          { value: '', text: 'anywhere' },
          ...settings.map((id) => ({ value: id, text: `at ${settingName(structure, id)}` })),
        ]}
        onPick={setWhere}
      />
      <PlainButton
        disabled={!a || !b || a === b}
        onClick={() => {
          if (!a || !b) return;
          onAdd({ pair: [a, b], setting: settings.find((id) => id === where) ?? null });
          setOne('');
          setOther('');
        }}
      >
        {WHAT_MATTERS_TEXT.doesNotMatter}
      </PlainButton>
    </div>
  );
}
