import { endKey, type MachineLead, type Machine } from '../circuit/index.js';
import {
  loadTiesOf,
  type Log,
  pointKey,
  recordsOf,
  systemJoinsOf,
  type SystemPoint,
  type WireEnd,
  wireEndsOf,
} from '../log/index.js';
import type { LoadId } from '../switch/index.js';
import { pinsOf, readableOf, terminalKeys, type SystemHandle } from './handles.js';

/** What hangs together in a system, and of what nobody has said where it goes. */
export interface Wiring {
  leads: readonly MachineLead[];
  open: ReadonlySet<number>;
  loose: readonly SystemPoint[];
}

/** Lays the wires and joins of a system between the nodes of its machine. */
export class Wirer implements Wiring {
  readonly leads: MachineLead[] = [];
  readonly open = new Set<number>();
  readonly loose: SystemPoint[] = [];
  /** Where each terminal, pin and wire of a switch is: a wire stands for the lug that it sits on. */
  readonly #places = new Map<string, number>();
  readonly #goes: ReadonlyMap<string, SystemPoint>;
  /** What something else was said to go to: that is not loose. */
  readonly #met: ReadonlySet<string>;

  constructor(
    log: Log,
    private readonly handles: readonly SystemHandle[],
    private readonly nodes: Pick<Machine, 'supplyNode' | 'endNode'>,
    private readonly sameAs: ReadonlyMap<string, string>,
  ) {
    const joins = systemJoinsOf(log);
    this.#goes = new Map(joins.map(({ from, to }) => [pointKey(from), to]));
    this.#met = new Set(joins.map(({ to }) => pointKey(to)));
    for (const handle of handles)
      terminalKeys(handle).forEach((key, at) => this.#places.set(key, handle.from + at));
    for (const { job, map } of readableOf(handles))
      for (const { id, terminal } of recordsOf(map.log, 'wire-tagged')) {
        const lug = terminal && this.#places.get(pointKey({ at: 'terminal', job, terminal }));
        if (typeof lug === 'number') this.#places.set(pointKey({ at: 'wire', job, wire: id }), lug);
      }
    this.#layWires();
    this.#layPins();
    this.#bareLugs();
  }

  #layWires(): void {
    for (const { job, map } of readableOf(this.handles)) {
      const ends = wireEndsOf(map.log);
      for (const { id } of recordsOf(map.log, 'wire-tagged')) {
        const point: SystemPoint = { at: 'wire', job, wire: id };
        const lug = this.#places.get(pointKey(point));
        if (lug === undefined) continue;
        const said = ends.get(id) ?? [{ at: 'elsewhere' as const }];
        for (const end of said)
          if (end.at === 'elsewhere') this.#goOn(point, lug, id);
          else this.#lay(id, lug, end);
      }
      for (const { load, end, to } of loadTiesOf(map.log)) {
        const [a, b] = [this.#nodeOf({ at: 'load', load, end }), this.#nodeOf(to)];
        if (a !== undefined && b !== undefined && a !== b) this.leads.push({ wire: null, a, b });
      }
    }
  }

  #layPins(): void {
    for (const handle of this.handles)
      if (handle.of === 'device')
        pinsOf(handle.device).forEach((pin, at) =>
          this.#goOn({ at: 'device', device: handle.device.id, pin }, handle.from + at, null),
        );
  }

  /** While a wire goes nobody knows where, it may go to any lug that nothing else goes to. */
  #bareLugs(): void {
    if (!this.loose.some(({ at }) => at === 'wire')) return;
    const touched = new Set(this.leads.flatMap(({ a, b }) => [a, b]));
    for (const { from, size } of this.handles)
      for (let lug = from; lug < from + size; lug += 1) if (!touched.has(lug)) this.open.add(lug);
  }

  /** A wire to a supply or a load of its own job. One that was taken away is not known any more. */
  #lay(wire: MachineLead['wire'], lug: number, end: WireEnd): void {
    const node = this.#nodeOf(end);
    if (node !== undefined) this.leads.push({ wire, a: lug, b: node });
    else if (end.at !== 'nowhere') this.open.add(lug);
  }

  /** A wire or a pin whose other end the system says, or nobody. */
  #goOn(point: SystemPoint, from: number, wire: MachineLead['wire']): void {
    const to = this.#goes.get(pointKey(point));
    const met = this.#met.has(pointKey(point));
    const far =
      to && (to.at === 'supply' || to.at === 'load' ? this.#nodeOf(to) : this.#places.get(pointKey(to)));
    if (far !== undefined) this.leads.push({ wire, a: from, b: far });
    else if (to || !met) this.open.add(from);
    if (!to && !met) this.loose.push(point);
  }

  #nodeOf(end: WireEnd): number | undefined {
    const one = (id: string) => this.sameAs.get(id) ?? id;
    return end.at === 'supply'
      ? this.nodes.supplyNode.get(one(end.supply))
      : end.at === 'load'
        ? this.nodes.endNode.get(endKey(one(end.load) as LoadId, end.end))
        : undefined;
  }
}
