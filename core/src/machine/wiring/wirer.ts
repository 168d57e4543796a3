import {
  loadTiesOf,
  type Log,
  pointKey,
  recordsOf,
  systemJoinsOf,
  type SystemPoint,
  type WireEnd,
  wireEndsOf,
} from '../../log/index.js';
import type { LoadId, WireId } from '../../switch/index.js';
import { endKey, type Circuit, type Lead } from './circuit.js';
import { pinsOf, readableOf, terminalKeys, type MachineHandle } from './handles.js';

/** What hangs together in a machine, and of what nobody has said where it goes. */
export interface Wiring {
  leads: readonly Lead[];
  open: ReadonlySet<number>;
  loose: readonly SystemPoint[];
}

/** Lays the wires and joins between the nodes of its machine. */
export class Wirer implements Wiring {
  readonly leads: Lead[] = [];
  readonly open = new Set<number>();
  readonly loose: SystemPoint[] = [];
  /** Where each terminal, pin and wire of a switch is: a wire stands for the lug that it sits on. */
  readonly #places = new Map<string, number>();
  readonly #lugs = new Map<WireId, number>();
  readonly #goes: ReadonlyMap<string, SystemPoint>;
  /** What something else was said to go to: that is not loose. */
  readonly #met: ReadonlySet<string>;

  constructor(
    joined: Log | null,
    private readonly handles: readonly MachineHandle[],
    private readonly nodes: Pick<Circuit, 'supplyNode' | 'endNode'>,
    private readonly sameAs: ReadonlyMap<string, string>,
  ) {
    const joins = joined ? systemJoinsOf(joined) : [];
    this.#goes = new Map(joins.map(({ from, to }) => [pointKey(from), to]));
    this.#met = new Set(joins.map(({ to }) => pointKey(to)));
    for (const handle of handles)
      terminalKeys(handle).forEach((key, at) => this.#places.set(key, handle.from + at));
    for (const { job, map, from } of readableOf(handles))
      for (const { id, terminal } of recordsOf(map.log, 'wire-tagged')) {
        const lug = map.structure.terminals.findIndex((one) => one.id === terminal);
        if (lug < 0) continue;
        this.#lugs.set(id, from + lug);
        if (job !== null) this.#places.set(pointKey({ at: 'wire', job, wire: id }), from + lug);
      }
    this.#layWires();
    this.#layPins();
    this.#bareLugs();
  }

  #layWires(): void {
    for (const { job, map } of readableOf(this.handles)) {
      const ends = wireEndsOf(map.log);
      for (const { id } of recordsOf(map.log, 'wire-tagged')) {
        const lug = this.#lugs.get(id);
        if (lug === undefined) continue;
        const point: SystemPoint | null = job === null ? null : { at: 'wire', job, wire: id };
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

  /** While a wire goes nobody knows where, it may go to any lug of another switch that nothing else goes to. */
  #bareLugs(): void {
    if (this.handles.length < 2 || !this.loose.some(({ at }) => at === 'wire')) return;
    const touched = new Set(this.leads.flatMap(({ a, b }) => [a, b]));
    for (const { from, size } of this.handles)
      for (let lug = from; lug < from + size; lug += 1) if (!touched.has(lug)) this.open.add(lug);
  }

  /** A wire to a supply or a load of its own job. One that was taken away is not known any more. */
  #lay(wire: Lead['wire'], lug: number, end: WireEnd): void {
    const node = this.#nodeOf(end);
    if (node !== undefined) this.leads.push({ wire, a: lug, b: node });
    else if (end.at !== 'nowhere') this.open.add(lug);
  }

  /** A wire or a pin whose other end the log of the machine says, or nobody; null: there is no such log. */
  #goOn(point: SystemPoint | null, from: number, wire: Lead['wire']): void {
    if (!point) {
      this.open.add(from);
      return;
    }
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
