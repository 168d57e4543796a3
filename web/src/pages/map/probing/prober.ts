import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf } from '@which-way/core/log';
import {
  advance,
  heldByEar,
  heldByWire,
  idleHands,
  lastReadInOhms,
  mapMoment,
  momentOf,
  nameOfTask,
  nextProbe,
  planBegins,
  planHeard,
  planLate,
  standsIn,
  wantedAsk,
  type Act,
  type ProbingHands,
  type MapMoment,
  type Measurement,
  type Meter,
  type Moment,
  type NextPlan,
  type Scene,
  type Sense,
  type Task,
} from '@which-way/core/probing';
import { safetyStanding } from '@which-way/core/safety';
import { simulatedInstrument } from '@which-way/core/simulated';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { JobSession } from '../../../job/session/job-session.js';
import { newId } from '../../../job/new-id.js';
import { handsFree } from '../../../parts/hands/hands-free.js';
import { meterInUse } from '../../../parts/meters/my-meters.js';
import { EarDesk } from './ear-desk.js';
import { MeterDesk } from './meter-desk.js';
import { PlannerDesk } from './planner-desk.js';

/** Milliseconds in which another device, which has just answered, shows its next prompt. */
const OTHERS_MS = 4000;
/** Milliseconds after which the clock is looked at again: enough to know that a meter has gone to sleep. */
const CLOCK_MS = 30_000;

/** What the Map shows of the machine. */
export interface ProbingState {
  moment: Moment;
  /** What was shown last stays to be seen for the moment in which the next is thought of; it takes no answers. */
  shown: Task | null;
  /** The time, ISO. */
  now: string;
}

/**
 * Runs the probing machine of a job while its Map is open: it hears the log, the planner and the clock, tells the machine what
 * the hands do, and writes what comes of it. Nothing of it is React's.
 */
export class Prober {
  readonly store: StoreApi<ProbingState>;
  readonly desk = new PlannerDesk();
  readonly ear: EarDesk;
  readonly wire: MeterDesk;
  readonly #session: JobSession;
  readonly #meter: Meter | null;
  #hands: ProbingHands;
  #known: { map: SwitchMap; from: MapMoment; open: boolean; outOfMachine: boolean; inCircuit: boolean };
  #next: NextPlan;
  #now: string;
  #late: ReturnType<typeof setTimeout> | undefined;
  #elsewhere: ReturnType<typeof setTimeout> | undefined;
  readonly #ends: (() => void)[] = [];

  constructor(session: JobSession) {
    this.#session = session;
    const { map, job } = session.store.getState();
    const hidden = job?.simulation ?? null;
    const meterOf = (sense: () => Sense): Meter | null =>
      hidden &&
      simulatedInstrument(hidden, () => ({
        map: this.#known.map,
        sense: sense(),
        at: this.store.getState().moment.at,
      }));
    this.#meter = meterOf(() => this.#hands.sense);
    this.ear = new EarDesk(
      this.#meter,
      (act) => this.act(act),
      meterOf(() => 'ohms'),
    );
    this.wire = new MeterDesk(this.#meter, (act) => this.act(act));
    this.#hands = idleHands(hidden || lastReadInOhms(map) ? 'ohms' : 'tone');
    this.#now = new Date().toISOString();
    this.#known = this.#learn(map);
    this.#next = planBegins(map, this.#known.from.handle, this.#now, this.desk.store.getState());
    const moment = this.#moment();
    this.store = createStore(() => ({ moment, shown: moment.task, now: this.#now }));
  }

  /** Begins to hear and to write; the returned function ends it. */
  start(): () => void {
    const clock = setInterval(() => this.#tick(), CLOCK_MS);
    this.#ends.push(
      () => clearInterval(clock),
      this.#session.store.subscribe((now, before) => {
        if (now.map !== before.map || now.job !== before.job) this.#hearLog();
      }),
      this.desk.store.subscribe((now, before) => this.#hearDesk(now.plan !== before.plan, now.alone)),
      handsFree.subscribe(() => this.#show()),
      () => this.ear.end(),
      () => this.wire.end(),
    );
    this.ear.onChange(() => this.#show());
    this.wire.onChange(() => this.#show());
    this.#hearLog();
    return () => {
      for (const end of this.#ends.splice(0)) end();
      clearTimeout(this.#late);
      clearTimeout(this.#elsewhere);
      this.desk.end();
    };
  }

  /** The hands do something. */
  readonly act = (act: Act): void => {
    const isPedal = act.do === 'no' || (act.do === 'step' && !act.heard);
    if (this.#hears && this.ear.sweeps && (isPedal || (act.do === 'step-back' && !this.ear.waitsForClip)))
      return this.ear.pedal(act.do === 'step-back');
    const held = isPedal && this.#hears && this.#hands.typed === '' && heldByEar(this.#moment());
    if (held) return void this.ear.there(this.#moment());
    const isNone = act.do === 'no' || (act.do === 'step' && !act.sounded && !act.heard);
    if (isNone && this.#hears && this.#hands.typed === '' && this.ear.contradicts()) return;
    if (isPedal && this.#isWired && this.#hands.typed === '') {
      if (heldByWire(this.#moment())) return this.wire.there(this.#moment());
      // On a contact it doesn’t mean open; whether something conducts is for the meter to say.
      if (this.wire.isOnContact || (act.do === 'step' && act.sounded)) return this.wire.moved();
    }
    const step = advance(this.#moment(), act, { newId });
    this.#hands = step.hands;
    if (step.deeds.length > 0) this.#session.emit(...step.deeds);
    // What is written is heard through the session; else what the hands hold is shown by itself.
    this.#show();
    if (step.wants) void this.#measure(step.wants);
  };

  /** Asks the meter for what is needed, one by one; what comes after the task is another one is dropped. */
  async #measure(measurement: Measurement): Promise<void> {
    const values = new Map<number, Awaited<ReturnType<Meter['read']>>>();
    while (this.#meter && nameOfTask(this.#moment()) === measurement.task) {
      const place = nextProbe(this.#moment(), measurement, values);
      const probe = place === null ? undefined : measurement.probes[place]?.probe;
      if (place === null || !probe) return this.act({ do: 'measured', measured: { measurement, values } });
      values.set(place, await this.#meter.read(probe));
    }
  }

  /** The ear answers where a tone does: in ohms it waits. */
  get #hears(): boolean {
    return this.ear.listens && this.#hands.sense === 'tone';
  }

  /** A meter on a wire answers in ohms; by tone it waits. */
  get #isWired(): boolean {
    return this.wire.takes && this.#hands.sense === 'ohms';
  }

  #learn(map: SwitchMap) {
    const outOfMachine = this.#session.store.getState().job?.outOfMachine ?? false;
    return {
      map,
      from: mapMoment(map),
      open: safetyStanding(map.log, outOfMachine).open,
      outOfMachine,
      inCircuit: !(outOfMachine || recordsOf(map.log, 'wires-off') === true),
    };
  }

  #hearLog(): void {
    const { map, job } = this.#session.store.getState();
    const changed = map !== this.#known.map || (job?.outOfMachine ?? false) !== this.#known.outOfMachine;
    if (changed) this.#known = this.#learn(map);
    if (changed) this.#begin();
    this.desk.look(map, this.#known.from.handle, this.#now);
    this.#settle();
  }

  #begin(): void {
    const { map, from } = this.#known;
    this.#next = planBegins(map, from.handle, this.#now, this.desk.store.getState());
    clearTimeout(this.#late);
    if (this.#next.patience !== null) this.#wait(this.#next.patience);
  }

  /** A busy screen may have kept the planner's answer waiting at the door: it goes first. */
  #wait(milliseconds: number): void {
    this.#late = setTimeout(() => {
      this.#late = setTimeout(() => {
        this.#next = planLate(this.#next, this.#now);
        this.#settle();
      });
    }, milliseconds);
  }

  #hearDesk(planned: boolean, alone: boolean): void {
    const { plan } = this.desk.store.getState();
    if (planned && plan) {
      this.#next = planHeard(this.#next, plan);
      if (this.#next.plan) clearTimeout(this.#late);
      this.#settle();
    } else if (alone && this.#next.plan === null) {
      this.#begin();
      this.#settle();
    }
  }

  /** A plan worked out here may be another one by now: the meter may have gone to sleep. */
  #tick(): void {
    this.#now = new Date().toISOString();
    const { map, from } = this.#known;
    const again = planBegins(map, from.handle, this.#now, this.desk.store.getState());
    if (again.plan) this.#next = again;
    this.desk.look(map, from.handle, this.#now);
    this.#settle();
  }

  /** Shows what is so now, and asks what is to be asked next. */
  #settle(): void {
    this.#show();
    clearTimeout(this.#elsewhere);
    if (!wantedAsk(this.#moment())) return;
    const last = this.#known.map.tape.at(-1)?.event.id;
    // Where another device answered last, the hands are there and get their prompt there; if none comes, it is shown from here.
    if (last !== undefined && this.#session.heard.has(last))
      this.#elsewhere = setTimeout(() => this.act({ do: 'go-on' }), OTHERS_MS);
    else this.act({ do: 'go-on' });
  }

  #moment(): Moment {
    const { map, from, open, inCircuit } = this.#known;
    const hidden = this.#session.store.getState().job?.simulation ?? null;
    const { keys } = handsFree.getState();
    const scene: Scene = {
      map,
      plan: this.#next.map === map ? this.#next.plan : null,
      open,
      inCircuit,
      meter: this.#hears || this.#isWired ? null : (this.#meter?.source ?? null),
      clicks: hidden?.positions.length ?? null,
      pedals: keys.yes !== null || keys.no !== null,
      ear: this.#hears,
      wired: this.#isWired,
      // A simulated meter and one on a wire are what they are.
      profile: hidden || this.#isWired ? null : meterInUse(),
    };
    return momentOf(scene, this.#hands, from);
  }

  #show(): void {
    const moment = this.#moment();
    const { shown: before } = this.store.getState();
    const stands = before && standsIn(before, moment.map.structure) ? before : null;
    this.store.setState({ moment, shown: moment.task ?? stands, now: this.#now });
    this.ear.asked(moment);
    this.wire.asked(moment);
  }
}
