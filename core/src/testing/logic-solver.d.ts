/** The parts of the SAT solver that the tests use as an oracle; the package ships no types. */
declare module 'logic-solver' {
  type Formula = object;
  type Operand = string | Formula;
  interface Solver {
    require(...formulas: Operand[]): void;
    solve(): object | null;
    solveAssuming(formula: Operand): object | null;
  }
  const Logic: {
    Solver: new () => Solver;
    and(...operands: (Operand | Operand[])[]): Formula;
    or(...operands: (Operand | Operand[])[]): Formula;
    not(operand: Operand): Formula;
    implies(left: Operand, right: Operand): Formula;
    atMostOne(...operands: (Operand | Operand[])[]): Formula;
    sum(...operands: (Operand | Operand[])[]): Formula;
    constantBits(value: number): Formula;
    lessThanOrEqual(left: Formula, right: Formula): Formula;
    TRUE: string;
  };
  export default Logic;
}
