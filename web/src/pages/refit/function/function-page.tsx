import { FUNCTION_RESULTS, recordsOf } from '@which-way/core/log';
import { REASON_LETTERS, REMARK_LETTERS } from '@which-way/core/schema';
import { functionChecks, type FunctionCheck } from '@which-way/core/refit';
import type { StepId } from '@which-way/core/switch';
import { functionWords, RESULT_WORDS } from '@which-way/words/refit';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { DoesInstead } from './does-instead.js';
import { FailedFunction } from './failed-function.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { FUNCTION_PAGE_TEXT } from '@which-way/words/screens/pages/refit/function/function-page';
import { TextInput } from '../../../controls/fields/text-input.js';

/** What every load must do from every setting, ticked under power. */
export function FunctionPage() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const checks = useMemo(() => functionChecks(map), [map]);
  const loads = recordsOf(map.log, 'load-named');
  const open = checks.filter(({ tried, kind }) => !tried && kind !== 'unsaid');
  const fails = checks.filter(({ tried }) => tried?.result === 'fails');
  return (
    <main className="mx-auto grid w-full max-w-5xl grow content-start gap-4 p-4 sm:p-6">
      <h1 className="text-title font-bold">{FUNCTION_PAGE_TEXT.functionTestEverySettingEvery}</h1>
      <Notice look="plain" title={FUNCTION_PAGE_TEXT.stopAndBrakeFirstThen}>
        {FUNCTION_PAGE_TEXT.behindAResidualCurrentDevice}
      </Notice>
      <ul aria-label={FUNCTION_PAGE_TEXT.whatIsTried} className="border-t-2 border-line">
        {checks.map((check) => (
          <Line key={check.key} check={check} words={functionWords(check, map, loads)} />
        ))}
      </ul>
      {checks.some(({ tried }) => tried) && open.length > 0 && (
        <PlainButton
          className="justify-self-start"
          onClick={() =>
            session.emit({
              kind: 'function-tried',
              tried: open.map(({ key }) => ({ line: key, result: 'as-it-should', live: '', why: '' })),
            })
          }
        >
          {FUNCTION_PAGE_TEXT.allElseWasTriedAnd}
        </PlainButton>
      )}
      {fails.length > 0 && <FailedFunction map={map} fails={fails} />}
      <OwnLine />
    </main>
  );
}

function Line({ check, words }: { check: FunctionCheck; words: { where: string; must: string } }) {
  const session = useSession();
  const { tried } = check;
  const [live, setLive] = useState(false);
  const say = (result: (typeof FUNCTION_RESULTS)[number] | null) =>
    session.emit({
      kind: 'function-tried',
      tried: [{ line: check.key, result, live: tried?.live ?? '', why: tried?.why ?? '' }],
    });
  if (check.kind === 'unsaid')
    return (
      <li className="grid gap-1 border-b border-line py-2">
        <p>
          <strong className="font-mono">{words.where}</strong> {words.must}
        </p>
        <MustField setting={check.setting} load={check.load} label={`${words.where}, ${words.must}`} />
      </li>
    );
  return (
    <li
      className={`grid gap-1 border-b border-line py-2 ${tried?.result === 'fails' ? 'border-l-8 border-l-brick pl-2' : ''}`}
    >
      <div
        role="group"
        aria-label={`${words.where}: ${words.must}`}
        className="flex flex-wrap items-center gap-2"
      >
        <span className="min-w-60 flex-1">
          <strong className="font-mono">{words.where}</strong> {words.must}
        </span>
        {FUNCTION_RESULTS.map((result) => (
          <PlainButton
            key={result}
            look={(tried?.result ?? 'not-tried') === result ? 'strong' : 'plain'}
            aria-pressed={(tried?.result ?? 'not-tried') === result}
            onClick={() => say(result === 'not-tried' ? null : result)}
          >
            {RESULT_WORDS[result]}
          </PlainButton>
        ))}
        <PlainButton look="quiet" aria-expanded={live} onClick={() => setLive(!live)}>
          {FUNCTION_PAGE_TEXT.liveReading}
        </PlainButton>
      </div>
      {check.kind === 'load' && tried?.result === 'fails' && <DoesInstead check={check} tried={tried} />}
      {tried?.live && (
        <p className="text-quiet">
          {FUNCTION_PAGE_TEXT.live}
          {tried.live}. {tried.why}
        </p>
      )}
      {live && <LiveForm check={check} onDone={() => setLive(false)} />}
    </li>
  );
}

/** A live reading beside what is expected: a record, with its reason and who is competent. */
function LiveForm({ check, onDone }: { check: FunctionCheck; onDone: () => void }) {
  const session = useSession();
  const [shown, setShown] = useState(check.tried?.live ?? '');
  const [why, setWhy] = useState(check.tried?.why ?? '');
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (shown.trim() === '' || why.trim() === '') return;
        session.emit({
          kind: 'function-tried',
          tried: [
            { line: check.key, result: 'not-tried', ...check.tried, live: shown.trim(), why: why.trim() },
          ],
        });
        onDone();
      }}
    >
      <TextInput
        aria-label={FUNCTION_PAGE_TEXT.whatTheInstrumentShowed}
        placeholder={FUNCTION_PAGE_TEXT.vAcrossTheHeater}
        value={shown}
        maxLength={REMARK_LETTERS}
        onChange={({ target }) => setShown(target.value)}
        className="grow"
      />
      <TextInput
        aria-label={FUNCTION_PAGE_TEXT.whyLiveAndWhoIs}
        placeholder={FUNCTION_PAGE_TEXT.whyLiveAndWhoIs2}
        value={why}
        maxLength={REASON_LETTERS}
        onChange={({ target }) => setWhy(target.value)}
        className="grow"
      />
      <PlainButton type="submit" disabled={shown.trim() === '' || why.trim() === ''}>
        {FUNCTION_PAGE_TEXT.keepTheRecord}
      </PlainButton>
    </form>
  );
}

interface MustFieldProps {
  setting: Extract<FunctionCheck, { kind: 'unsaid' }>['setting'] | null;
  load: Extract<FunctionCheck, { kind: 'unsaid' }>['load'] | null;
  label: string;
}

function MustField({ setting, load, label }: MustFieldProps) {
  const session = useSession();
  const [must, setMust] = useState('');
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (must.trim() === '') return;
        session.emit({
          kind: 'function-asked',
          line: { id: newId<StepId>(), setting, load, must: must.trim(), removed: false },
        });
        setMust('');
      }}
    >
      <TextInput
        aria-label={label}
        placeholder={FUNCTION_PAGE_TEXT.whatItMustDo}
        value={must}
        maxLength={REMARK_LETTERS}
        onChange={({ target }) => setMust(target.value)}
        className="grow"
      />
      <PlainButton type="submit" disabled={must.trim() === ''}>
        {FUNCTION_PAGE_TEXT.askForIt}
      </PlainButton>
    </form>
  );
}

function OwnLine() {
  return (
    <section aria-label={FUNCTION_PAGE_TEXT.oneMore}>
      <h2 className="font-bold">{FUNCTION_PAGE_TEXT.somethingElseToTryIn}</h2>
      <MustField setting={null} load={null} label={FUNCTION_PAGE_TEXT.whatElseMustItDo} />
    </section>
  );
}
