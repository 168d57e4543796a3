import type { Supply } from '../../log/index.js';
import type { SupplyId } from '../../switch/index.js';
import { isReturn, type Shares, type Source } from '../wiring/sources.js';

/**
 * What it comes to where potentials lie in one net, the gravest first. `short`: a loop with a voltage across it; `back-feed`: two AC
 * sources, or one behind two fuses, so that pulling one leaves it live; `parallel`: two DC sources that nobody joined on purpose;
 * `not-said`: nobody has said what they share. The last three are no hazard: one source `past-fuse`, two that a person joined
 * `on-purpose`, two that share nothing and now share a point.
 */
export const MEETINGS = [
  'short',
  'back-feed',
  'parallel',
  'not-said',
  'past-fuse',
  'on-purpose',
  'shared-point',
] as const;
export type MeetingKind = (typeof MEETINGS)[number];

/** Potentials that lie in one net. */
export interface Meeting {
  how: MeetingKind;
  supplies: SupplyId[];
  /** It hangs on which of two coils is first. */
  perhaps?: true;
}

/** Meetings that hurt nobody: said as a fact. */
export const isNote = (how: MeetingKind): boolean =>
  how === 'past-fuse' || how === 'on-purpose' || how === 'shared-point';

/** A supply may be off its nominal volts by a tenth (IEC 60038, from memory). */
const TOLERANCE = 1.1;

const differ = (one: number | null, other: number | null): boolean =>
  one !== null && other !== null && Math.max(one, other) > TOLERANCE * Math.min(one, other);

/** Whether a person said that two sources, of which the volts are known, are joined on purpose. */
function joinedOnPurpose(one: Source | undefined, other: Source | undefined): boolean {
  if (!one || !other || one.volts === null || other.volts === null) return false;
  const joins = (source: Source, to: Source) => to.id !== null && source.joinedWith.includes(to.id);
  return joins(one, other) || joins(other, one);
}

/** What two potentials in one net come to; null: nothing to be said. */
function meetingOf(one: Supply, other: Supply, shares: Shares): MeetingKind | null {
  const common = shares.between(one.id, other.id);
  const [back, too] = [isReturn(one), isReturn(other)];
  if (back && too) return one.kind === other.kind ? null : 'short';
  if (back || too) return common === 'none' ? 'shared-point' : 'short';
  const [source, second] = [shares.of(one.id), shares.of(other.id)];
  if (source === second) {
    if (one.kind !== other.kind) return 'short';
    return one.current === 'AC' ? 'back-feed' : 'past-fuse';
  }
  // What is on AC and what is on DC are never alike, whatever they share.
  if (one.current !== other.current) return 'short';
  const unlike = differ(source?.volts ?? one.volts, second?.volts ?? other.volts) || one.kind !== other.kind;
  if (common === 'none') return 'shared-point';
  if (unlike) return 'short';
  if (common === 'not-said') return 'not-said';
  if (one.current === 'AC') return 'back-feed';
  return joinedOnPurpose(source, second) ? 'on-purpose' : 'parallel';
}

/** What meets in each net: the gravest that any two of it come to, and what is live of a short trips. */
export function meetingsOf(
  supplies: readonly Supply[],
  netOf: (supply: Supply) => number,
  shares: Shares,
): { meetings: Meeting[]; tripped: Set<SupplyId> } {
  const groups = new Map<number, Supply[]>();
  for (const supply of supplies) groups.set(netOf(supply), [...(groups.get(netOf(supply)) ?? []), supply]);
  const meetings: Meeting[] = [];
  const tripped = new Set<SupplyId>();
  for (const group of groups.values()) {
    const kinds = group.flatMap((one, at) =>
      group.slice(at + 1).flatMap((other) => meetingOf(one, other, shares) ?? []),
    );
    const how = MEETINGS.find((kind) => kinds.includes(kind));
    if (!how) continue;
    meetings.push({ how, supplies: group.map(({ id }) => id) });
    if (how === 'short') for (const one of group) if (!isReturn(one)) tripped.add(one.id);
  }
  return { meetings, tripped };
}
