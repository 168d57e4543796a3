/** What is wrong with something that came in: a code and its parameters; the words belong to whoever shows it. */
/** Every problem that a check may find: a rule of a schema, or one of the checks' own. */
export type ProblemCode =
  | `schema-${string}`
  | 'not-our-file'
  | 'no-version'
  | 'unknown-version'
  | 'terminal-not-listed'
  | 'terminal-in-two-nets'
  | 'contact-outside'
  | 'twice'
  | 'label-taken'
  | 'no-label'
  | 'not-there'
  | 'already-described'
  | 'too-few-terminals'
  | 'line-stays'
  | 'line-without-words'
  | 'lines-out-of-order'
  | 'event-differs'
  | 'sequence-taken'
  | 'same-number-other-wiring'
  | 'too-deep'
  | 'clock-too-far'
  | 'sequence-too-far'
  | 'event-too-large'
  | 'event-too-new'
  | 'kind-not-known'
  | 'other-handle'
  | 'merged-with-itself'
  | 'no-setting';

export interface Problem {
  code: ProblemCode;
  /** Where, as a dotted path into what came in. */
  path: string;
  params: Record<string, string | number>;
}
