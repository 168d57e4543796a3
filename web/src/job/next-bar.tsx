import type { Job } from '@which-way/contract';
import { routeOf } from '@which-way/core/route';
import { nextWords } from '@which-way/words/route';
import { NEXT_BAR_TEXT } from '@which-way/words/screens/job/next-bar';
import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useDeferredValue, useMemo } from 'react';
import { Link, useLocation } from 'react-router';
import { useJobState } from './job-context.js';
import { addressOf } from './job-address.js';
import { stopAt, wayOn } from './stops.js';

const BUTTON =
  'inline-flex min-h-12 items-center gap-2 rounded-part border-2 px-4 py-1.5 font-semibold whitespace-nowrap';
const STRONG = 'border-enamel bg-enamel text-on-enamel hover:bg-enamel-lift dark:border-brass';
const PLAIN = 'border-edge bg-sheet hover:border-ink';

/** The foot of each page of a job: back, what the job wants next, and the next step. On the Map its prompt is the foot. */
export function NextBar({ job }: { job: Job }) {
  const { pathname } = useLocation();
  const map = useDeferredValue(useJobState((state) => state.map));
  const route = useMemo(() => routeOf(job, map), [job, map]);
  const base = addressOf(job);
  const stop = stopAt(pathname.slice(base.length + 1));
  if (!stop || stop === 'map') return null;
  const { back, next, skip, reached } = wayOn(stop, route);
  const { text } = nextWords({ route, settingName: null, trouble: null });
  const names = NEXT_BAR_TEXT.stops;
  const isOpen = stop !== 'safe' || route.next.code !== 'make-safe';
  return (
    <nav
      aria-label={NEXT_BAR_TEXT.theWayOn}
      className="no-print sticky bottom-0 z-10 flex shrink-0 items-center gap-3 border-t-3 border-ink bg-sheet px-4 py-2 sm:px-6"
    >
      <Link
        to={back ? `${base}/${back}` : '/'}
        className={`${BUTTON} ${PLAIN}`}
        aria-label={back ? NEXT_BAR_TEXT.back(names[back]) : NEXT_BAR_TEXT.backToTheBench}
      >
        <ArrowLeft size={18} aria-hidden="true" />
        <span className="hidden sm:inline">{back ? names[back] : NEXT_BAR_TEXT.bench}</span>
      </Link>
      <p className="line-clamp-2 min-w-0 grow text-right leading-tight text-quiet max-sm:invisible">
        {stop === 'verify' ? '' : text}
      </p>
      {next ? (
        <Link to={`${base}/${next}`} className={`${BUTTON} ${isOpen && reached && !skip ? STRONG : PLAIN}`}>
          {skip ? NEXT_BAR_TEXT.skip(names[next]) : NEXT_BAR_TEXT.next(names[next])}
          <ArrowRight size={18} aria-hidden="true" />
        </Link>
      ) : (
        <Link to="/" className={`${BUTTON} ${STRONG}`}>
          {NEXT_BAR_TEXT.backToTheBench}
        </Link>
      )}
    </nav>
  );
}
