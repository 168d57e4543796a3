import { heldByEar, probeNow, probeOf, type Meter, type Moment } from '@which-way/core/probing';
import type { TerminalId } from '@which-way/core/switch';
import type { SoundDoor } from '../../../parts/ear/microphone.js';
import { SimulatedBeeper } from '../../../parts/ear/simulated-beeper.js';
import type { LedSweep } from './led-sweep.js';

/** What may be wrong with a simulated beeper: its clip has fallen off, or it has gone to sleep. */
export type BeeperFault = 'none' | 'clip-off' | 'asleep';

/** How long it takes to the next touch, how long it touches, and when it touches a clip again that was not heard. */
const [REACH_MS, TOUCH_MS, AGAIN_MS] = [700, 260, 2500];

/** The hand of a practice switch: it goes to what is asked, touches it and lifts, and what joins there sounds. */
export class SimulatedHand {
  /** What is wrong with its meter. */
  fault: BeeperFault = 'none';
  readonly #beeper = new SimulatedBeeper();
  #moves: ReturnType<typeof setTimeout> | undefined;
  /** What it is at, where each touch is asked by itself. */
  #at: string | null = null;
  /** The sweep that it is led along, and what was asked when that began. */
  #led: { sweep: LedSweep; moment: Moment | null } | null = null;
  /** When it last set out for a lug of the sweep. */
  #reachedAt = 0;

  /**
   * @param meter what the leads would read, as a tone
   * @param steady the same in ohms: whether a contact of it is steady
   * @param now milliseconds on the listener's clock
   */
  constructor(
    private readonly meter: Meter,
    private readonly steady: Meter | null,
    private readonly now: () => number,
  ) {}

  /** Where its beeper is heard. */
  get door(): SoundDoor {
    return this.#beeper.door;
  }

  /** Moves the handle while the leads are held: what sounds there goes on sounding. */
  async movesHandle(moment: Moment): Promise<void> {
    const probe = probeNow(moment);
    if (!probe) return;
    const [value, inOhms] = await Promise.all([this.meter.read(probe), this.steady?.read(probe)]);
    if (inOhms?.kind === 'unsteady') this.#beeper.flickers();
    else if (value.kind === 'tone' && value.sounded) this.#beeper.touches(null);
    else this.#beeper.lifts();
  }

  /** Is led along a sweep from now on, from its clip; or along none. */
  follows(sweep: LedSweep | null, moment: Moment | null): void {
    this.rests();
    this.#led = sweep && { sweep, moment };
    this.toClip();
  }

  /** Goes to the clip of the sweep, as it does at its beginning. */
  toClip(): void {
    if (this.#led) this.touches(this.#led.sweep.clip, REACH_MS);
  }

  /** Touches a lug of the sweep, or its clip, after a while, and lifts. */
  touches(lug: TerminalId | null, afterMs = 0): void {
    const led = this.#led;
    if (!led || lug === null) return;
    clearTimeout(this.#moves);
    this.#reachedAt = this.now();
    this.#moves = setTimeout(() => {
      void this.#joins(led, lug).then((joins) => {
        if (this.#led === led && joins) this.#beeper.touches(TOUCH_MS / 2);
      });
    }, afterMs);
  }

  /** A clip that was not heard is touched again after a while. */
  triesAgain(): void {
    if (this.#led?.sweep.waits && this.now() - this.#reachedAt > AGAIN_MS) this.touches(this.#led.sweep.clip);
  }

  /** Goes to what is asked by itself, touches it and lifts; what is held is moved by the pedal. */
  goesTo(moment: Moment, key: string | null): void {
    if (heldByEar(moment) || key === this.#at) return;
    this.rests();
    this.#at = key;
    const probe = probeNow(moment);
    if (key === null || !probe) return;
    this.#moves = setTimeout(() => {
      void this.meter.read(probe).then((value) => {
        if (this.#at !== key) return;
        if (this.#sounds(value)) this.#beeper.touches(TOUCH_MS);
        else this.#beeper.lifts();
      });
    }, REACH_MS);
  }

  /** Stays where it is. */
  rests(): void {
    clearTimeout(this.#moves);
    this.#at = null;
    this.#led = null;
  }

  end(): void {
    this.rests();
    this.#beeper.end();
  }

  #sounds(value: Awaited<ReturnType<Meter['read']>>): boolean {
    return value.kind === 'tone' && value.sounded && this.fault === 'none';
  }

  async #joins(
    { sweep, moment }: { sweep: LedSweep; moment: Moment | null },
    lug: TerminalId,
  ): Promise<boolean> {
    if (lug === sweep.clip) return this.fault === 'none';
    const probe = moment && probeOf(moment, lug);
    return probe !== null && this.#sounds(await this.meter.read(probe));
  }
}
