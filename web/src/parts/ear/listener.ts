import {
  hear,
  quietEar,
  type EarFrame,
  type EarSignal,
  type Taught,
  type TaughtPiece,
} from '@which-way/core/sense/ear';
import { createStore } from 'zustand/vanilla';
import { mayListen, noSoundBy, type NoSound, type SoundDoor } from './microphone.js';
import workletUrl from './ear.worklet.ts?worker&url';

/** How the ear stands; after the last four it is off, and says why. */
export type EarStanding =
  'off' | 'opening' | 'listening' | 'teaching' | NoSound | 'unplugged' | 'hidden' | 'steady';

/** What a screen shows of the ear, ten times a second. */
export interface EarShown {
  standing: EarStanding;
  /** 0 to 1: how much is heard, and how much of it is the beep. */
  level: number;
  sounding: boolean;
  /** How often the beeper has begun to sound since it listens. */
  beeps: number;
}

const OFF: EarShown = { standing: 'off', level: 0, sounding: false, beeps: 0 };
const SHOW_MS = 100;

type Hears = (signal: EarSignal | { kind: 'lost'; at: number }) => void;

/** Listens on this device only, for as long as it is open; off until it is asked. */
export class Listener {
  readonly store = createStore<EarShown>(() => OFF);
  #context: AudioContext | null = null;
  #stream: MediaStream | null = null;
  #node: AudioWorkletNode | null = null;
  #shownAt = 0;
  #heard = 0;
  #frame: (data: EarFrame | TaughtPiece) => void = () => undefined;

  /** The clock of the sound, in milliseconds. */
  now(): number {
    return (this.#context?.currentTime ?? 0) * 1000;
  }

  /** Until when the sound has been listened to, by the same clock: the page may be behind. */
  get heard(): number {
    return this.#heard;
  }

  /** Listens for a beeper that it knows. */
  async listen(door: SoundDoor, taught: Taught, hears: Hears): Promise<void> {
    let ear = quietEar;
    await this.#open(door, 'listening', taught.pitchHz);
    this.#frame = (frame) => {
      if (!('share' in frame)) return;
      const step = hear(ear, frame as EarFrame, taught);
      ear = step.ear;
      this.#show(frame.level, step.ear.from !== null, frame.at);
      for (const signal of step.signals) {
        if (signal.kind === 'began') this.store.setState(({ beeps }) => ({ beeps: beeps + 1 }));
        hears(signal);
        if (signal.kind === 'steady') this.stop('steady');
      }
      this.#heard = frame.at;
    };
    this.#lost = () => hears({ kind: 'lost', at: this.now() });
  }

  /** Hears pieces, to be taught by them. */
  async teach(door: SoundDoor, piece: (piece: TaughtPiece) => void): Promise<void> {
    await this.#open(door, 'teaching', null);
    this.#frame = (data) => {
      if (!('hertz' in data)) return;
      this.#show(data.level, data.share >= 0.5, data.at);
      piece(data);
    };
  }

  /** A click in the ear, to touch on; its time by the clock of the sound. */
  click(): number {
    const context = this.#context;
    if (!context) return 0;
    const [tone, gain] = [context.createOscillator(), context.createGain()];
    // Far under the pitch of any beeper.
    tone.frequency.value = 330;
    gain.gain.setValueAtTime(0.3, context.currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.05);
    tone.connect(gain).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + 0.06);
    return this.now();
  }

  stop(why: EarStanding = 'off'): void {
    if (this.#stream) this.#lost();
    for (const track of this.#stream?.getTracks() ?? []) track.stop();
    this.#node?.disconnect();
    void this.#context?.close().catch(() => undefined);
    this.#context = this.#stream = this.#node = null;
    this.#frame = this.#lost = () => undefined;
    document.removeEventListener('visibilitychange', this.#hide);
    this.store.setState({ ...OFF, standing: why });
  }

  #lost: () => void = () => undefined;
  readonly #hide = (): void => {
    if (document.hidden) this.stop('hidden');
  };

  async #open(door: SoundDoor, as: 'listening' | 'teaching', pitchHz: number | null): Promise<void> {
    this.stop('opening');
    this.#heard = 0;
    if (!mayListen()) return this.stop('not-here');
    try {
      const context = new AudioContext();
      this.#context = context;
      const [stream] = await Promise.all([
        door(context),
        context.audioWorklet.addModule(workletUrl),
        context.resume(),
      ]);
      // Stopped meanwhile.
      if (this.#context !== context) return stream.getTracks().forEach((track) => track.stop());
      this.#stream = stream;
      const node = new AudioWorkletNode(context, 'ear', { numberOfOutputs: 0 });
      node.port.onmessage = ({ data }: MessageEvent<EarFrame | TaughtPiece>) => this.#frame(data);
      node.port.postMessage({ pitchHz });
      context.createMediaStreamSource(stream).connect(node);
      this.#node = node;
      for (const track of stream.getTracks()) track.onended = () => this.stop('unplugged');
      document.addEventListener('visibilitychange', this.#hide);
      this.store.setState({ ...OFF, standing: as });
    } catch (error) {
      this.stop(noSoundBy(error));
    }
  }

  #show(level: number, sounding: boolean, at: number): void {
    const { sounding: before } = this.store.getState();
    if (at - this.#shownAt < SHOW_MS && sounding === before) return;
    this.#shownAt = at;
    // By ear a tenth as loud is half as loud.
    this.store.setState({ level: Math.min(1, Math.sqrt(level)), sounding });
  }
}
