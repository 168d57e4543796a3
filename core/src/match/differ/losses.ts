import type { KnownSwitch } from '../../switch/index.js';
import type { NearMiss } from '../near-miss.js';
import type { Requirement } from '../match.js';
import { of, type Difference, type DifferenceCode } from './difference.js';
import type { Subject } from './subject.js';

/** What one position stops, by name; null: nothing that anybody said. */
export function stopLostAt({ stopsAt }: Subject, place: number): DifferenceCode | null {
  if (stopsAt.brake.includes(place)) return 'brake-contact-lost';
  if (stopsAt.kill.includes(place)) return 'kill-lost';
  return stopsAt.stop.includes(place) ? 'stop-lost' : null;
}

/**
 * What is lost by name with a part that is ruled out, as far as that is certain without laying it: what it states, what springs back and
 * can't here, and what it falls short of by one thing. Safety differences all.
 */
export function lossesOf(
  subject: Subject,
  { pattern, terminals }: Requirement,
  known: KnownSwitch,
  near: NearMiss | null,
): Difference[] {
  const found: Difference[] = [];
  const add = (code: DifferenceCode, about = '') => {
    if (!found.some((one) => one.code === code && one.about === about)) found.push(of(code, 'safety', about));
  };
  for (const place of placesMissing(near, pattern, terminals)) {
    const stops = stopLostAt(subject, place);
    if (stops) add(stops, String(place));
  }
  const { facts: old } = subject;
  const facts = known.facts ?? {};
  if (old.noVoltRelease && facts.noVoltRelease === false) add('no-volt-release-lost');
  const springs = known.positions.some(({ rests }) => rests === 'momentary');
  subject.positions.forEach(({ rests }, place) => {
    if (rests !== 'momentary' || springs) return;
    add('spring-lost', String(place));
    if (subject.startsAt.includes(place)) add('restarts', String(place));
  });
  if (old.directOpening && facts.directOpening === false) add('direct-opening-lost');
  if (old.earthTerminal && facts.earthTerminal === false) add('earth-lost');
  return found;
}

/** The position that a near miss leaves out, or the one in which alone the wires join anything that it leaves out. */
function placesMissing(
  near: NearMiss | null,
  pattern: Requirement['pattern'],
  terminals: readonly number[],
): number[] {
  if (near?.kind === 'all-but-position') return [near.position];
  const left =
    near?.kind === 'all-but-wire' ? [near.terminal] : near?.kind === 'all-but-contact' ? near.terminals : [];
  const joins = pattern.flatMap((nets, place) =>
    left.some((one) => terminals.some((other) => other !== one && nets[other] === nets[one])) ? [place] : [],
  );
  return joins.length === 1 ? joins : [];
}
