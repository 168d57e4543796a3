import { earFrame, FRAME_MS, levelOf, strongestPitch } from '@which-way/core/sense/ear';

// Runs on the thread of sound: cuts it into frames and sends their figures, never the sound itself.

declare const sampleRate: number;
declare const currentTime: number;
declare class AudioWorkletProcessor {
  readonly port: MessagePort;
}
declare function registerProcessor(name: string, processor: unknown): void;

/** So long is a piece while it is taught: long enough for a pitch. */
const PIECE_MS = 20;

class EarProcessor extends AudioWorkletProcessor {
  #pitchHz: number | null = null;
  #held = new Float32Array(0);
  #filled = 0;

  constructor() {
    super();
    this.port.onmessage = ({ data }: MessageEvent<{ pitchHz: number | null }>) => {
      this.#pitchHz = data.pitchHz;
      this.#begin();
    };
    this.#begin();
  }

  #begin(): void {
    const ms = this.#pitchHz === null ? PIECE_MS : FRAME_MS;
    this.#held = new Float32Array(Math.round((sampleRate * ms) / 1000));
    this.#filled = 0;
  }

  process([input]: Float32Array[][]): boolean {
    const samples = input?.[0];
    if (!samples) return true;
    for (const sample of samples) {
      this.#held[this.#filled++] = sample;
      if (this.#filled === this.#held.length) this.#send();
    }
    return true;
  }

  #send(): void {
    this.#filled = 0;
    const at = currentTime * 1000;
    if (this.#pitchHz !== null)
      this.port.postMessage(earFrame(this.#held, { rate: sampleRate, pitchHz: this.#pitchHz, at }));
    else
      this.port.postMessage({
        at,
        ...strongestPitch(this.#held, sampleRate),
        level: levelOf(this.#held),
      });
  }
}

registerProcessor('ear', EarProcessor);
