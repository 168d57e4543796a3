import {
  captureWired,
  heldByWire,
  idleWired,
  probeNow,
  wiredFor,
  type Act,
  type Meter,
  type Moment,
  type WiredCapture,
  type WiredSignal,
} from '@which-way/core/probing';
import type { MeterKind } from '@which-way/contract';
import { createStore } from 'zustand/vanilla';
import { api } from '../../../api/client.js';
import { ohms } from '@which-way/words/quantity';
import { METER_TEXT } from '@which-way/words/screens/parts/meter/meter';
import { handsFree } from '../../../parts/hands/hands-free.js';
import { play, say } from '../../../parts/hands/sounds.js';
import { meterNow } from '../../../api/meter-now.js';
import { thisDevice } from '../../../parts/meter/this-device.js';

/** What a screen shows of the meter on the wire: whether its readings are taken here, and what was set aside. */
interface Wired {
  takes: boolean;
  /** No word came for a while, of whatever it stood at before. */
  silent: boolean;
  aside: 'not-lifted' | 'nothing-asked' | null;
  /** How long it has to be over range until that counts as open; null: only a pedal says so. Chosen for the job that is open. */
  dwellMs: number | null;
  trouble: string | null;
}

/** Without a word for so long the page doesn't know what the meter reads. */
const SILENT_MS = 2500;
/** Simulated hands: how long they take to the next touch, and how long they are apart. */
const [REACH_MS, APART_MS] = [250, 150];

/** Takes for the Map what the bench meter says: what it holds steady answers what is asked. On a practice switch the hands are simulated. */
export class MeterDesk {
  readonly store = createStore<Wired>(() => ({
    takes: false,
    silent: false,
    aside: null,
    dwellMs: null,
    trouble: null,
  }));
  #capture: WiredCapture = idleWired;
  #hands: ReturnType<typeof setTimeout> | undefined;
  #silence: ReturnType<typeof setTimeout> | undefined;
  /** What the simulated hands are at. */
  #at: string | null = null;
  #leave: () => void = () => undefined;

  /**
   * @param hidden the simulated meter of a practice switch, which says what lies between the leads; null: a real switch
   * @param act does what was read
   */
  constructor(
    private readonly hidden: Meter | null,
    private readonly act: (act: Act) => void,
  ) {}

  #changed: () => void = () => undefined;
  /** Tells when its readings begin to be taken here, or end. */
  onChange(changed: () => void): void {
    this.#changed = changed;
  }

  get takes(): boolean {
    return this.store.getState().takes;
  }

  /** A simulated meter reads simulated switches alone, and a real one real ones: neither knows what lies between the other's leads. */
  reads(kind: MeterKind): boolean {
    return kind !== 'none' && kind.startsWith('stand-in') === (this.hidden !== null);
  }

  /** Claims the meter for this page. */
  async begin(): Promise<void> {
    this.#leave();
    this.#capture = idleWired;
    this.store.setState({ aside: null, trouble: null });
    try {
      meterNow.setState({ now: await api.claimMeter({ ...thisDevice, takes: true }) });
    } catch (error) {
      this.store.setState({ trouble: error instanceof Error ? error.message : String(error) });
      return;
    }
    this.#leave = meterNow.subscribe(() => this.#hear());
    this.store.setState({ takes: true });
    this.#changed();
  }

  /** Waits so long over range from now on. */
  waits(dwellMs: number | null): void {
    this.store.setState({ dwellMs });
  }

  /** Gives the meter back. */
  end(): void {
    if (!this.takes) return;
    this.#stop();
    void api.claimMeter({ ...thisDevice, takes: false }).catch(() => undefined);
  }

  /** Something else may be asked now. */
  asked(moment: Moment): void {
    if (!this.takes) return;
    const key = wiredFor(moment);
    if (key !== this.#capture.key) {
      this.#take({ kind: 'asked', key, at: performance.now() });
      this.store.setState({ aside: null });
    }
    this.#touch(moment, key);
  }

  /** The pedal says that the handle is there: the next steady value answers. */
  there(moment: Moment): void {
    this.#at = null;
    this.#take({ kind: 'there', at: performance.now() });
    this.#touch(moment, this.#capture.key, true);
  }

  /** The leads lie on something that conducts: a pedal doesn’t mean open then. */
  get isOnContact(): boolean {
    const { now } = meterNow.getState();
    const { takes, silent } = this.store.getState();
    return takes && !silent && now?.standing === 'ready' && now.reading.value.kind === 'ohms';
  }

  /** The pedal, with the leads on a contact: the handle moved under them. */
  moved(): void {
    this.#take({ kind: 'moved', at: performance.now() });
    this.store.setState({ aside: null });
  }

  #claiming = false;
  async #claimAgain(): Promise<void> {
    if (this.#claiming) return;
    this.#claiming = true;
    this.#take({ kind: 'lost', at: performance.now() });
    await api.claimMeter({ ...thisDevice, takes: true }).catch(() => undefined);
    this.#claiming = false;
  }

  #stop(): void {
    this.#leave();
    this.#leave = () => undefined;
    clearTimeout(this.#hands);
    clearTimeout(this.#silence);
    this.#at = null;
    this.store.setState({ takes: false, silent: false, aside: null });
    this.#changed();
  }

  #hear(): void {
    const { now } = meterNow.getState();
    // The server restarted and knows of no claim: it is claimed again.
    if (now && now.holder === null && this.reads(now.kind)) return void this.#claimAgain();
    // Another device took it: what it reads is theirs.
    if (!now || now.holder?.id !== thisDevice.id || !this.reads(now.kind)) return this.#stop();
    clearTimeout(this.#silence);
    this.#silence = setTimeout(() => this.store.setState({ silent: true }), SILENT_MS);
    if (this.store.getState().silent) this.store.setState({ silent: false });
    const at = performance.now();
    if (now.standing !== 'ready') {
      this.#take({ kind: 'lost', at });
      return;
    }
    const before = this.#capture.key;
    const { takes, aside } = this.#take({ kind: 'read', reading: now.reading, at });
    // What was set aside is told for as long as the leads lie there.
    if (this.store.getState().aside !== aside && now.reading.value.kind !== 'none')
      this.store.setState({ aside });
    if (!takes) return;
    play(takes.kind === 'over' ? 'none' : 'joined');
    // Of a sweep the whole is read back at its end.
    if (handsFree.getState().speech) say(takes.kind === 'ohms' ? ohms(takes.ohms) : METER_TEXT.open);
    this.act({ do: 'takes', value: takes });
    // What is asked again after it, as a zero that was too high, is asked of leads that were lifted.
    if (this.#capture.key === null && before !== null) this.#changed();
  }

  #take(signal: WiredSignal) {
    const step = captureWired(this.#capture, signal, this.store.getState().dwellMs);
    this.#capture = step.state;
    return step;
  }

  /** The simulated hands lift the leads, go to what is asked, and stay on it. */
  #touch(moment: Moment, key: string | null, handleIsThere = false): void {
    const { hidden } = this;
    if (!hidden || key === this.#at || (heldByWire(moment) && !handleIsThere)) return;
    this.#at = key;
    clearTimeout(this.#hands);
    const probe = probeNow(moment);
    if (key === null || !probe) return;
    const lie = (ohms: number | null) => api.leadsOfStandIn(ohms).catch(() => undefined);
    const onIt = async () => {
      const value = await hidden.read(probe);
      if (this.#at === key) await lie(value.kind === 'ohms' ? value.ohms : null);
    };
    if (handleIsThere) void onIt();
    else
      void lie(null).then(() => {
        if (this.#at === key) this.#hands = setTimeout(() => void onIt(), REACH_MS + APART_MS);
      });
  }
}
