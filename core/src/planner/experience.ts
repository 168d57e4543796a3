import { discrete, partitionOf } from '../partition/index.js';
import { netOf } from '../continuity/index.js';
import type { Field } from './field.js';

/** What the settings together have shown so far of every pair and every terminal, by place. */
export interface Experience {
  /** In how many settings two terminals are known to join, and to be apart: `size` squared. */
  joined: Uint16Array;
  apart: Uint16Array;
  /** With how many others a terminal joins in some setting. */
  degree: Uint16Array;
  /** In how many settings a terminal joins anything. */
  busy: Uint16Array;
  /** The pole of a terminal so far: its component over all settings. */
  pole: number[];
  /** Joins known in each setting (rank of its nets), and their mean over settings of which most is known. */
  joins: number[];
  usual: number;
  /** Pairs of nets that nobody knows of, in each setting, and those of them that a terminal's net is in. */
  open: number[];
  openAt: Uint16Array[];
  /** In each setting the net of every terminal, and how many share it. */
  nets: Int16Array[];
  members: Uint16Array[];
  /** Of the joins seen more than once or never again: the share that came again, 0 to 1. */
  repeats: number;
}

/** Counts what is known, anew: a few microseconds for a small switch, well under a millisecond at 48 x 24. */
export function experienceOf({ size, places, settings }: Field): Experience {
  const [joined, apart] = [new Uint16Array(size * size), new Uint16Array(size * size)];
  const [degree, busy] = [new Uint16Array(size), new Uint16Array(size)];
  const pairs: [number, number][] = [];
  const openAt = settings.map(() => new Uint16Array(size));
  const open = settings.map(() => 0);
  const nets = settings.map((one) => Int16Array.from({ length: size }, (_, place) => netOf(one.nets, place)));
  const members = nets.map((net) => membersOf(net));
  const joins = settings.map(({ nets: { apart: heldApart } }, setting) => {
    const net = nets[setting] as Int16Array;
    const met = new Uint8Array(size);
    places.forEach((a, at) => {
      for (let next = at + 1; next < places.length; next += 1) {
        const b = places[next] as number;
        const cell = a * size + b;
        if (net[a] === net[b]) {
          joined[cell] = (joined[cell] as number) + 1;
          met[a] = met[b] = 1;
        } else if (heldApart[(net[a] as number) * size + (net[b] as number)] === 1)
          apart[cell] = (apart[cell] as number) + 1;
        else if (net[a] === a && net[b] === b) {
          open[setting] = (open[setting] as number) + 1;
          count(openAt[setting], a);
          count(openAt[setting], b);
        }
      }
    });
    let rank = 0;
    for (const place of places) {
      if (met[place] === 1) busy[place] = (busy[place] as number) + 1;
      if (net[place] !== place) rank += 1;
    }
    return rank;
  });
  places.forEach((a, at) => {
    for (const b of places.slice(at + 1)) {
      const cell = a * size + b;
      const mirrored = b * size + a;
      joined[mirrored] = joined[cell] as number;
      apart[mirrored] = apart[cell] as number;
      if ((joined[cell] as number) === 0) continue;
      degree[a] = (degree[a] as number) + 1;
      degree[b] = (degree[b] as number) + 1;
      pairs.push([a, b]);
    }
  });
  const pairsOf = (nets: number) => (nets * (nets - 1)) / 2;
  const some = joins.filter(
    (rank, setting) => (open[setting] as number) < 0.3 * pairsOf(Math.max(2, places.length - rank)),
  );
  let [again, all] = [1, 3];
  for (const [a, b] of pairs) {
    const cell = a * size + b;
    const others = (joined[cell] as number) + (apart[cell] as number) - 1;
    if (others <= 0) continue;
    all += 1;
    again += Math.min(1, ((joined[cell] as number) - 1) / others);
  }
  return {
    nets,
    members,
    open,
    openAt,
    repeats: again / all,
    joined,
    apart,
    degree,
    busy,
    pole: pairs.length > 0 ? partitionOf(size, pairs) : discrete(size),
    joins,
    usual: some.length > 0 ? some.reduce((sum, rank) => sum + rank, 0) / some.length : 0,
  };
}

function count(list: Uint16Array | undefined, place: number): void {
  if (list) list[place] = (list[place] as number) + 1;
}

/** For every place how many places its net has. */
function membersOf(net: Int16Array): Uint16Array {
  const members = new Uint16Array(net.length);
  for (const name of net) members[name] = (members[name] as number) + 1;
  return Uint16Array.from(net, (name) => members[name] as number);
}
