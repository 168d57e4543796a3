import { recordsOf } from '@which-way/core/log';
import { JUMPER_SAYS, JUMPER_OUTCOME_WORDS } from '@which-way/words/refit';
import { settingName } from '@which-way/words/terminals';
import { Link } from 'react-router';
import { useJobState } from '../../job/job-context.js';
import { JUMPER_TESTS_TEXT } from '@which-way/words/screens/pages/path/jumper-tests';

/** What was found with wires joined instead of the switch, and the way to try it. */
export function JumperTests() {
  const { log, structure } = useJobState((state) => state.map);
  const tests = recordsOf(log, 'jumper-tested');
  return (
    <section aria-label={JUMPER_TESTS_TEXT.jumperTest} className="border-t-2 border-line pt-3">
      <h2 className="font-bold">{JUMPER_TESTS_TEXT.withoutTheSwitch}</h2>
      <ul>
        {tests.map(({ setting, outcome, by }) => (
          <li key={setting} className="border-b border-line py-1">
            <strong>{settingName(structure, setting)}</strong>
            {JUMPER_TESTS_TEXT.wiresJoined} {JUMPER_OUTCOME_WORDS[outcome].toLowerCase()} ({by}).{' '}
            {JUMPER_SAYS[outcome]}
          </li>
        ))}
      </ul>
      <Link to="../../refit/jumper" relative="path" className="inline-flex min-h-11 items-center underline">
        {tests.length > 0 ? JUMPER_TESTS_TEXT.jumperTest : JUMPER_TESTS_TEXT.jumperTestDoesTheRest}
      </Link>
    </section>
  );
}
