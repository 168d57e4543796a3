import type { Probing } from '../map/probing/use-probing.js';
import { useJobState } from '../job/job-context.js';
import { Notice } from '../shared/controls/notice.js';
import { Link } from 'react-router';

/** The simulated switch of the first lesson is known by its name. */
export const LESSON_NAME = 'First lesson';

/** What the lesson says to what is asked now; only where the lesson is on the bench. */
export function Lesson({ probing }: { probing: Probing }) {
  const { task, map } = probing;
  const job = useJobState((state) => state.job);
  if (job?.simulation?.name !== LESSON_NAME || !task) return null;
  const [title, text] = wordsFor(probing);
  return (
    <Notice look="plain" title={`First lesson: ${title}`}>
      <p>{text}</p>
      {map.complete && (
        <Link to="../practice" relative="path" className="underline">
          See how it went
        </Link>
      )}
    </Notice>
  );
}

function wordsFor({ task, map }: Probing): [title: string, text: string] {
  if (task?.kind === 'plan') {
    switch (task.plan.kind) {
      case 'check-meter':
        return [
          'the leads together',
          'Every mapping begins so: it shows that the meter is awake, and how many ohms the leads have by themselves. Press Enter.',
        ];
      case 'find-position':
        return [
          'the handle',
          'All pairs are known here. Now the handle is turned by one click: → for a new position, End when it hits the stop.',
        ];
      case 'done':
      case 'rechecked':
        return [
          'done',
          'The table on the right is the switch. No pair was asked twice, and what followed was not asked at all. One wrong answer would not show by itself: the re-check is for that.',
        ];
      default:
        return ['look at the panel', 'Something has to be looked at before the map is complete.'];
    }
  }
  return map.tape.length === 0
    ? [
        'a sweep',
        'Red stays on one lug, black goes over the others. With a real meter you tap those that sounded; here Enter lets the meter answer.',
      ]
    : ['what moves is big', 'What stays is small. On with Enter; Backspace takes the last answer back.'];
}
