/** What is wrong with something that came in: a code and its parameters; the words belong to whoever shows it. */
export interface Problem {
  code: string;
  /** Where, as a dotted path into what came in. */
  path: string;
  params: Record<string, string | number>;
}
