/** A voltage with its phase, as a complex number; direct voltages are real. */
export interface Phasor {
  re: number;
  im: number;
}

export const ZERO: Phasor = { re: 0, im: 0 };
export const phasor = (size: number, degrees = 0): Phasor => ({
  re: size * Math.cos((degrees * Math.PI) / 180),
  im: size * Math.sin((degrees * Math.PI) / 180),
});
export const minus = (a: Phasor, b: Phasor): Phasor => ({ re: a.re - b.re, im: a.im - b.im });
export const plus = (a: Phasor, b: Phasor): Phasor => ({ re: a.re + b.re, im: a.im + b.im });
export const times = (a: Phasor, b: Phasor): Phasor => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
});
export const sizeOf = ({ re, im }: Phasor): number => Math.hypot(re, im);
/** Turns by 120 degrees: the step from one phase of three to the next. */
export const THIRD: Phasor = phasor(1, 120);
