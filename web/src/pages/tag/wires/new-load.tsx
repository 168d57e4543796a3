import { LOAD_KINDS, MAKES_OF, type Load } from '@which-way/core/log';
import { isSignal } from '@which-way/core/machine';
import { LINK_NAME_LETTERS } from '@which-way/core/schema';
import type { LoadId } from '@which-way/core/switch';
import { MAKE_WORDS } from '@which-way/words/machine/loads';
import { LOAD_WORDS } from '@which-way/words/tag/supplies-and-loads';
import { useState } from 'react';
import { newId } from '../../../job/new-id.js';
import { readAmount } from '../../../controls/fields/amount.js';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { CURRENT, Figure, Wrong } from '../strip/figure.js';
import { NEW_LOAD_TEXT } from '@which-way/words/screens/pages/tag/wires/new-load';
import { TextInput } from '../../../controls/fields/text-input.js';

const NOTHING_TYPED = { name: '', amps: '', watts: '', volts: '', start: '', constant: '' };

/** A load that is named: what it takes, and how a motor is made. */
export function NewLoad({ onAdd }: { onAdd: (load: Load) => void }) {
  const [typed, setTyped] = useState(NOTHING_TYPED);
  const [kind, setKind] = useState<Load['kind']>('resistive');
  const [current, setCurrent] = useState<Load['current']>('AC');
  const [make, setMake] = useState('');
  const [diode, setDiode] = useState(false);
  const [amps, watts, volts] = [
    readAmount(typed.amps, 10_000),
    readAmount(typed.watts),
    readAmount(typed.volts),
  ];
  const [start, constant] = [readAmount(typed.start, 1e5), readAmount(typed.constant, 1e5)];
  const wrong = [amps, watts, volts, start, constant].some((one) => one === undefined || one === 0);
  // No watts are worked out of a signal.
  const made = MAKES_OF[kind].find((one) => one === make);
  const hasFigures = kind !== 'signal' || !isSignal({ kind, ...(made && { make: made }) });
  const mayHaveDiode = kind === 'motor' || kind === 'electronics';
  const set = (key: keyof typeof typed) => (value: string) => setTyped({ ...typed, [key]: value });
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong || typed.name.trim() === '') return;
        const more = {
          ...(made && { make: made }),
          ...(mayHaveDiode && diode && { diode }),
          ...(kind === 'motor' && start && { startAmps: start }),
          ...(kind === 'motor' && current === 'DC' && constant && { timeConstant: constant }),
        };
        const figures = hasFigures
          ? { amps: amps ?? null, watts: watts ?? null, volts: volts ?? null }
          : { amps: null, watts: null, volts: null };
        onAdd({
          id: newId<LoadId>(),
          name: typed.name.trim(),
          kind,
          ...figures,
          current,
          ...more,
          removed: false,
        });
        setTyped(NOTHING_TYPED);
      }}
    >
      <TextInput
        aria-label={NEW_LOAD_TEXT.whatTheLoadIs}
        placeholder={NEW_LOAD_TEXT.loadSuchAsHeater}
        value={typed.name}
        maxLength={LINK_NAME_LETTERS}
        onChange={({ target }) => set('name')(target.value)}
        className="grow"
      />
      <Pick
        quiet
        label={NEW_LOAD_TEXT.kindOfLoad}
        value={kind}
        options={LOAD_KINDS.map((one) => ({ value: one, text: LOAD_WORDS[one] }))}
        onPick={(chosen) => setKind(LOAD_KINDS.find((one) => one === chosen) ?? 'resistive')}
      />
      {hasFigures && (
        <>
          <Figure label="A" value={typed.amps} onChange={set('amps')} />
          <Figure label="W" value={typed.watts} onChange={set('watts')} />
          <Figure label={NEW_LOAD_TEXT.vAtTheLoad} value={typed.volts} onChange={set('volts')} />
        </>
      )}
      <Pick
        quiet
        label={NEW_LOAD_TEXT.howTheMotorIsMade}
        value={MAKES_OF[kind].some((one) => one === make) ? make : ''}
        options={[
          { value: '', text: NEW_LOAD_TEXT.notSpecified },
          ...MAKES_OF[kind].map((one) => ({ value: one, text: MAKE_WORDS[one] })),
        ]}
        onPick={setMake}
      />
      {kind === 'motor' && (
        <Figure label={NEW_LOAD_TEXT.aAtTheStart} value={typed.start} onChange={set('start')} />
      )}
      {kind === 'motor' && current === 'DC' && (
        <Figure label={NEW_LOAD_TEXT.lRMs} value={typed.constant} onChange={set('constant')} />
      )}
      {mayHaveDiode && (
        <CheckLine checked={diode} onChange={setDiode}>
          {NEW_LOAD_TEXT.throughADiode}
        </CheckLine>
      )}
      <Choice
        label={NEW_LOAD_TEXT.kindOfCurrentOfThe}
        value={current}
        options={CURRENT}
        onChoose={setCurrent}
      />
      {wrong && <Wrong />}
      <PlainButton type="submit" disabled={wrong || typed.name.trim() === ''}>
        {NEW_LOAD_TEXT.addTheLoad}
      </PlainButton>
    </form>
  );
}
