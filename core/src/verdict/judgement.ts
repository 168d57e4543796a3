import type { Whole } from '../log/index.js';
import type { Comparison, Verdict } from '../verify/index.js';
import type { NotTested } from './not-tested.js';

/** Where something is settled: a page, or a part of the page on which it is judged. */
export type Where =
  'map' | 'expected' | 'differences' | 'questions' | 'contacts' | 'repeats' | 'insulation' | 'mechanics';

/** What keeps a switch from a pass, and where that is settled. */
export type Open =
  | { code: 'nothing-mapped'; where: 'map' }
  | { code: 'disputed'; count: number; where: 'map' }
  | { code: 'not-complete'; pairs: number; where: 'map' }
  | { code: 'in-circuit'; where: 'map' }
  | { code: 'nothing-expected'; where: 'expected' }
  /** Cells that do what they should not, or do not what they should. */
  | { code: 'differs'; missing: number; extra: number; where: 'differences' }
  | { code: 'fails'; line: keyof Verdict; where: Where }
  /** Something odd that nobody has answered. */
  | { code: 'questions'; count: number; where: 'questions' }
  /** Of other pairs nothing is said. */
  | { code: 'said-in-part'; where: 'expected' }
  /** Closed contacts that were not read in ohms; `byEar`: all of them were heard. */
  | { code: 'not-in-ohms'; contacts: number; byEar: boolean; where: 'contacts' }
  /** It fails now and then, and not every contact was worked again and again. */
  | { code: 'not-repeated'; where: 'repeats' }
  /** Contacts of which the meter cannot tell, or that want another look. */
  | { code: 'contacts-unclear'; where: 'contacts' }
  | { code: 'insulation'; where: 'insulation' }
  | { code: 'mechanics'; where: 'mechanics' };

/** The one verdict: what bench, route, page, report and signature say. */
export interface Judgement {
  whole: Whole;
  lines: Verdict;
  /** What keeps it from a pass, the first first. */
  open: Open[];
  notTested: NotTested[];
  /** The map beside what is expected; null: nothing is. */
  comparison: Comparison | null;
}
