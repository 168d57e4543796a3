import { Choice } from '../../../controls/fields/choice.js';
import { Pick } from '../../../controls/fields/pick.js';
import type { SwitchMap } from '@which-way/core/continuity';
import { knownPattern, polesWithContacts, type Contact } from '@which-way/core/table';
import type { ExpectedTable } from '@which-way/core/log';
import type { SettingId, TerminalId } from '@which-way/core/switch';
import { calledFault, type Comparison } from '@which-way/core/verify';
import { useMemo, useState } from 'react';
import { PartLine, usePart } from '../../../parts/facts/part-of-positions.js';
import type { Inspected } from '../../../parts/facts/inspector.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { settingName, terminalName } from '@which-way/words/terminals';
import {
  allElseOpen,
  contactsOf,
  saidOf,
  turnContact,
  type SaidOfContact,
  type TapSays,
} from './expected-edit.js';
import { PositionHeads } from './position-heads.js';
import { distinct, verdictOf, type CellVerdict } from './rows.js';
import { EXPECTED_GRID_TEXT } from '@which-way/words/screens/pages/verify/expected/expected-grid';

interface ExpectedGridProps {
  map: SwitchMap;
  expected: ExpectedTable;
  comparison: Comparison;
  onSet: (table: ExpectedTable) => void;
  onPick: (about: Inspected) => void;
}

/** Positions side by side, and contacts above which the rows are lower. */
const MOST_ACROSS = 8;
const MANY_ROWS = 5;

/** The expected table: a tap on a cell says that the contact should be closed there, open, or that it does not matter. */
export function ExpectedGrid({ map, expected, comparison, onSet, onPick }: ExpectedGridProps) {
  const { structure } = map;
  const [says, setSays] = useState<TapSays>('closed-or-open');
  const [added, setAdded] = useState<Contact[]>([]);
  const ids = structure.terminals.map(({ id }) => id);
  const found = polesWithContacts(knownPattern(map)).flatMap(({ contacts }) => contacts);
  const rows = distinct([...contactsOf(expected, ids), ...found, ...added]);
  const isFault = useMemo(() => calledFault(map), [map]);
  const part = usePart(
    expected.settings.map(({ setting }) => setting),
    null,
    MOST_ACROSS,
  );
  const shown = expected.settings.slice(part.from, part.to);
  const low = rows.length > MANY_ROWS;
  const edit = (setting: SettingId, contact: Contact) =>
    onSet(turnContact(expected, setting, contact, ids, says));
  return (
    <>
      <div className="no-print mb-2">
        <Choice<TapSays>
          label={EXPECTED_GRID_TEXT.aTapSays}
          shown
          value={says}
          options={[
            { value: 'closed-or-open', text: 'closed or open' },
            { value: 'does-not-matter', text: 'does not matter' },
          ]}
          onChoose={setSays}
        />
      </div>
      <PartLine {...part} most={MOST_ACROSS} all={expected.settings.length} />
      <div>
        <table className="w-full table-fixed border-collapse">
          <thead>
            <tr>
              <th scope="col" className="w-20 text-left text-small font-normal text-quiet">
                {EXPECTED_GRID_TEXT.shouldBe}
              </th>
              <PositionHeads
                structure={structure}
                settings={shown.map(({ setting }) => setting)}
                from={part.from}
              />
            </tr>
          </thead>
          <tbody>
            {rows.map((contact) => {
              const [a, b] = contact.map((place) => ids[place]) as [TerminalId, TerminalId];
              const label = `${terminalName(structure, a)}–${terminalName(structure, b)}`;
              return (
                <tr key={String(contact)}>
                  <th
                    scope="row"
                    className={`truncate pr-2 text-left font-mono ${low ? 'text-base' : 'text-large'}`}
                  >
                    {label}
                  </th>
                  {shown.map((entry) => (
                    <ExpectedCell
                      key={entry.setting}
                      low={low}
                      name={`${label} at ${settingName(structure, entry.setting)}`}
                      said={saidOf(entry, contact, ids)}
                      verdict={verdictOf(comparison, entry.setting, a, b)}
                      fault={isFault(entry.setting, a, b)}
                      onTurn={() => edit(entry.setting, contact)}
                      onPick={() => onPick({ setting: entry.setting, a, b })}
                    />
                  ))}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {comparison.unsaid > 0 && (
        <p className="no-print mt-3 flex flex-wrap items-center gap-3">
          {comparison.unsaid === 1 ? EXPECTED_GRID_TEXT.onePair : EXPECTED_GRID_TEXT.pairs(comparison.unsaid)}
          {EXPECTED_GRID_TEXT.nothingIsSaidNotCompared}
          <PlainButton onClick={() => onSet(allElseOpen(expected))}>
            {EXPECTED_GRID_TEXT.allElseShouldBeOpen}
          </PlainButton>
        </p>
      )}
      <AddContact map={map} onAdd={(contact) => setAdded([...added, contact])} />
    </>
  );
}

const VERDICT: Record<NonNullable<CellVerdict>, { look: string; word: string }> = {
  agree: { look: 'bg-sheet', word: 'agrees' },
  missing: { look: 'bg-amber text-lead-black', word: 'missing' },
  extra: { look: 'bg-amber text-lead-black', word: 'extra' },
  'not-tested': { look: 'not-known', word: 'not tested' },
};

/** A cell that a person called the fault, whatever the table says of it. */
const FAULT = { look: 'bg-amber text-lead-black', word: 'fault' };

const SAID: Record<SaidOfContact, string> = {
  closed: 'should be closed',
  open: 'should be open',
  'not-said': 'nothing is said',
};

interface ExpectedCellProps {
  name: string;
  low: boolean;
  said: SaidOfContact;
  verdict: CellVerdict;
  fault: boolean;
  onTurn: () => void;
  onPick: () => void;
}

function ExpectedCell({ name, low, said, verdict, fault, onTurn, onPick }: ExpectedCellProps) {
  const differs = verdict === 'missing' || verdict === 'extra';
  const { look, word } = fault && !differs ? FAULT : verdict ? VERDICT[verdict] : { look: '', word: '' };
  return (
    <td className={`border border-line p-0 ${look}`}>
      <div className="flex flex-col items-stretch">
        <button
          type="button"
          aria-label={`${name}: ${SAID[said]}`}
          onClick={onTurn}
          className={`flex items-center justify-center font-mono font-bold hover:outline-2 hover:outline-ink ${low ? 'h-8' : 'h-12 text-large'}`}
        >
          {said === 'closed' ? (
            <span className="inline-flex size-7 items-center justify-center rounded-part border-3 border-ink bg-sheet text-ink">
              ×
            </span>
          ) : (
            <span className={said === 'open' ? '' : 'text-quiet'}>{said === 'open' ? '–' : '?'}</span>
          )}
        </button>
        <button
          type="button"
          aria-label={EXPECTED_GRID_TEXT.howIsKnown(name)}
          onClick={onPick}
          className={`min-h-6 truncate text-[0.8125rem] tracking-tight sm:text-small sm:tracking-normal ${differs || fault ? 'font-bold' : 'text-quiet'}`}
        >
          {word}
        </button>
      </div>
    </td>
  );
}

function AddContact({ map, onAdd }: { map: SwitchMap; onAdd: (contact: Contact) => void }) {
  const [one, setOne] = useState('');
  const [other, setOther] = useState('');
  const { terminals } = map.structure;
  const chosen = [Number(one), Number(other)].sort((a, b) => a - b) as [number, number];
  const usable = one !== '' && other !== '' && one !== other;
  const options = terminals.map(({ label }, place) => ({ value: String(place), text: label }));
  return (
    <div className="no-print mt-3 flex flex-wrap items-center gap-2">
      <Pick
        quiet
        label={EXPECTED_GRID_TEXT.firstTerminal}
        value={one}
        placeholder="–"
        options={options}
        onPick={setOne}
      />
      {EXPECTED_GRID_TEXT.to}
      <Pick
        quiet
        label={EXPECTED_GRID_TEXT.secondTerminal}
        value={other}
        placeholder="–"
        options={options}
        onPick={setOther}
      />
      <PlainButton disabled={!usable} onClick={() => onAdd(chosen)}>
        {EXPECTED_GRID_TEXT.addThisContact}
      </PlainButton>
    </div>
  );
}
