import { isOneByOne, type FunctionCheck } from '@which-way/core/refit';
import type { FunctionTry } from '@which-way/core/log';
import { ANSWER_CAPS } from '@which-way/words/probing/keys';
import { RESULT_WORDS } from '@which-way/words/refit';
import { FUNCTION_PAGE_TEXT } from '@which-way/words/screens/pages/refit/function/function-page';
import { Zap } from 'lucide-react';
import { useState } from 'react';
import { PlainButton } from '../../../controls/plain-button.js';
import { useSession } from '../../../job/job-context.js';
import { DoesInstead } from './does-instead.js';
import { LiveForm } from './live-form.js';
import { MustField } from './must-field.js';

/** A line with where it is tried and what must happen, in words. */
export interface WordedCheck {
  check: FunctionCheck;
  words: { where: string; must: string };
}

/** What is said of a line: a result, and what was recorded beside it. */
export const triedAs = (check: FunctionCheck, result: FunctionTry['result']) => ({
  ...{ line: check.key, result, live: check.tried?.live ?? '', why: check.tried?.why ?? '' },
});

interface FunctionLineProps extends WordedCheck {
  /** The keys answer it. */
  isNext: boolean;
  /** The position stands before the row. */
  bare?: boolean;
}

const ANSWERS = [
  { result: 'as-it-should', key: 'yes' },
  { result: 'fails', key: 'no' },
] as const;

/** One thing to try: it does as it should, or fails; pressed again it is not tried. */
export function FunctionLine({ check, words, isNext, bare = false }: FunctionLineProps) {
  const session = useSession();
  const { tried } = check;
  const [live, setLive] = useState(false);
  const where = bare ? null : <strong className="font-mono">{words.where} </strong>;
  if (check.kind === 'unsaid')
    return (
      <div className="grid gap-1 py-1">
        <p>
          {where}
          {words.must}
        </p>
        <MustField setting={check.setting} load={check.load} label={`${words.where}, ${words.must}`} />
      </div>
    );
  const result = tried?.result ?? 'not-tried';
  return (
    <div
      role="group"
      aria-label={`${words.where}: ${words.must}`}
      data-one-by-one={isOneByOne(check) || undefined}
      className={`grid gap-1 py-1 ${result === 'fails' ? 'border-l-8 border-brick pl-2' : isNext ? 'border-l-8 border-brass pl-2' : ''}`}
    >
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <span
          className={bare ? 'min-w-32 basis-full sm:basis-auto' : 'min-w-40 flex-1 basis-full sm:basis-0'}
        >
          {where}
          {words.must}
        </span>
        {ANSWERS.map(({ result: answer, key }) => (
          <PlainButton
            key={answer}
            look={result === answer ? 'strong' : 'plain'}
            aria-pressed={result === answer}
            onClick={() =>
              session.emit({
                kind: 'function-tried',
                tried: [triedAs(check, result === answer ? null : answer)],
              })
            }
          >
            {RESULT_WORDS[answer]}
            {isNext && (
              <kbd className="ml-2 hidden font-mono text-small font-normal lg:inline">{ANSWER_CAPS[key]}</kbd>
            )}
          </PlainButton>
        ))}
        <PlainButton
          look="quiet"
          aria-label={FUNCTION_PAGE_TEXT.liveReading}
          aria-expanded={live}
          title={FUNCTION_PAGE_TEXT.liveReading}
          onClick={() => setLive(!live)}
        >
          <Zap size={20} aria-hidden="true" />
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
    </div>
  );
}
