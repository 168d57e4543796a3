import { NUMBER_LETTERS } from '@which-way/core/schema';
import type { SwitchMap } from '@which-way/core/continuity';
import {
  contactLimitOf,
  judgedContacts,
  type ContactVerdict,
  type JudgedContact,
} from '@which-way/core/verify';
import {
  ampsOf,
  type ContactLimit,
  lastCheckedMeter,
  LOAD_KINDS,
  type LoadKind,
  recordsOf,
} from '@which-way/core/log';
import { settingName, terminalName } from '@which-way/words/terminals';
import { CONTACT_WORDS, judgedWords, limitWords, WOULD_TELL } from '@which-way/words/judge/verdict';
import { type KeyboardEvent, lazy, Suspense, useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { loadWords } from '@which-way/words/tag/supplies-and-loads';
import { readAmount } from '../../../controls/fields/amount.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Pick } from '../../../controls/fields/pick.js';
import { untilItComes } from '../../../controls/patiently.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { CONTACTS_PANEL_TEXT } from '@which-way/words/screens/pages/verify/lines/contacts-panel';
import { TextInput } from '../../../controls/fields/text-input.js';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { LoadTrueRecipe } from './load-true-recipe.js';
import { LineOfVerdict } from './line-of-verdict.js';

const ContactsChart = lazy(() => untilItComes(() => import('../charts/contacts-chart.js')));

const MARKS: Record<ContactVerdict, string> = {
  good: '',
  look: 'bg-amber-wash text-amber-ink',
  high: 'bg-ink text-sheet',
  bad: 'bg-ink text-sheet',
  unsteady: 'bg-amber-wash text-amber-ink',
  'cannot-tell': 'border border-dashed border-ink',
  'no-ohms': 'not-known',
};

/** Contacts against their limit, the worst first: fitness, which never changes what joins. */
export function ContactsPanel({ map }: { map: SwitchMap }) {
  const judged = judgedContacts(map);
  const limit = contactLimitOf(map);
  const isGold = recordsOf(map.log, 'case-noted').some(({ what }) => what === 'gold-contacts');
  const [open, setOpen] = useState(false);
  return (
    <LineOfVerdict id="contacts" map={map} act={RESULT_LINES_TEXT.details} onOpen={setOpen}>
      <p className="text-quiet">
        {CONTACTS_PANEL_TEXT.contactsWorstFirst}
        {limitWords(limit)}
      </p>
      <LimitForm key={JSON.stringify(limit)} limit={limit} />
      {open && (
        <Suspense>
          <ContactsChart map={map} />
        </Suspense>
      )}
      <ul className="grid gap-1" aria-label={CONTACTS_PANEL_TEXT.contacts}>
        {judged.map((one) => (
          <ContactRow key={`${one.terminals.join()} ${one.setting}`} map={map} one={one} limit={limit} />
        ))}
      </ul>
      {limit.school === 'load' && <p className="mt-1 text-small text-quiet">{WOULD_TELL}</p>}
      <LoadTrueRecipe limit={limit} meter={lastCheckedMeter(map.log)} isGold={isGold} />
    </LineOfVerdict>
  );
}

interface ContactRowProps {
  map: SwitchMap;
  one: JudgedContact;
  limit: ContactLimit;
}

function ContactRow({ map: { structure }, one, limit }: ContactRowProps) {
  const [open, setOpen] = useState(false);
  const name = `${one.terminals.map((id) => terminalName(structure, id)).join('–')} at ${settingName(structure, one.setting)}`;
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-line py-1">
      <strong className="min-w-28">{name}</strong>
      <span className={`rounded-part px-2 text-small font-semibold ${MARKS[one.verdict]}`}>
        {CONTACT_WORDS[one.verdict]}
      </span>
      <span className="grow font-mono text-small">{judgedWords(one)}</span>
      {limit.school === 'load' && !open && (
        <PlainButton look="quiet" className="!px-2" onClick={() => setOpen(true)}>
          {CONTACTS_PANEL_TEXT.mvAtA}
        </PlainButton>
      )}
      {open && <DropForm name={name} one={one} onDone={() => setOpen(false)} />}
    </li>
  );
}

function DropForm({ name, one, onDone }: { name: string; one: JudgedContact; onDone: () => void }) {
  const session = useSession();
  const [typed, setTyped] = useState({ millivolts: '', amps: '1' });
  const [millivolts, amps] = [readAmount(typed.millivolts), readAmount(typed.amps, 1000)];
  const field = (key: 'millivolts' | 'amps', label: string) => (
    <label className="flex items-center gap-1">
      <TextInput
        aria-label={CONTACTS_PANEL_TEXT.ofText(label, name)}
        value={typed[key]}
        inputMode="decimal"
        maxLength={NUMBER_LETTERS}
        onChange={({ target }) => setTyped({ ...typed, [key]: target.value })}
        mono
        className="w-20"
      />
      {label}
    </label>
  );
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (typeof millivolts !== 'number' || !amps) return;
        const { terminals, setting } = one;
        session.emit({ kind: 'drop-measured', drop: { terminals, setting, millivolts, amps } });
        onDone();
      }}
    >
      {field('millivolts', 'mV')}
      {field('amps', 'A')}
      {(millivolts === undefined || amps === undefined) && (
        <p role="alert" className="text-brick">
          {CONTACTS_PANEL_TEXT.numbersSuchAsMvAt}
        </p>
      )}
      <PlainButton type="submit" disabled={typeof millivolts !== 'number' || !amps}>
        {CONTACTS_PANEL_TEXT.keep}
      </PlainButton>
    </form>
  );
}

/** By which school contacts are judged, and its limit. */
function LimitForm({ limit }: { limit: ContactLimit }) {
  const session = useSession();
  const [amps, setAmps] = useState(limit.school === 'load' ? String(limit.amps) : '1');
  const [most, setMost] = useState(limit.school === 'fixed' ? String(limit.ohms) : '1');
  const [kind, setKind] = useState<LoadKind>(limit.school === 'load' ? limit.kind : 'resistive');
  const log = useJobState((state) => state.map.log);
  const loads = recordsOf(log, 'load-named').filter((load) => ampsOf(load) !== null);
  const set = (chosen: ContactLimit) => {
    if (JSON.stringify(chosen) !== JSON.stringify(limit)) session.emit({ kind: 'limit-set', limit: chosen });
  };
  /** Enter keeps what was typed, as leaving the field does. */
  const leave = ({ key, currentTarget }: KeyboardEvent<HTMLInputElement>) => {
    if (key === 'Enter') currentTarget.blur();
  };
  const [ampsRead, mostRead] = [readAmount(amps, 10_000), readAmount(most)];
  const choose = (school: ContactLimit['school']) => {
    if (school === 'hard-zero') set({ school });
    else if (school === 'fixed') set({ school, ohms: mostRead || 1 });
    else set({ school, amps: ampsRead || 1, volts: null, kind, current: 'AC', of: null });
  };
  return (
    <div className="mb-2 flex flex-wrap items-center gap-3">
      <Choice<ContactLimit['school']>
        label={CONTACTS_PANEL_TEXT.judgedBy}
        value={limit.school}
        options={[
          { value: 'fixed', text: CONTACTS_PANEL_TEXT.fixedLimit },
          { value: 'hard-zero', text: CONTACTS_PANEL_TEXT.zeroOnly },
          { value: 'load', text: CONTACTS_PANEL_TEXT.itsLoad },
        ]}
        onChoose={choose}
      />
      {limit.school === 'fixed' && (
        <label className="flex items-center gap-2">
          {CONTACTS_PANEL_TEXT.atMost}
          <TextInput
            value={most}
            inputMode="decimal"
            onChange={({ target }) => setMost(target.value)}
            onKeyDown={leave}
            onBlur={() => mostRead && set({ school: 'fixed', ohms: mostRead })}
            mono
            className="w-20"
          />
          {CONTACTS_PANEL_TEXT.ohm}
        </label>
      )}
      {(ampsRead === undefined || mostRead === undefined) && (
        <p role="alert" className="basis-full text-brick">
          {CONTACTS_PANEL_TEXT.thatIsNoNumberType}
        </p>
      )}
      {limit.school === 'load' && loads.length > 0 && (
        <Pick
          quiet
          label={CONTACTS_PANEL_TEXT.aLoadOfThisJob}
          placeholder={CONTACTS_PANEL_TEXT.aLoadOfThisJob2}
          value={limit.of ?? ''}
          options={loads.map((load) => ({ value: load.id, text: loadWords(load, ampsOf(load)) }))}
          onPick={(id) => set({ ...limit, of: loads.find((load) => load.id === id)?.id ?? null })}
        />
      )}
      {limit.school === 'load' && limit.of === null && (
        <>
          <label className="flex items-center gap-2">
            <TextInput
              aria-label={CONTACTS_PANEL_TEXT.ampsOfTheLoad}
              value={amps}
              inputMode="decimal"
              onChange={({ target }) => setAmps(target.value)}
              onKeyDown={leave}
              onBlur={() => ampsRead && set({ ...limit, amps: ampsRead })}
              mono
              className="w-20"
            />
            {CONTACTS_PANEL_TEXT.a}
          </label>
          <Pick
            quiet
            label={CONTACTS_PANEL_TEXT.kindOfLoad}
            value={kind}
            options={LOAD_KINDS.map((one) => ({ value: one, text: one }))}
            onPick={(one) => {
              const chosen = LOAD_KINDS.find((load) => load === one) ?? 'resistive';
              setKind(chosen);
              set({ ...limit, kind: chosen });
            }}
          />
        </>
      )}
    </div>
  );
}
