import { routeOf, type RouteStep } from '@which-way/core/route';
import { Navigate } from 'react-router';
import { useJobState } from './job-context.js';

const SCREEN_OF: Partial<Record<RouteStep, string>> = {
  verify: 'verify',
  match: 'match',
  refit: 'refit',
  table: 'table',
  safe: 'safe',
  tag: 'tag/path',
};

/** A job's own address leads to the step that it is at. */
export function JobStart() {
  const job = useJobState((state) => state.job);
  const map = useJobState((state) => state.map);
  if (!job) return null;
  return <Navigate replace to={SCREEN_OF[routeOf(job, map).at] ?? 'map'} />;
}
