/** What has to fit besides the wiring. Lengths are in millimetres. */
export const MECHANICS = [
  'mounting',
  'bolt-spacing',
  'cut-out',
  'bushing',
  'shaft-diameter',
  'shaft-length',
  'depth',
  'connector',
  'terminations',
  'environment',
] as const;
export type MechanicsField = (typeof MECHANICS)[number];

export const HOW_KNOWN = ['measured', 'marking', 'unknown'] as const;

/** One of them, with how it is known; the newest of a field counts. */
export interface MechanicsFact {
  field: MechanicsField;
  value: string;
  how: (typeof HOW_KNOWN)[number];
}
