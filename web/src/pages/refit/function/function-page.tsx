import { recordsOf } from '@which-way/core/log';
import { functionChecks, isOneByOne, stopsProved, type FunctionCheck } from '@which-way/core/refit';
import { functionWords } from '@which-way/words/refit';
import { FUNCTION_PAGE_TEXT } from '@which-way/words/screens/pages/refit/function/function-page';
import { useMemo } from 'react';
import { PlainButton } from '../../../controls/plain-button.js';
import { useJobState, useSession } from '../../../job/job-context.js';
import { useAnswerKeys } from '../../../parts/hands/answer-keys.js';
import { FailedFunction } from './failed-function.js';
import { FunctionLine, triedAs, type WordedCheck } from './function-line.js';
import { MustField } from './must-field.js';
import { FittedMain } from '../../../controls/frame/fitted-main.js';

const isOpen = ({ tried, kind }: FunctionCheck): boolean => !tried && kind !== 'unsaid';

/** The position that a line is tried in, if it is of one and may be answered together with others. */
const settingOf = (check: FunctionCheck): string | null =>
  check.kind === 'load' || check.kind === 'unsaid' ? check.setting : null;

/** What every load must do from every setting, ticked under power. */
export function FunctionPage() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const checks = useMemo(() => functionChecks(map), [map]);
  const loads = recordsOf(map.log, 'load-named');
  const worded = checks.map((check): WordedCheck => ({ check, words: functionWords(check, map, loads) }));
  const next = checks.find(isOpen) ?? null;
  const fails = checks.filter(({ tried }) => tried?.result === 'fails');
  const say = (result: 'as-it-should' | 'fails') =>
    next && session.emit({ kind: 'function-tried', tried: [triedAs(next, result)] });
  useAnswerKeys({
    ...(next && { yes: () => say('as-it-should'), no: () => say('fails') }),
    undo: () => session.undo(new Set(['function-tried'])),
  });
  const alone = worded.filter(({ check }) => isOneByOne(check));
  const settings = [
    ...new Set(checks.flatMap((check) => (isOneByOne(check) ? [] : (settingOf(check) ?? [])))),
  ];
  const others = worded.filter(({ check }) => !isOneByOne(check) && settingOf(check) === null);
  const line = (one: WordedCheck, bare = false) => (
    <FunctionLine key={one.check.key} {...one} isNext={one.check === next} bare={bare} />
  );
  return (
    <FittedMain shape="stacked" className="px-4 py-3 sm:px-6">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-title font-bold">{FUNCTION_PAGE_TEXT.functionTestEverySettingEvery}</h1>
        <p role="status" className="font-semibold">
          {FUNCTION_PAGE_TEXT.tried(checks.filter(({ tried }) => tried).length, checks.length)}
        </p>
      </div>
      <p className="mb-2 max-w-4xl">
        <strong>{FUNCTION_PAGE_TEXT.stopAndBrakeFirstThen}</strong>{' '}
        {FUNCTION_PAGE_TEXT.behindAResidualCurrentDevice}
      </p>
      <div
        className="grid content-start gap-x-10 gap-y-4 lg:min-h-0 lg:grow lg:basis-0 lg:overflow-y-auto"
        tabIndex={0}
        role="region"
        aria-label={FUNCTION_PAGE_TEXT.whatIsTried}
      >
        {fails.length > 0 && <FailedFunction map={map} fails={fails} />}
        {alone.length > 0 && (
          <section aria-label={FUNCTION_PAGE_TEXT.oneByOne}>
            <h2 className="border-b-2 border-line font-bold">{FUNCTION_PAGE_TEXT.oneByOne}</h2>
            <div className="grid gap-x-10 xl:grid-cols-2">{alone.map((one) => line(one))}</div>
          </section>
        )}
        <section aria-label={FUNCTION_PAGE_TEXT.position}>
          <h2 className="border-b-2 border-line font-bold">{FUNCTION_PAGE_TEXT.position}</h2>
          <ul>
            {settings.map((setting) => (
              <SettingRow
                key={setting}
                lines={worded.filter(({ check }) => !isOneByOne(check) && settingOf(check) === setting)}
                line={line}
                together={stopsProved(checks)}
              />
            ))}
          </ul>
        </section>
        <section aria-label={FUNCTION_PAGE_TEXT.atTheEnd}>
          <h2 className="border-b-2 border-line font-bold">{FUNCTION_PAGE_TEXT.atTheEnd}</h2>
          <div className="grid gap-x-10 xl:grid-cols-2">{others.map((one) => line(one))}</div>
          <h3 className="mt-2 font-bold">{FUNCTION_PAGE_TEXT.somethingElseToTryIn}</h3>
          <MustField setting={null} load={null} label={FUNCTION_PAGE_TEXT.whatElseMustItDo} />
        </section>
      </div>
    </FittedMain>
  );
}

interface SettingRowProps {
  lines: readonly WordedCheck[];
  line: (one: WordedCheck, bare: boolean) => React.ReactNode;
  /** What is left may be answered at once. */
  together: boolean;
}

/** One position with all its loads; what is left of it may be answered at once. */
function SettingRow({ lines, line, together }: SettingRowProps) {
  const session = useSession();
  const open = lines.filter(({ check }) => isOpen(check));
  const where = lines[0]?.words.where ?? '';
  return (
    <li className="grid items-center gap-x-4 border-b border-line py-1 sm:grid-cols-[6rem_1fr_auto]">
      <strong className="font-mono">{where}</strong>
      <div className="flex flex-wrap gap-x-8">{lines.map((one) => line(one, true))}</div>
      {together && open.length > 1 && (
        <PlainButton
          look="quiet"
          aria-label={FUNCTION_PAGE_TEXT.restOf(where)}
          onClick={() =>
            session.emit({
              kind: 'function-tried',
              tried: open.map(({ check }) => triedAs(check, 'as-it-should')),
            })
          }
        >
          {open.length === lines.length
            ? FUNCTION_PAGE_TEXT.allAsItShould
            : FUNCTION_PAGE_TEXT.restAsItShould}
        </PlainButton>
      )}
    </li>
  );
}
