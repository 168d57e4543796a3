/**
 * Which candidate terminals are as good as each other. `twin[y]`: the first terminal that can be swapped with y
 * and leave all else as it is. `pole[y]`: y's pole. `place[y]`: y's counterpart in the first pole of the same type.
 */
export interface Symmetry {
  twin: number[];
  pole: number[];
  place: number[];
}

/** No symmetry at all: every terminal stands for itself. */
export function noSymmetry(size: number): Symmetry {
  const self = Array.from({ length: size }, (_, index) => index);
  return { twin: self, pole: self.map(() => 0), place: self };
}
