import type { SupplyPath } from '@which-way/core/path';
import { useSession } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { stretchWords, WAY_WORDS } from '@which-way/words/before/path';
import { TEST_LIST_TEXT } from '@which-way/words/screens/pages/path/test-list';

const RESULTS = { pass: 'pass', fail: 'fail', unsteady: 'comes and goes' };

/** What was tested so far; each can be taken back. */
export function TestList({ path }: { path: SupplyPath }) {
  const session = useSession();
  if (path.tests.length === 0) return null;
  return (
    <section aria-label={TEST_LIST_TEXT.testsSoFar}>
      <h2 className="font-semibold text-quiet">{TEST_LIST_TEXT.testsSoFar}</h2>
      <ul>
        {path.tests.toReversed().map((test) => (
          <li key={test.id} className="flex items-center gap-3 border-b border-line">
            <span className="grow">
              {stretchWords(path.links, test.links)}:{' '}
              <strong>{test.result ? RESULTS[test.result] : ''}</strong>
              {test.way !== 'through' && `, ${WAY_WORDS[test.way]}`}
              {test.flexed && TEST_LIST_TEXT.flexed}
            </span>
            <PlainButton
              look="quiet"
              className="!px-2"
              onClick={() => session.emit({ kind: 'path-tested', test: { ...test, result: null } })}
            >
              {TEST_LIST_TEXT.takeBack}
            </PlainButton>
          </li>
        ))}
      </ul>
    </section>
  );
}
