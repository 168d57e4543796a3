import { recordsOf } from '@which-way/core/log';
import { insteadOf, type FunctionCheck } from '@which-way/core/refit';
import { SEEN_WORDS } from '@which-way/words/machine/seen';
import { useJobState, useSession } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { DOES_INSTEAD_TEXT } from '@which-way/words/screens/pages/refit/function/does-instead';

interface DoesInsteadProps {
  check: Extract<FunctionCheck, { kind: 'load' }>;
  tried: NonNullable<FunctionCheck['tried']>;
}

/** What a load that fails does instead, in a tap; tapped again it is not said any more. */
export function DoesInstead({ check, tried }: DoesInsteadProps) {
  const session = useSession();
  const { line, result, live, why } = tried;
  const load = useJobState(({ map }) => recordsOf(map.log, 'load-named').find(({ id }) => id === check.load));
  return (
    <div
      role="group"
      aria-label={DOES_INSTEAD_TEXT.whatDoesInstead(load?.name ?? 'it')}
      className="flex flex-wrap items-center gap-2"
    >
      <span className="grow">{DOES_INSTEAD_TEXT.whatDoesItDoInstead}</span>
      {insteadOf(check.must, load?.kind === 'motor').map((one) => {
        const said = tried.does === one;
        return (
          <PlainButton
            key={one}
            look={said ? 'strong' : 'plain'}
            aria-pressed={said}
            className="px-2.5"
            onClick={() =>
              session.emit({
                kind: 'function-tried',
                tried: [{ line, result, live, why, ...(!said && { does: one }) }],
              })
            }
          >
            {SEEN_WORDS[one]}
          </PlainButton>
        );
      })}
    </div>
  );
}
