import type { PhotoId, StepId } from './id.js';

export const FASTENERS = [
  'screw',
  'bolt-and-nut',
  'rivet',
  'clip',
  'circlip',
  'pin',
  'solder',
  'tab',
  'other',
] as const;
export type FastenerKind = (typeof FASTENERS)[number];

/** Fasteners of one kind and length that came out of one place. */
export interface Fastener {
  count: number;
  kind: FastenerKind;
  /** In millimetres; null: not measured. */
  length: number | null;
  place: string;
}

/** One step of taking it apart; read backwards, the steps are the assembly list. */
export interface StripStep {
  id: StepId;
  text: string;
  photo: PhotoId | null;
  fasteners: Fastener[];
  /** Springs, detent balls and the like that come loose here. */
  loose: string;
  removed: boolean;
}
