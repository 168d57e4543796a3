import { approachOf } from '@which-way/core/planner';
import { liveEvents, type Approach } from '@which-way/core/log';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { time } from '@which-way/words/time';
import { OFFERED_CLIPS, type OutlookView } from '../probing/use-outlook.js';
import type { Probing } from '../probing/use-probing.js';
import { WAYS_ON_TEXT } from '@which-way/words/screens/pages/map/panels/ways-on';

/** Less than this is not worth a question, in seconds. */
const SHORT = 120;

/** After the first answers, once: what is left by this way, with clips, and by working pairs alone, each with its time. */
export function WaysOn({ probing, outlook }: { probing: Probing; outlook: OutlookView }) {
  const { map } = probing;
  const go = (change: Partial<Approach>) => probing.act({ do: 'approach', change });
  const { now, clips, working } = outlook.ways;
  const answered = liveEvents(map.log, 'answered').length > 0;
  const chosen = liveEvents(map.log, 'approached').length > 0;
  if (!answered || chosen || map.complete || !now || now.seconds < SHORT) return null;
  return (
    <Notice look="plain" title={WAYS_ON_TEXT.everythingAboutMore(time(now.seconds))}>
      <div className="mt-1 grid gap-2">
        {clips && clips.seconds < 0.9 * now.seconds && (
          <PlainButton onClick={() => go({ order: 'time', extent: 'everything', clips: OFFERED_CLIPS })}>
            {WAYS_ON_TEXT.about}
            {time(clips.seconds)}
            {WAYS_ON_TEXT.withText}
            {OFFERED_CLIPS}
            {WAYS_ON_TEXT.clips}
          </PlainButton>
        )}
        {working && working.seconds < 0.8 * now.seconds && (
          <PlainButton onClick={() => go({ extent: 'working-pairs' })}>
            {WAYS_ON_TEXT.workingPairsAbout}
            {time(working.seconds)}
            {WAYS_ON_TEXT.throwsNotTestedAgainstEach}
          </PlainButton>
        )}
        <PlainButton onClick={() => go(approachOf(map))}>{WAYS_ON_TEXT.goOnAsNow}</PlainButton>
      </div>
      <p className="mt-1 text-small">{WAYS_ON_TEXT.changedAtAnyTimeWith}</p>
    </Notice>
  );
}
