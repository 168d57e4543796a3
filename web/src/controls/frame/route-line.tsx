import { STEPS, type Route, type RouteStep } from '@which-way/core/route';
import { useRef } from 'react';
import { ChevronDown } from 'lucide-react';
import { NavLink, useLocation } from 'react-router';
import { STEP_WORDS } from '@which-way/words/route';
import { Hint } from '../hint.js';
import { ROUTE_LINE_TEXT } from '@which-way/words/screens/controls/frame/route-line';

/** The screen of each step. */
const OPEN_STEPS: Record<RouteStep, string> = {
  intake: 'intake',
  safe: 'safe',
  tag: 'tag',
  map: 'map',
  table: 'table',
  verify: 'verify',
  match: 'match',
  refit: 'refit',
};

/** The job's route as a line with stops; a stop that has a screen leads to it. On a phone: where it is, opening to all of them. */
export function RouteLine({ route, jobPath }: { route: Route; jobPath: string }) {
  const folded = useRef<HTMLDetailsElement>(null);
  const { pathname } = useLocation();
  const here = STEPS.find((step) => pathname.startsWith(`${jobPath}/${OPEN_STEPS[step]}`)) ?? route.at;
  return (
    <nav
      aria-label={ROUTE_LINE_TEXT.stepsOfThisJob}
      className="no-print relative shrink-0 bg-enamel px-3 pb-2 text-on-enamel"
    >
      <ol className="mx-auto hidden max-w-6xl min-w-max lg:flex">
        {STEPS.map((step, index) => (
          <li key={step} className="flex-1">
            <Stop step={step} route={route} path={`${jobPath}/${OPEN_STEPS[step]}`} first={index === 0} />
          </li>
        ))}
      </ol>
      <details ref={folded} className="group lg:hidden">
        <summary className="flex min-h-11 cursor-pointer items-center gap-2 px-1 text-large font-bold">
          {ROUTE_LINE_TEXT.stepOf(STEP_WORDS[here], STEPS.indexOf(here) + 1, STEPS.length)}
          <ChevronDown size={20} className="group-open:rotate-180" aria-hidden="true" />
        </summary>
        <ol className="grid pb-1">
          {STEPS.map((step) => (
            <li key={step}>
              <NavLink
                to={`${jobPath}/${OPEN_STEPS[step]}`}
                onClick={() => folded.current?.removeAttribute('open')}
                className={({ isActive }) =>
                  `flex min-h-11 items-center gap-3 rounded-part px-2 ${isActive ? 'bg-enamel-lift font-bold' : ''}`
                }
              >
                <Mark done={route.done[step]} passed={route.passed.includes(step)} at={route.at === step} />
                {STEP_WORDS[step]}
                <span className="sr-only">{stateOf(route, step)}</span>
              </NavLink>
            </li>
          ))}
        </ol>
      </details>
    </nav>
  );
}

/** Whether a step is done, passed over, or where the job is. */
function Mark({ done, passed, at }: { done: boolean; passed: boolean; at: boolean }) {
  const lit = done || passed || at;
  return (
    <svg viewBox="0 0 20 20" className="size-5 shrink-0" aria-hidden="true">
      <circle
        cx="10"
        cy="10"
        r="7.5"
        fill={done ? 'var(--color-brass-bright)' : 'none'}
        stroke={lit ? 'var(--color-brass-bright)' : '#9fb3aa'}
        strokeWidth="3"
      />
      {passed && !done && <path d="M6 10H14" stroke="var(--color-brass-bright)" strokeWidth="3" />}
    </svg>
  );
}

const stateOf = ({ done, passed }: Route, step: RouteStep): string =>
  done[step] ? ROUTE_LINE_TEXT.done : passed.includes(step) ? ROUTE_LINE_TEXT.passedOverItIsIn : '';

function Stop({
  step,
  route,
  path,
  first,
}: {
  step: RouteStep;
  route: Route;
  path: string | undefined;
  first: boolean;
}) {
  const done = route.done[step];
  const passed = !done && route.passed.includes(step);
  const lit = done || passed;
  const body = (here: boolean) => (
    <span
      className={`flex min-w-24 flex-col items-center gap-0.5 rounded-part px-1 pt-1 pb-1.5 text-base whitespace-nowrap ${
        here ? 'bg-enamel-lift font-bold' : path ? 'hover:bg-enamel-lift' : 'text-on-enamel-quiet'
      }`}
    >
      <svg
        viewBox="0 0 120 20"
        className="h-5 w-full"
        preserveAspectRatio="xMidYMid slice"
        aria-hidden="true"
      >
        {!first && (
          <path d="M-200 10H50" stroke={lit ? 'var(--color-brass-bright)' : '#71857c'} strokeWidth="3" />
        )}
        <path d="M70 10H320" stroke={lit ? 'var(--color-brass-bright)' : '#71857c'} strokeWidth="3" />
        <circle
          cx="60"
          cy="10"
          r="7.5"
          fill={done ? 'var(--color-brass-bright)' : 'none'}
          stroke={lit || route.at === step ? 'var(--color-brass-bright)' : '#9fb3aa'}
          strokeWidth="3"
        />
        {passed && <path d="M56 10H64" stroke="var(--color-brass-bright)" strokeWidth="3" />}
      </svg>
      {STEP_WORDS[step]}
      <span className="sr-only">
        {done
          ? ROUTE_LINE_TEXT.done
          : passed
            ? ROUTE_LINE_TEXT.passedOverItIsIn
            : path
              ? ''
              : ROUTE_LINE_TEXT.notInThisVersionYet}
      </span>
    </span>
  );
  if (!path) {
    return (
      <Hint text={ROUTE_LINE_TEXT.notInThisVersionYet2}>
        <span className="block" tabIndex={0}>
          {body(false)}
        </span>
      </Hint>
    );
  }
  const link = (
    <NavLink to={path} className="block rounded-part">
      {({ isActive }) => body(isActive)}
    </NavLink>
  );
  return passed ? <Hint text={ROUTE_LINE_TEXT.passedOverTheSwitchIs}>{link}</Hint> : link;
}
