import {
  capture,
  hearsFor,
  heldByEar,
  idleCapture,
  probeNow,
  type Act,
  type Aside,
  type CaptureSignal,
  type Meter,
  type Moment,
} from '@which-way/core/probing';
import type { Taught } from '@which-way/core/sense/ear';
import { createStore } from 'zustand/vanilla';
import { Listener } from '../../../parts/ear/listener.js';
import { microphone, type SoundDoor } from '../../../parts/ear/microphone.js';
import { SIMULATED_BEEPER, SimulatedBeeper } from '../../../parts/ear/simulated-beeper.js';

/** What a screen shows of what was heard last: nothing answered, and why. */
interface EarHeard {
  aside: Aside | null;
}

/** Simulated hands: how long they take to the next touch, and how long they touch. */
const [REACH_MS, TOUCH_MS] = [700, 260];

/** Listens for the Map: what is heard answers what was asked when the leads touched. On a practice switch the beeper is simulated. */
export class EarDesk {
  readonly listener = new Listener();
  readonly store = createStore<EarHeard>(() => ({ aside: null }));
  #capture = idleCapture;
  #taught: Taught = SIMULATED_BEEPER;
  readonly #beeper: SimulatedBeeper | null;
  #hands: ReturnType<typeof setTimeout> | undefined;
  #lifted: ReturnType<typeof setTimeout> | undefined;
  /** What the simulated hands are at. */
  #at: string | null = null;

  /**
   * @param hidden the simulated meter of a practice switch; null: a real one
   * @param act does what was heard
   */
  constructor(
    private readonly hidden: Meter | null,
    private readonly act: (act: Act) => void,
  ) {
    this.#beeper = hidden && new SimulatedBeeper();
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

  /** What the moment knows of it. */
  get scene(): { sounding: boolean } | null {
    return this.listens ? { sounding: this.#capture.sounding } : null;
  }

  /** What it can listen with now: the simulated beeper is known, a real one has to be taught. */
  knows(taught: Taught | null): Taught | null {
    return this.#beeper ? SIMULATED_BEEPER : taught;
  }

  get door(): SoundDoor {
    return this.#beeper?.door ?? microphone;
  }

  async begin(taught: Taught): Promise<void> {
    this.#taught = taught;
    this.#capture = idleCapture;
    this.store.setState({ aside: null });
    await this.listener.listen(this.door, taught, (signal) => this.#hear(signal));
    this.#changed();
  }

  end(): void {
    clearTimeout(this.#hands);
    clearTimeout(this.#lifted);
    this.listener.stop();
    this.#beeper?.end();
    this.#at = null;
  }

  /** Something else may be asked now. */
  asked(moment: Moment): void {
    if (!this.listens) return;
    const key = hearsFor(moment);
    if (key !== this.#capture.key) {
      this.#take({ kind: 'asked', key, at: this.listener.now() });
      this.store.setState({ aside: null });
    }
    this.#touch(moment, key);
  }

  #hear(signal: CaptureSignal): void {
    const { act, aside } = this.#take(signal);
    if (signal.kind === 'began') this.store.setState({ aside });
    if (act) this.act(act);
    else this.#changed();
  }

  #take(signal: CaptureSignal) {
    const step = capture(this.#capture, signal, this.#taught);
    this.#capture = step.state;
    return step;
  }

  /** The simulated hands go to what is asked, touch it, and lift; while the leads are held they stay. */
  #touch(moment: Moment, key: string | null): void {
    const [beeper, meter] = [this.#beeper, this.hidden];
    const held = heldByEar(moment);
    const at = key ?? (held ? `held ${moment.stepAt}` : null);
    if (!beeper || !meter || at === this.#at) return;
    this.#at = at;
    clearTimeout(this.#hands);
    const probe = probeNow(moment);
    if (at === null || !probe) return;
    this.#hands = setTimeout(() => {
      void meter.read(probe).then((value) => {
        if (this.#at !== at) return;
        beeper.joins(value.kind === 'tone' && value.sounded);
        clearTimeout(this.#lifted);
        if (!held) this.#lifted = setTimeout(() => beeper.joins(false), TOUCH_MS);
      });
    }, REACH_MS);
  }
}
