import { useQuery } from '@tanstack/react-query';
import { TITLE_LETTERS } from '@which-way/core/schema';
import { Link } from 'react-router';
import { questions } from '../../api/questions.js';
import { useJobState } from '../../job/job-context.js';
import { PlainButton } from '../../controls/plain-button.js';
import { useBeginSystem } from '../../parts/begin/use-begin-system.js';
import { IN_SYSTEMS_TEXT } from '@which-way/words/screens/pages/machine/in-systems';

/** The systems that this switch is part of, and a way to join it with another one. */
export function InSystems() {
  const job = useJobState((state) => state.job);
  const jobs = useQuery(questions.jobs('', false)).data ?? [];
  const begin = useBeginSystem();
  if (!job) return null;
  const systems = jobs.filter(({ members }) => members?.includes(job.id));
  return (
    <section
      aria-label={IN_SYSTEMS_TEXT.withOtherSwitches}
      className="grid gap-1 border-t-2 border-line pt-2"
    >
      <h2 className="text-large font-bold">{IN_SYSTEMS_TEXT.withOtherSwitches}</h2>
      {systems.map(({ id, number, title }) => (
        <Link key={id} to={`/systems/${id}`} className="inline-flex min-h-11 items-center underline">
          {number} {title}
        </Link>
      ))}
      {systems.length === 0 && <p className="text-quiet">{IN_SYSTEMS_TEXT.twoOnTheStairsOr}</p>}
      <PlainButton
        className="justify-self-start"
        onClick={() => void begin(IN_SYSTEMS_TEXT.withOthers(job.title).slice(0, TITLE_LETTERS), [job.id])}
      >
        {IN_SYSTEMS_TEXT.joinItWithAnotherSwitch}
      </PlainButton>
    </section>
  );
}
