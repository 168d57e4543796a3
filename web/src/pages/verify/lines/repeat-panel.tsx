import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf } from '@which-way/core/log';
import {
  FEWEST_CYCLES,
  repeatedOf,
  repeatsOf,
  repeatStanding,
  type Cycling,
  type RepeatDue,
} from '@which-way/core/verify';
import { settingName, terminalName } from '@which-way/words/terminals';
import { repeatedWords } from '@which-way/words/judge/verdict';
import { lazy, Suspense, useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { Pick } from '../../../controls/fields/pick.js';
import { untilItComes } from '../../../controls/patiently.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { CyclingDialog } from './cycling-dialog.js';
import { simulatedRun } from './simulated-run.js';
import { REPEAT_PANEL_TEXT } from '@which-way/words/screens/pages/verify/lines/repeat-panel';

const RunChart = lazy(() => untilItComes(() => import('../charts/run-chart.js')));

/** Contacts worked again and again: what a single reading cannot say of a switch that fails sometimes. */
export function RepeatPanel({ map }: { map: SwitchMap }) {
  const contacts = repeatsOf(map);
  const standing = repeatStanding(map);
  const runs = recordsOf(map.log, 'contact-repeated').map(repeatedOf);
  const wanted = standing.wanted && standing.left.length > 0;
  const [open, setOpen] = useState(false);
  const [cycling, setCycling] = useState<Cycling | null>(null);
  if (contacts.length === 0) return null;
  const nameOf = ({ terminals, setting }: ContactAt) =>
    `${terminals.map((id) => terminalName(map.structure, id)).join('–')} at ${settingName(map.structure, setting)}`;
  return (
    <ResultLine
      id="repeats"
      name={RESULT_LINES_TEXT.repeats}
      result={
        wanted
          ? RESULT_LINES_TEXT.askedFor
          : runs.length > 0
            ? RESULT_LINES_TEXT.runs(runs.length)
            : RESULT_LINES_TEXT.notWorked
      }
      act={RESULT_LINES_TEXT.workThem}
      open={standing.wanted || runs.length > 0}
      onOpen={setOpen}
    >
      {wanted && (
        <p>
          {REPEAT_PANEL_TEXT.atLeast}
          {FEWEST_CYCLES}
          {REPEAT_PANEL_TEXT.timesEachStillToBe}
          {standing.left.map(nameOf).join(', ')}.
        </p>
      )}
      <Begin map={map} contacts={contacts} nameOf={nameOf} onBegin={setCycling} />
      {runs.length > 0 && (
        <ul className="mt-2 grid gap-1" aria-label={REPEAT_PANEL_TEXT.runs}>
          {runs.map((repeated, at) => (
            <li key={at} className="border-b border-line py-1">
              <strong>{nameOf(repeated.run)}</strong>: {repeatedWords(repeated)}
              {open && repeated.run.cycles > 1 && (
                <Suspense>
                  <RunChart run={repeated.run} map={map} />
                </Suspense>
              )}
            </li>
          ))}
        </ul>
      )}
      {cycling && <CyclingDialog begun={cycling} name={nameOf(cycling)} onDone={() => setCycling(null)} />}
    </ResultLine>
  );
}

type ContactAt = globalThis.Pick<RepeatDue, 'terminals' | 'setting'>;

interface BeginProps {
  map: SwitchMap;
  contacts: readonly RepeatDue[];
  nameOf: (contact: RepeatDue) => string;
  onBegin: (cycling: Cycling) => void;
}

const PACES = [1, 2, 3, 5];

/** Which contact, how quick; the simulated meter does its cycles by itself. */
function Begin({ map, contacts, nameOf, onBegin }: BeginProps) {
  const session = useSession();
  const hidden = useJobState((state) => state.job?.simulation ?? null);
  const [chosen, setChosen] = useState(0);
  const [pace, setPace] = useState(2);
  const contact = contacts[chosen] ?? contacts[0];
  if (!contact) return null;
  const { terminals, setting } = contact;
  const by = (cycles: number) =>
    hidden && session.emit({ kind: 'contact-repeated', run: simulatedRun(hidden, map, contact, cycles) });
  return (
    <div className="mt-1 flex flex-wrap items-end gap-3">
      <Pick
        label={REPEAT_PANEL_TEXT.contact}
        value={String(chosen)}
        options={contacts.map((one, at) => ({
          value: String(at),
          text: `${nameOf(one)}${one.cycles > 0 ? `, worked ${one.cycles} times` : ''}`,
        }))}
        onPick={(at) => setChosen(Number(at))}
      />
      {hidden ? (
        [20, 100].map((cycles) => (
          <PlainButton key={cycles} onClick={() => by(cycles)}>
            {REPEAT_PANEL_TEXT.theMeterWatches}
            {cycles}
            {REPEAT_PANEL_TEXT.cycles}
          </PlainButton>
        ))
      ) : (
        <>
          <Pick
            label={REPEAT_PANEL_TEXT.aCycleTakes}
            value={String(pace)}
            options={PACES.map((seconds) => ({ value: String(seconds), text: `${seconds} s` }))}
            onPick={(seconds) => setPace(Number(seconds))}
          />
          <PlainButton
            onClick={() =>
              onBegin({
                terminals,
                setting,
                under: 'bench',
                paceSeconds: pace,
                began: Date.now(),
                misses: [],
                sticks: [],
                dropOuts: 0,
              })
            }
          >
            {REPEAT_PANEL_TEXT.begin}
          </PlainButton>
        </>
      )}
    </div>
  );
}
