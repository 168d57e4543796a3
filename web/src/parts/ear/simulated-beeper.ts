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

/** Milliseconds from a touch to the beep. */
const DELAY_MS = 60;

export class SimulatedBeeper {
  #context: AudioContext | null = null;
  #gain: GainNode | null = null;

  readonly door: SoundDoor = async () => {
    const context = new AudioContext();
    const [tone, gain, out] = [
      context.createOscillator(),
      context.createGain(),
      context.createMediaStreamDestination(),
    ];
    tone.frequency.value = SIMULATED_BEEPER.pitchHz;
    gain.gain.value = 0;
    tone.connect(gain).connect(out);
    tone.start();
    await context.resume();
    this.#context = context;
    this.#gain = gain;
    return out.stream;
  };

  /** The leads close, or open again. */
  joins(closed: boolean): void {
    const [context, gain] = [this.#context, this.#gain];
    if (!context || !gain) return;
    gain.gain.setTargetAtTime(closed ? 0.2 : 0, context.currentTime + DELAY_MS / 1000, 0.002);
  }

  end(): void {
    void this.#context?.close().catch(() => undefined);
    this.#context = this.#gain = null;
  }
}
