import { jumperTestsOf } from '@which-way/core/log';
import { JUMPER_SAYS, OUTCOME_WORDS } from '@which-way/words/refit';
import { settingName } from '@which-way/words/terminals';
import { Link } from 'react-router';
import { useJobState } from '../job/job-context.js';

/** What was found with wires joined instead of the switch, and the way to try it. */
export function JumperTests() {
  const { log, structure } = useJobState((state) => state.map);
  const tests = jumperTestsOf(log);
  return (
    <section aria-label="Jumper test" className="border-t-2 border-line pt-3">
      <h2 className="font-bold">Without the switch</h2>
      <ul>
        {tests.map(({ setting, outcome, by }) => (
          <li key={setting} className="border-b border-line py-1">
            <strong>{settingName(structure, setting)}</strong>, wires joined:{' '}
            {OUTCOME_WORDS[outcome].toLowerCase()} ({by}). {JUMPER_SAYS[outcome]}
          </li>
        ))}
      </ul>
      <Link to="../../refit/jumper" relative="path" className="inline-flex min-h-11 items-center underline">
        {tests.length > 0 ? 'Jumper test' : 'Jumper test: does the rest work with its wires joined?'}
      </Link>
    </section>
  );
}
