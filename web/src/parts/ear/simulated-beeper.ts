import type { SoundDoor } from './microphone.js';
import type { TaughtEar } from './taught-ears.js';

/** A beeper that ships with the program: a tone behind the door of the microphone, heard by nobody but the ear. */
export const SIMULATED_BEEPER: TaughtEar = {
  pitchHz: 2700,
  level: 0.14,
  delayMs: 80,
  leastMs: 60,
  holdMs: 60,
  silentOhms: 50,
};

/** Milliseconds from a touch to the beep; how loud that is, and how fast it rises, in seconds. */
const [DELAY_MS, LOUD, RISE_S] = [60, 0.2, 0.002];

export class SimulatedBeeper {
  #context: AudioContext | null = null;
  #gain: GainNode | null = null;

  readonly door: SoundDoor = (context) => {
    const [tone, gain, out] = [
      context.createOscillator(),
      context.createGain(),
      context.createMediaStreamDestination(),
    ];
    tone.frequency.value = SIMULATED_BEEPER.pitchHz;
    gain.gain.value = 0;
    tone.connect(gain).connect(out);
    tone.start();
    this.#context = context;
    this.#gain = gain;
    return Promise.resolve(out.stream);
  };

  /** The leads close now, for so long; null: until they open. By the clock of the sound: a page that is held up makes no touch longer. */
  touches(forMs: number | null): void {
    const context = this.#context;
    if (!context) return;
    const from = context.currentTime + DELAY_MS / 1000;
    this.#gain?.gain.cancelScheduledValues(from);
    this.#gain?.gain.setTargetAtTime(LOUD, from, RISE_S);
    if (forMs !== null) this.#gain?.gain.setTargetAtTime(0, from + forMs / 1000, RISE_S);
  }

  /** The leads close through a contact that drops out for a moment, twice. */
  flickers(): void {
    this.touches(null);
    const [context, gain] = [this.#context, this.#gain?.gain];
    if (!context || !gain) return;
    const from = context.currentTime + DELAY_MS / 1000;
    for (const drop of [0.12, 0.42]) {
      gain.setTargetAtTime(0, from + drop, RISE_S);
      gain.setTargetAtTime(LOUD, from + drop + 0.15, RISE_S);
    }
  }

  /** The leads open. */
  lifts(): void {
    const context = this.#context;
    if (!context) return;
    const from = context.currentTime + DELAY_MS / 1000;
    this.#gain?.gain.cancelScheduledValues(from);
    this.#gain?.gain.setTargetAtTime(0, from, RISE_S);
  }

  end(): void {
    this.#context = this.#gain = null;
  }
}
