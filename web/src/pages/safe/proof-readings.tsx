import { endsInSight, usualReadings } from '@which-way/core/safety';
import type { Current, VoltReading } from '@which-way/core/log';
import { X } from 'lucide-react';
import { useState } from 'react';
import { Choice } from '../../controls/fields/choice.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { loads, useGivenOnce } from '../../parts/safety/given-once.js';
import type { ProofDesk } from './use-proof.js';
import { useVolts, VoltsField } from './volts-field.js';
import { PROOF_READINGS_TEXT } from '@which-way/words/screens/pages/safe/proof-readings';

type When = 'before' | 'after';

interface ProofReadingsProps {
  desk: ProofDesk;
  when: When;
  /** It is said to be isolated: volts that are found now were not there before. */
  isolated?: boolean;
}

/** The readings of a proof of dead: those that were made, and a line to type in for each that is usually made. */
export function ProofReadings({ desk, when, isolated = false }: ProofReadingsProps) {
  const { proof, list } = desk;
  const given = useGivenOnce();
  const [current, setCurrent] = useState<Current>(list.supply === 'battery' ? 'DC' : 'AC');
  const [low, setLow] = useState<boolean | null>(null);
  const lowImpedance = low ?? loads(given.tester);
  const [extra, setExtra] = useState(false);
  const made = proof[when];
  const open = usualReadings(proof, list.supply).filter(
    (wanted) =>
      wanted.when === when &&
      !made.some(({ between }) => wanted.between.every((name) => between.includes(name))),
  );
  const keep = (reading: VoltReading) => desk.read(when, reading);
  const typing = { when, current, lowImpedance, positions: proof.positions, onKeep: keep };
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-5">
        <Choice
          label={PROOF_READINGS_TEXT.acOrDc}
          value={current}
          options={[
            { value: 'AC', text: 'AC' },
            { value: 'DC', text: 'DC' },
          ]}
          onChoose={setCurrent}
        />
        <CheckLine checked={lowImpedance} onChange={setLow}>
          {PROOF_READINGS_TEXT.aTesterThatLoadsWhat}
        </CheckLine>
      </div>
      {when === 'before' && isolated && open.length > 0 && (
        <p className="border-l-4 border-brick pl-3">{PROOF_READINGS_TEXT.nowIsolated}</p>
      )}
      <ul
        className="grid gap-1"
        aria-label={
          when === 'before' ? PROOF_READINGS_TEXT.readBeforeIsolation : PROOF_READINGS_TEXT.readAfterIsolation
        }
      >
        {made.map((reading) => (
          <li key={readingWords(reading)} className="flex items-center gap-2 border-b border-line">
            <span className="grow">{readingWords(reading)}</span>
            <PlainButton
              look="quiet"
              className="!px-2"
              aria-label={PROOF_READINGS_TEXT.takeBack(readingWords(reading))}
              onClick={() => desk.change({ [when]: made.filter((one) => one !== reading) })}
            >
              <X size={18} aria-hidden="true" />
            </PlainButton>
          </li>
        ))}
        {open.map(({ between }) => (
          <li key={between.join()}>
            <TypedReading {...typing} between={between} />
          </li>
        ))}
      </ul>
      {extra ? (
        <OtherReading
          {...typing}
          names={proof.points.map(({ name }) => name)}
          onClose={() => setExtra(false)}
        />
      ) : (
        <PlainButton look="quiet" className="justify-self-start !px-1" onClick={() => setExtra(true)}>
          {PROOF_READINGS_TEXT.anotherReading}
        </PlainButton>
      )}
      {when === 'before' && !endsInSight(list.supply) && (
        <p className="text-small text-quiet">{PROOF_READINGS_TEXT.liveAndForACompetent}</p>
      )}
    </div>
  );
}

const readingWords = ({ between, volts, current, position, lowImpedance }: VoltReading): string =>
  `${between.join(' to ')}: ${volts} V ${current}, ${position ?? PROOF_READINGS_TEXT.everyPosition}${lowImpedance ? '' : PROOF_READINGS_TEXT.loadsNothing}`;

interface Typing {
  when: When;
  current: Current;
  lowImpedance: boolean;
  positions: readonly string[];
  onKeep: (reading: VoltReading) => void;
}

/** One reading between two points. */
function TypedReading({
  between,
  when,
  current,
  lowImpedance,
  positions,
  onKeep,
}: Typing & { between: [string, string] }) {
  const field = useVolts();
  const [position, setPosition] = useState('');
  const words = between.join(' to ');
  return (
    <form
      className="flex flex-wrap items-center gap-x-3 gap-y-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (field.volts === null) return;
        focusNext(event.currentTarget);
        onKeep({ between, position: position || null, volts: field.volts, current, lowImpedance });
      }}
    >
      <strong className="min-w-28 text-large">{words}</strong>
      <VoltsField
        quiet
        label={PROOF_READINGS_TEXT.from(
          when === 'before' ? PROOF_READINGS_TEXT.liveVolts : PROOF_READINGS_TEXT.volts,
          words,
        )}
        field={field}
      />
      {positions.length > 0 ? (
        <Pick
          quiet
          label={PROOF_READINGS_TEXT.positionFor(words)}
          value={position}
          options={[
            {
              value: '',
              text: when === 'before' ? 'the lowest, in every position' : 'the highest, in every position',
            },
            ...positions.map((name) => ({ value: name, text: `at ${name}` })),
          ]}
          onPick={setPosition}
        />
      ) : (
        <span className="text-quiet">
          {when === 'before' ? PROOF_READINGS_TEXT.theLowest : PROOF_READINGS_TEXT.theHighest}
          {PROOF_READINGS_TEXT.inEveryPosition}
        </span>
      )}
      <PlainButton type="submit" disabled={field.volts === null}>
        {PROOF_READINGS_TEXT.keep}
      </PlainButton>
    </form>
  );
}

/** The next field to type into has the focus once this one is kept. */
function focusNext(form: HTMLFormElement): void {
  const fields = [...(form.closest('ul')?.querySelectorAll<HTMLInputElement>('input[inputmode]') ?? [])];
  const here = fields.findIndex((field) => form.contains(field));
  fields[here + 1]?.focus();
}

function OtherReading({
  names,
  onClose,
  ...typing
}: Typing & { names: readonly string[]; onClose: () => void }) {
  const [one, setOne] = useState('');
  const [other, setOther] = useState('');
  const options = names.map((name) => ({ value: name, text: name }));
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Pick
        quiet
        label={PROOF_READINGS_TEXT.from2}
        placeholder={PROOF_READINGS_TEXT.from2}
        value={one}
        options={options}
        onPick={setOne}
      />
      <Pick
        quiet
        label={PROOF_READINGS_TEXT.to}
        placeholder={PROOF_READINGS_TEXT.to}
        value={other}
        options={options}
        onPick={setOther}
      />
      {one && other && one !== other && (
        <TypedReading
          key={`${one} ${other}`}
          {...typing}
          between={[one, other]}
          onKeep={(reading) => {
            typing.onKeep(reading);
            onClose();
          }}
        />
      )}
      <PlainButton look="quiet" onClick={onClose}>
        {PROOF_READINGS_TEXT.close}
      </PlainButton>
    </div>
  );
}
