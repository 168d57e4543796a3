import { useStore } from 'zustand';
import type { Probing } from '../probing/use-probing.js';
import { useJobState } from '../../../job/job-context.js';
import { Notice } from '../../../controls/notice.js';
import { Link } from 'react-router';
import { LESSON_NAME } from '../../../parts/lessons/first-lesson.js';
import { LESSON_TEXT } from '@which-way/words/screens/pages/map/panels/lesson';

/** What the lesson says to what is asked now; only where the lesson is on the bench. */
export function Lesson({ probing }: { probing: Probing }) {
  const { task, map } = probing;
  const job = useJobState((state) => state.job);
  const { standing } = useStore(probing.earDesk.listener.store);
  if (job?.simulation?.name !== LESSON_NAME || !task) return null;
  const [title, text] = wordsFor(probing, standing === 'listening');
  return (
    <Notice look="plain" title={LESSON_TEXT.firstLesson2(title)}>
      <p>{text}</p>
      {map.complete && (
        <Link to="../practice" relative="path" className="underline">
          {LESSON_TEXT.seeHowItWent}
        </Link>
      )}
    </Notice>
  );
}

function wordsFor({ task, map }: Probing, heard: boolean): [title: string, text: string] {
  if (task?.kind === 'plan') {
    switch (task.plan.kind) {
      case 'check-meter':
        return ['the leads together', heard ? LESSON_TEXT.leadsHeard : LESSON_TEXT.everyMappingBeginsSoIt];
      case 'find-position':
        return ['the handle', LESSON_TEXT.allPairsAreKnownHere];
      case 'done':
      case 'rechecked':
        return ['done', LESSON_TEXT.theTableOnTheRight];
      default:
        return ['look at the panel', LESSON_TEXT.somethingHasToBeLooked];
    }
  }
  return map.tape.length === 0
    ? ['a sweep', heard ? LESSON_TEXT.sweepHeard : LESSON_TEXT.redStaysOnOneLug]
    : ['what moves is big', heard ? LESSON_TEXT.restHeard : LESSON_TEXT.whatStaysIsSmallOn];
}
