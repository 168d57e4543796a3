import { Pick } from '../../../controls/fields/pick.js';
import { colorsOf, TERMINATIONS, WIRE_COLORS, type Termination, type Wire } from '@which-way/core/log';
import { type TerminalId } from '@which-way/core/switch';
import { WIRE_TAG_LETTERS, WIRE_SIZE_LETTERS, GOES_TO_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { useJobState } from '../../../job/job-context.js';
import { KeptField } from '../../../controls/fields/kept-field.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { TERMINATION_WORDS } from '@which-way/words/tag/wires';
import { Swatch } from '../../../parts/identity/wire-casing.js';
import { WireEnds } from './wire-ends.js';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { WIRE_FORM_TEXT } from '@which-way/words/screens/pages/tag/wires/wire-form';

interface WireFormProps {
  wire: Wire;
  wires: readonly Wire[];
  onKeep: (wire: Wire) => void;
  onClose: () => void;
}

/** One wire: its tag, colour, size, how it ends, where it sits and where it goes. Kept as it is typed. */
export function WireForm({ wire, wires, onKeep, onClose }: WireFormProps) {
  const { terminals } = useJobState((state) => state.map.structure);
  const [message, setMessage] = useState('');
  const change = (part: Partial<Wire>) => onKeep({ ...wire, ...part });
  const retag = (tag: string) => {
    const wanted = tag.trim();
    if (wanted === '') return setMessage(WIRE_FORM_TEXT.aTagHasANumber);
    if (wires.some(({ id, tag: other }) => id !== wire.id && other.toLowerCase() === wanted.toLowerCase()))
      return setMessage(WIRE_FORM_TEXT.thereIsATagAlready(wanted));
    setMessage('');
    return change({ tag: wanted });
  };
  return (
    <div className="grid gap-3 rounded-part border-2 border-brass bg-sheet p-3">
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <KeptField
          label={WIRE_FORM_TEXT.tag}
          mono
          maxLength={WIRE_TAG_LETTERS}
          text={wire.tag}
          onKeep={retag}
        />
        <KeptField
          label={WIRE_FORM_TEXT.size}
          maxLength={WIRE_SIZE_LETTERS}
          text={wire.size}
          onKeep={(size) => change({ size: size.trim() })}
        />
        <Pick
          label={WIRE_FORM_TEXT.endsIn}
          value={wire.termination ?? ''}
          options={[
            { value: '', text: 'not said' },
            ...TERMINATIONS.map((one) => ({ value: one, text: TERMINATION_WORDS[one] })),
          ]}
          onPick={(value) => change({ termination: terminationOf(value) })}
        />
        <Pick
          label={WIRE_FORM_TEXT.sitsOn}
          value={wire.terminal ?? ''}
          options={[
            { value: '', text: 'not said' },
            ...terminals.map(({ id, label }) => ({ value: id, text: label })),
          ]}
          onPick={(value) => change({ terminal: value === '' ? null : (value as TerminalId) })}
        />
        <div className="col-span-2">
          <KeptField
            label={WIRE_FORM_TEXT.goesTo}
            maxLength={GOES_TO_LETTERS}
            text={wire.goesTo}
            onKeep={(goesTo) => change({ goesTo: goesTo.trim() })}
          />
        </div>
      </div>
      <WireEnds wire={wire} />
      <ColorChoice color={wire.color} onChoose={(color) => change({ color })} />
      <CheckLine checked={wire.liveThough} onChange={(ticked) => change({ liveThough: ticked })} hazard>
        {WIRE_FORM_TEXT.liveThoughItsColourSays}
      </CheckLine>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
      <div className="flex gap-2">
        <PlainButton onClick={onClose}>{WIRE_FORM_TEXT.done}</PlainButton>
        <PlainButton
          look="quiet"
          onClick={() => {
            change({ removed: true });
            onClose();
          }}
        >
          {WIRE_FORM_TEXT.removeTheWire}
        </PlainButton>
      </div>
    </div>
  );
}

const terminationOf = (value: string): Termination | null =>
  TERMINATIONS.find((one) => one === value) ?? null;

/** IEC 60757 codes; a second tap on another colour makes a two-colour wire. */
function ColorChoice({ color, onChoose }: { color: string; onChoose: (color: string) => void }) {
  const chosen = colorsOf(color)?.map(({ code }) => code) ?? [];
  const toggle = (code: string) => {
    if (chosen.includes(code)) onChoose(chosen.filter((one) => one !== code).join(''));
    else onChoose([...chosen, code].slice(-2).join(''));
  };
  return (
    <fieldset>
      <legend className="font-semibold">
        {WIRE_FORM_TEXT.colour}
        {color && <span className="font-mono">{color}</span>}
        <span className="font-normal text-quiet">{WIRE_FORM_TEXT.tapTwoForAStriped}</span>
      </legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {WIRE_COLORS.map(({ code, word }) => (
          <button
            key={code}
            type="button"
            aria-label={`${code}, ${word}`}
            aria-pressed={chosen.includes(code)}
            onClick={() => toggle(code)}
            className={`flex min-h-12 items-center gap-1.5 rounded-part border-2 px-2 font-mono ${chosen.includes(code) ? 'border-ink font-bold' : 'border-edge'}`}
          >
            <Swatch color={code} />
            {code}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
