import type { SwitchMap } from '@which-way/core/continuity';
import { createMapper } from '@which-way/core/continuity';
import { type JobBeside, BESIDE_AS, type BesideAs, recordsOf } from '@which-way/core/log';
import { TITLE_LETTERS } from '@which-way/core/schema';
import { compareBeside, layBeside, type BesideCell } from '@which-way/core/verify';
import { useQuery } from '@tanstack/react-query';
import { BESIDE_WORDS, besideCountWords, sideWords } from '@which-way/words/judge/beside';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useMemo, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { toast } from '../../../controls/toast.js';
import { toldOf } from '../../../api/client.js';
import { questions } from '../../../api/questions.js';
import { useJobState, useSession } from '../../../job/job-context.js';
import { Choice } from '../../../controls/fields/choice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { beginBeside } from '../../../parts/other-jobs/begin-beside.js';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../../controls/result-line.js';
import { BESIDE_PANEL_TEXT } from '@which-way/words/screens/pages/verify/beside/beside-panel';
import { Field } from '../../../controls/fields/field.js';

/** Cells shown at once: differences stand first. */
const MOST_SHOWN = 40;

/** Other switches measured beside this one, cell by cell; and another one in one step. */
export function BesidePanel({ map }: { map: SwitchMap }) {
  const beside = recordsOf(map.log, 'put-beside');
  const { hash } = useLocation();
  return (
    <ResultLine
      id="compare"
      name={BESIDE_PANEL_TEXT.besideAnotherSwitch}
      result={beside.length > 0 ? RESULT_LINES_TEXT.others(beside.length) : RESULT_LINES_TEXT.noOther}
      act={RESULT_LINES_TEXT.compare}
      open={beside.length > 0 || hash === '#compare'}
    >
      {beside.map((one) => (
        <Compared key={one.job} map={map} beside={one} />
      ))}
      <MeasureAnother map={map} />
    </ResultLine>
  );
}

/** Both tables side by side, differences first. */
function Compared({ map, beside }: { map: SwitchMap; beside: JobBeside }) {
  const { data, error } = useQuery(questions.jobEvents(beside.job));
  const there = useMemo(() => (data ? createMapper()(data.events) : null), [data]);
  const laid = useMemo(() => (there ? layBeside(map.structure, there.structure) : null), [map, there]);
  const compared = useMemo(
    () => (there && laid?.kind === 'laid' ? compareBeside(map, there, laid) : null),
    [map, there, laid],
  );
  const [all, setAll] = useState(false);
  return (
    <section aria-label={BESIDE_PANEL_TEXT.beside(beside.title)} className="mb-3">
      <h3 className="flex flex-wrap items-center gap-x-3 font-bold">
        {BESIDE_WORDS[beside.as]}:
        <Link to={`/jobs/${beside.job}`} className="flex min-h-11 items-center underline">
          {data ? BESIDE_PANEL_TEXT.job(data.job.number, data.job.title) : beside.title}
        </Link>
      </h3>
      {error && (
        <p className="text-brick">
          {toldOf(error).message}
          {BESIDE_PANEL_TEXT.nothingCanBeCompared}
        </p>
      )}
      {laid?.kind === 'cannot' && (
        <p>
          {BESIDE_PANEL_TEXT.itHas}
          {laid.needs} {laid.because}
          {BESIDE_PANEL_TEXT.thisOne}
          {laid.has}
          {BESIDE_PANEL_TEXT.cellByCellTheyCannot}
        </p>
      )}
      {compared && laid?.kind === 'laid' && (
        <>
          <p className="font-semibold" data-testid="beside-count">
            {besideCountWords(compared)}
          </p>
          {laid.by === 'order' && (
            <p className="text-quiet">{BESIDE_PANEL_TEXT.theLabelsDifferTerminalsLie}</p>
          )}
          <Cells map={map} cells={all ? compared.cells : compared.cells.slice(0, MOST_SHOWN)} />
          {compared.cells.length > MOST_SHOWN && !all && (
            <PlainButton look="quiet" onClick={() => setAll(true)}>
              {BESIDE_PANEL_TEXT.all}
              {compared.cells.length}
            </PlainButton>
          )}
        </>
      )}
    </section>
  );
}

function Cells({ map: { structure }, cells }: { map: SwitchMap; cells: readonly BesideCell[] }) {
  if (cells.length === 0) return null;
  return (
    <table className="w-full text-left">
      <thead>
        <tr>
          <th>{BESIDE_PANEL_TEXT.pair}</th>
          <th>{BESIDE_PANEL_TEXT.thisOne2}</th>
          <th>{BESIDE_PANEL_TEXT.theOther}</th>
        </tr>
      </thead>
      <tbody>
        {cells.map(({ setting, terminals, here, there, differs }) => (
          <tr
            key={`${setting} ${terminals.join()}`}
            className={`border-t border-line ${differs === 'joins' || differs === 'ohms' ? 'font-bold' : ''}`}
          >
            <td>
              {terminals.map((id) => terminalName(structure, id)).join('–')}
              {BESIDE_PANEL_TEXT.at} {settingName(structure, setting)}
            </td>
            <td>{sideWords(here)}</td>
            <td>{sideWords(there)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const BEGUN_AS: readonly BesideAs[] = ['new-part', 'good-one', 'same-earlier'];

/** Another switch is always another job: described alike, its prompts set to prove this one's map. */
function MeasureAnother({ map }: { map: SwitchMap }) {
  const job = useJobState((state) => state.job);
  const session = useSession();
  const [as, setAs] = useState<BesideAs>('new-part');
  const [title, setTitle] = useState('');
  const [busy, setBusy] = useState(false);
  if (!job || map.structure.actuators.length !== 1) return null;
  const begin = async () => {
    setBusy(true);
    try {
      const named = title.trim() || BESIDE_PANEL_TEXT.titleOf(BESIDE_WORDS[as], job.number);
      const id = await beginBeside(job, map, named, as);
      session.emit({ kind: 'put-beside', beside: { job: id, title: named, as } });
      toast.success(BESIDE_PANEL_TEXT.isOnTheBenchAs(named));
      setTitle('');
    } catch (error) {
      const { message, hint } = toldOf(error);
      toast.error(BESIDE_PANEL_TEXT.noJobWasMade(message), { description: hint });
    } finally {
      setBusy(false);
    }
  };
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <Choice
        label={BESIDE_PANEL_TEXT.whatTheOtherOneIs}
        shown
        value={as}
        options={BESIDE_AS.filter((one) => BEGUN_AS.includes(one)).map((one) => ({
          value: one,
          text: BESIDE_WORDS[one],
        }))}
        onChoose={setAs}
      />
      <Field
        label={BESIDE_PANEL_TEXT.itsNameIfItHas}
        className="min-w-48 grow"
        value={title}
        maxLength={TITLE_LETTERS}
        onType={setTitle}
      />
      <PlainButton type="submit" disabled={busy}>
        {BESIDE_PANEL_TEXT.measureAnotherBesideThisOne}
      </PlainButton>
    </form>
  );
}
