/** What is known of the meter in hand: enough to say what it can tell and what it cannot. */
export interface MeterProfile {
  name: string;
  /** Smallest step of the lowest ohms range, in ohms. */
  resolutionOhms: number;
  /** Accuracy as 'percent of the reading plus so many counts'. */
  percent: number;
  counts: number;
  /** The beeper sounds somewhere below this many ohms (20 to 200 by meter). */
  beeperOhms: number;
  /** At or below this many ohms a reading joins. Decides topology, nothing else. */
  lowOhms: number;
  /** At or above this many ohms a reading parts; over-range parts too. */
  highOhms: number;
}

/** An ordinary handheld. The bands are common practice and may be edited. */
export const ORDINARY_METER: MeterProfile = {
  name: 'Handheld, 0.1 ohm',
  resolutionOhms: 0.1,
  percent: 0.8,
  counts: 3,
  beeperOhms: 50,
  lowOhms: 2,
  highOhms: 20e6,
};
