import {
  capture,
  hearsFor,
  idleCapture,
  type Act,
  type Aside,
  type CaptureSignal,
  type Meter,
  type Moment,
  type SweptSignal,
} from '@which-way/core/probing';
import type { TerminalId } from '@which-way/core/switch';
import type { Taught } from '@which-way/core/sense/ear';
import { createStore } from 'zustand/vanilla';
import { Listener } from '../../../parts/ear/listener.js';
import { play } from '../../../parts/hands/sounds.js';
import { microphone, type SoundDoor } from '../../../parts/ear/microphone.js';
import type { TaughtEar } from '../../../parts/ear/taught-ears.js';
import { LedSweep, type SweepShown } from './led-sweep.js';
import { SimulatedHand, type BeeperFault } from './simulated-hand.js';
import { SIMULATED_BEEPER } from '../../../parts/ear/simulated-beeper.js';

/** What a screen shows of what was heard last: nothing answered, and why. */
interface EarHeard {
  aside: Aside | null;
  /** The last answer flickered: how often, and how long a gap has to be to be heard. */
  flickered: { times: number; gapMs: number } | null;
  /** How long nothing is heard until that counts as silent; null: the pedal says so. Chosen for the job that is open. */
  dwellMs: number | null;
  /** Milliseconds from click to click where clicks lead a sweep; null: each touch is answered by itself. */
  paceMs: number | null;
  /** The sweep that clicks lead now. */
  sweep: SweepShown | null;
  /** What is wrong with a simulated meter. */
  fault: BeeperFault;
}

/** How often the time is looked at while silence counts, and how long before it counts it is told. */
const [TICK_MS, RISE_MS] = [50, 600];

/** Listens for the Map: what is heard answers what was asked when the leads touched. On a practice switch the beeper is simulated. */
export class EarDesk {
  readonly listener = new Listener();
  readonly store = createStore<EarHeard>(() => ({
    aside: null,
    flickered: null,
    dwellMs: null,
    paceMs: null,
    sweep: null,
    fault: 'none',
  }));
  #sweep: LedSweep | null = null;
  #capture = idleCapture;
  #taught: Taught = SIMULATED_BEEPER;
  readonly #hand: SimulatedHand | null;
  #clock: ReturnType<typeof setInterval> | undefined;
  /** What the rising notes were played for. */
  #rose: string | null = null;

  /**
   * @param hidden the simulated meter of a practice switch; null: a real one
   * @param act does what was heard
   * @param steady the same in ohms: whether a contact of it is steady
   */
  constructor(
    hidden: Meter | null,
    private readonly act: (act: Act) => void,
    steady: Meter | null = null,
  ) {
    this.#hand = hidden && new SimulatedHand(hidden, steady, () => this.listener.now());
    let before = this.listener.store.getState();
    this.listener.store.subscribe((now) => {
      // Only what changes what is asked: the level is the screen's alone.
      if (now.standing !== before.standing || now.sounding !== before.sounding) this.#changed();
      before = now;
    });
  }

  #changed: () => void = () => undefined;
  /** Tells when it begins or ends to listen, or to hear the beeper. */
  onChange(changed: () => void): void {
    this.#changed = changed;
  }

  get listens(): boolean {
    return this.listener.store.getState().standing === 'listening';
  }

  /** The pedal says that nothing sounds while the beeper does: it answers nothing. */
  contradicts(): boolean {
    if (!this.listens || !this.#capture.sounding) return false;
    this.store.setState({ aside: 'still-sounds' });
    return true;
  }

  /** Whether clicks lead a sweep: then the pedal agrees to it, or undoes it. */
  get sweeps(): boolean {
    return this.listens && this.#sweep !== null;
  }

  /** Nothing of a sweep is begun: a long press undoes what was taken before it. */
  get waitsForClip(): boolean {
    return this.#sweep?.waits === true;
  }

  /** The pedal, while clicks lead a sweep. */
  pedal(undo: boolean): void {
    this.#swept({ kind: 'pedal', at: this.listener.now(), undo });
  }

  /** Clicks lead sweeps at a pace, or no more. */
  leads(paceMs: number | null): void {
    this.store.setState({ paceMs });
    this.#follow(null);
    this.#changed();
  }

  /** Something happens to the simulated meter. */
  breaks(fault: BeeperFault): void {
    this.store.setState({ fault });
    if (!this.#hand) return;
    this.#hand.fault = fault;
    if (this.#sweep?.waits) this.#hand.toClip();
  }

  get isSimulated(): boolean {
    return this.#hand !== null;
  }

  /** The pedal says that the handle is there: what is heard answers, once the beeper has caught up. A simulated handle goes there. */
  async there(moment: Moment): Promise<void> {
    const { key } = this.#capture;
    await this.#hand?.movesHandle(moment);
    if (this.#capture.key === key) this.#take({ kind: 'there', at: this.listener.now() });
  }

  /** What it can listen with now: the simulated beeper is known, a real one has to be taught. */
  knows(taught: TaughtEar | null): TaughtEar | null {
    return this.#hand ? SIMULATED_BEEPER : taught;
  }

  get door(): SoundDoor {
    return this.#hand?.door ?? microphone;
  }

  async begin(taught: Taught): Promise<void> {
    this.#taught = taught;
    this.#capture = idleCapture;
    this.#follow(null);
    this.store.setState({ aside: null, flickered: null });
    clearInterval(this.#clock);
    this.#clock = setInterval(() => this.#tick(), TICK_MS);
    await this.listener.listen(this.door, taught, (signal) => this.#hear(signal));
    this.#changed();
  }

  /** Waits so long for a beep from now on. */
  waits(dwellMs: number | null): void {
    this.store.setState({ dwellMs });
  }

  /** Silence that a person chose to count is told by rising notes before it counts. */
  #tick(): void {
    const { dwellMs } = this.store.getState();
    if (!this.listens) return;
    const at = this.listener.now();
    const { key, since, sounding } = this.#capture;
    const left = since + (dwellMs ?? Infinity) + this.#taught.delayMs - at;
    if (key !== null && !sounding && left > 0 && left <= RISE_MS && this.#rose !== key) {
      this.#rose = key;
      play('about-to-count-silence');
    }
    const { heard } = this.listener;
    if (!this.#sweep) return this.#hear({ kind: 'tick', at: heard });
    this.#swept({ kind: 'tick', at, heard });
    this.#hand?.triesAgain();
  }

  end(): void {
    clearInterval(this.#clock);
    this.#follow(null);
    this.listener.stop();
    this.#hand?.end();
  }

  /** Something else may be asked now. */
  asked(moment: Moment): void {
    if (!this.listens) return;
    const led = this.store.getState().paceMs === null ? null : LedSweep.of(moment);
    if (!(this.#sweep ? this.#sweep.isOf(led) : led === null)) this.#follow(led, moment);
    if (this.#sweep) return (this.#take({ kind: 'asked', key: null, at: this.listener.now() }), undefined);
    const key = hearsFor(moment);
    if (key !== this.#capture.key) {
      this.#take({ kind: 'asked', key, at: this.listener.now() });
      this.store.setState({ aside: null });
    }
    this.#hand?.goesTo(moment, key);
  }

  /** From now on it follows this sweep, or none. */
  #follow(sweep: LedSweep | null, moment: Moment | null = null): void {
    this.#sweep = sweep;
    this.store.setState({ sweep: sweep?.shown() ?? null, aside: null });
    this.#hand?.follows(sweep, moment);
  }

  /** One signal to the sweep that clicks lead, and what comes of it. */
  #swept(signal: SweptSignal): void {
    const sweep = this.#sweep;
    const { paceMs, sweep: before } = this.store.getState();
    if (!sweep || paceMs === null) return;
    const cue = sweep.take(signal, this.#taught, paceMs);
    if (signal.kind === 'tick' && !cue) return;
    const shown = sweep.shown();
    this.store.setState({ sweep: shown });
    if (before?.marked !== shown.marked || before?.stage !== shown.stage) this.#changed();
    if (!cue) return;
    switch (cue.cue) {
      case 'click':
        this.listener.click();
        return this.#hand?.touches(sweep.lugAt(cue.place));
      case 'heard':
        return this.#said(sweep.lugAt(cue.place));
      case 'agree':
        return play('about-to-count-silence');
      case 'again':
      case 'void':
        play('look-again');
        if (cue.cue === 'void') this.#hand?.toClip();
        return;
      case 'take':
        this.#sweep = null;
        this.#hand?.rests();
        this.store.setState({ sweep: null });
        this.act(sweep.actOf(cue.places));
    }
  }

  /** Each beep is said back, where speech is on. */
  #said: (lug: TerminalId | null) => void = () => undefined;
  onHeard(said: (lug: TerminalId | null) => void): void {
    this.#said = said;
  }

  #hear(signal: CaptureSignal): void {
    if (this.#sweep && (signal.kind === 'began' || signal.kind === 'ended' || signal.kind === 'lost')) {
      this.#take(signal);
      return this.#swept(signal);
    }
    const { act, aside } = this.#take(signal);
    if (signal.kind === 'began') this.store.setState({ aside });
    if (act) {
      const times = act.do === 'step' ? (act.flickered ?? 0) : 0;
      this.store.setState({ flickered: times > 0 ? { times, gapMs: this.#taught.holdMs } : null });
      this.act(act);
    } else if (signal.kind !== 'tick') this.#changed();
  }

  #take(signal: CaptureSignal) {
    const step = capture(this.#capture, signal, {
      ...this.#taught,
      dwellMs: this.store.getState().dwellMs,
    });
    this.#capture = step.state;
    return step;
  }
}
