import type { SwitchMap } from '@which-way/core/continuity';
import { insulationTestOf } from '@which-way/core/log';
import { SAFETY_NOTE_LETTERS, NUMBER_LETTERS } from '@which-way/core/schema';
import { useState, type FormEvent } from 'react';
import { useSession } from '../../../job/job-context.js';
import { readAmount } from '../../../controls/fields/amount.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { INSULATION_PANEL_TEXT } from '@which-way/words/screens/pages/verify/lines/insulation-panel';
import { Field } from '../../../controls/fields/field.js';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { LineOfVerdict } from './line-of-verdict.js';

/** The record of a test with an insulation tester; a multimeter cannot stand in for it. */
export function InsulationPanel({ map }: { map: SwitchMap }) {
  const session = useSession();
  const test = insulationTestOf(map.log);
  const [typed, setTyped] = useState({
    between: 'all contacts to the frame',
    volts: '500',
    megohms: '',
    limit: '1',
  });
  const [volts, megohms, limit] = [
    readAmount(typed.volts, 10_000),
    readAmount(typed.megohms),
    readAmount(typed.limit),
  ];
  const ready = !!volts && typeof megohms === 'number' && !!limit && typed.between.trim() !== '';
  const keep = (event: FormEvent) => {
    event.preventDefault();
    if (!volts || typeof megohms !== 'number' || !limit) return;
    const about = { between: typed.between.trim(), testVolts: volts, megohms, limitMegohms: limit };
    session.emit({ kind: 'insulation-tested', test: about });
    setTyped({ ...typed, megohms: '' });
  };
  const field = (key: keyof typeof typed, label: string, width: string) => (
    <Field
      label={label}
      value={typed[key]}
      maxLength={key === 'between' ? SAFETY_NOTE_LETTERS : NUMBER_LETTERS}
      onType={(text) => setTyped({ ...typed, [key]: text })}
      className={`${width}`}
    />
  );
  return (
    <LineOfVerdict
      id="insulation"
      map={map}
      act={RESULT_LINES_TEXT.testIt}
      note={RESULT_LINES_TEXT.notTestedYet}
    >
      <p className="font-semibold">{INSULATION_PANEL_TEXT.insulationWithAnInsulationTester}</p>
      <p className="text-quiet">{INSULATION_PANEL_TEXT.forWhoMayDoIt}</p>
      {test && (
        <p className="flex flex-wrap items-center gap-2">
          <strong>
            {test.megohms}
            {INSULATION_PANEL_TEXT.mAt}
            {test.testVolts}
            {INSULATION_PANEL_TEXT.v}
            {test.between}
            {INSULATION_PANEL_TEXT.atLeast}
            {test.limitMegohms}
            {INSULATION_PANEL_TEXT.m}
          </strong>
          <PlainButton
            look="quiet"
            className="!px-2"
            onClick={() => session.emit({ kind: 'insulation-tested', test: { ...test, megohms: null } })}
          >
            {INSULATION_PANEL_TEXT.takeBack}
          </PlainButton>
        </p>
      )}
      <form className="mt-1 flex flex-wrap items-end gap-3" onSubmit={keep}>
        {field('between', 'Between', 'w-56')}
        {field('volts', INSULATION_PANEL_TEXT.testVoltsDc, 'w-24 font-mono')}
        {field('megohms', 'Megohms', 'w-24 font-mono')}
        {field('limit', INSULATION_PANEL_TEXT.atLeast2, 'w-24 font-mono')}
        {(volts === undefined || megohms === undefined || limit === undefined) && (
          <p role="alert" className="basis-full text-brick">
            {INSULATION_PANEL_TEXT.numbersSuchAsVoltsAnd}
          </p>
        )}
        <PlainButton type="submit" disabled={!ready}>
          {INSULATION_PANEL_TEXT.keep}
        </PlainButton>
      </form>
    </LineOfVerdict>
  );
}
