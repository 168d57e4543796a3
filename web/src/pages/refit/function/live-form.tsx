import { REASON_LETTERS, REMARK_LETTERS } from '@which-way/core/schema';
import type { FunctionCheck } from '@which-way/core/refit';
import { FUNCTION_PAGE_TEXT } from '@which-way/words/screens/pages/refit/function/function-page';
import { useState } from 'react';
import { TextInput } from '../../../controls/fields/text-input.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { useSession } from '../../../job/job-context.js';

/** A live reading beside what is expected: a record, with its reason and who is competent. */
export function LiveForm({ check, onDone }: { check: FunctionCheck; onDone: () => void }) {
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
