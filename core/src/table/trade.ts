import { recordsOf, type Load, type Log } from '../log/index.js';

/** What a switch is for, by the loads that it switches: decides the wording where trades share a pattern. */
export type Trade = 'heat' | 'light' | 'motor' | 'sound';

const TRADE_OF: Partial<Record<Load['kind'], Trade>> = {
  resistive: 'heat',
  lamp: 'light',
  motor: 'motor',
  signal: 'sound',
};

/** The trade of a job's loads; null where there are none, or they are not of one trade. */
export function tradeOf(log: Log): Trade | null {
  const trades = new Set(
    recordsOf(log, 'load-named').flatMap(({ kind, removed }) => (removed ? [] : [TRADE_OF[kind] ?? null])),
  );
  const [only = null, ...more] = trades;
  return more.length === 0 ? only : null;
}
