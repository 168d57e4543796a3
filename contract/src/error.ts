import { IfGiven } from './rules.js';
import { Count, List, Text } from './answered.js';

/** What is wrong, where, and what would be right. */
export class TroubleTold {
  /** For programs. */
  @Text()
  code: string;

  /** What is wrong, in words. */
  @Text()
  message: string;

  /** Where: a dotted path into what was sent; empty when it is about the whole. */
  @Text()
  path: string;

  /** What would be right. */
  @Text()
  hint: string;

  /** The most that is taken, where it is too much: characters, entries, or the number itself. */
  @IfGiven()
  @Count()
  limit?: number;
}

/** The one shape of every refusal. */
export class ApiError extends TroubleTold {
  /** Further refusals of the same request. */
  @IfGiven()
  @List()
  more?: TroubleTold[];
}
