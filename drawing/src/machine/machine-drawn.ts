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

export const WIDTH = 1000;
export const TOP = 70;
export const ROW = 74;
export const [BOX_LEFT, BOX_WIDTH] = [190, 210];
export const [LOAD_LEFT, LOAD_WIDTH] = [610, 190];
export const RADIUS = 24;
/** The first rail on each side, and how far the next stands from it. */
export const RAILS = { live: 50, back: 950, step: 34 } as const;
export const LANE = 13;
export const CARRIES = 'var(--teal)';
