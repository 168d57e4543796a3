/** What lies between the leads of a simulated meter, and how it shows that: the same for whatever wire it talks over. */
export class BenchLeads {
  /** Switched off, or gone to sleep: it shows nothing. */
  isOn = true;
  #ohms: number | null = null;
  #shown = 0;

  /** null: they are apart. */
  set(ohms: number | null): void {
    this.#ohms = ohms;
  }

  /** What it reads now, with a little noise that only depends on how often it was read; null: over range. */
  read(): number | null {
    this.#shown += 1;
    if (this.#ohms === null || this.#ohms > MOST_OHMS) return null;
    const noise = Math.sin(this.#shown * 12.9898) * 0.002;
    return this.#ohms * (1 + noise / 4) + Math.abs(noise);
  }
}

/** Above this it is over range. */
const MOST_OHMS = 1e8;
const RANGES = [100, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8];

/** The lowest range in which so many ohms are shown; over range it stands in the highest. */
export const rangeOf = (ohms: number | null): number =>
  RANGES.find((range) => ohms !== null && ohms <= 1.2 * range) ?? MOST_OHMS;
