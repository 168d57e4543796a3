/** A lug of the switch in a machine's picture. */
export interface MachineLug {
  label: string;
  /** Which side of the switch it stands on: towards the supplies, or towards the loads. */
  side: 'supply' | 'load';
}

/** A lead: from a lug, a supply or an end of a load to another. */
export interface MachineLead {
  from: MachinePoint;
  to: MachinePoint;
  text: string;
  carries: boolean;
}

export type MachinePoint =
  { at: 'lug'; lug: number } | { at: 'supply'; supply: number } | { at: 'load'; load: number; end: number };

export interface MachineLoad {
  name: string;
  /** Names of its ends, in order: those of the first half stand left. */
  ends: readonly string[];
  says: string;
  look: 'on' | 'off' | 'live' | 'unknown';
}

/** What is drawn of a machine in one setting. */
export interface MachineDrawn {
  supplies: readonly { name: string; live: boolean }[];
  lugs: readonly MachineLug[];
  joins: readonly { a: number; b: number; carries: boolean }[];
  loads: readonly MachineLoad[];
  leads: readonly MachineLead[];
  switchName: string;
}

export interface Point {
  x: number;
  y: number;
}

/** Where the columns of a machine's picture stand, in its own measure. */
export interface MachineSheet {
  width: number;
  /** The first row of lugs and loads. */
  top: number;
  boxLeft: number;
  boxWidth: number;
  loadLeft: number;
  loadWidth: number;
  /** The first rail on each side, and how far the next stands from it. */
  live: number;
  back: number;
  step: number;
  /** Between the switch and the loads, for upright leads. */
  gutter: number;
}

export const WIDE: MachineSheet = {
  ...{ width: 1000, top: 70, boxLeft: 190, boxWidth: 210, loadLeft: 610, loadWidth: 190 },
  ...{ live: 50, back: 950, step: 34, gutter: 150 },
};

/** For a phone: the same columns, closer together, so that words can be read. */
export const NARROW: MachineSheet = {
  ...{ width: 660, top: 96, boxLeft: 126, boxWidth: 150, loadLeft: 400, loadWidth: 166 },
  ...{ live: 34, back: 638, step: 28, gutter: 70 },
};

export const ROW = 74;
export const RADIUS = 24;
export const LANE = 13;
export const CARRIES = 'var(--teal)';
