import { REMARK_LETTERS } from '@which-way/core/schema';
import type { FunctionCheck } from '@which-way/core/refit';
import type { StepId } from '@which-way/core/switch';
import { FUNCTION_PAGE_TEXT } from '@which-way/words/screens/pages/refit/function/function-page';
import { useState } from 'react';
import { TextInput } from '../../../controls/fields/text-input.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';

interface MustFieldProps {
  setting: Extract<FunctionCheck, { kind: 'unsaid' }>['setting'] | null;
  load: Extract<FunctionCheck, { kind: 'unsaid' }>['load'] | null;
  label: string;
}

/** What a load, or all of it, must do, in a person's words. */
export function MustField({ setting, load, label }: MustFieldProps) {
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
