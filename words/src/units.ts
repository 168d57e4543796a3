import { americanGauge } from '@which-way/core/rating';

/** How lengths, wires and temperatures are said on this device; what is kept is always metric. */
export const UNITS = ['metric', 'inch'] as const;
export type Units = (typeof UNITS)[number];

export const UNIT_OF_LENGTH: Record<Units, 'mm' | 'in'> = { metric: 'mm', inch: 'in' };

const MM_PER_INCH = 25.4;
/** A thousandth of an inch is less than a caliper’s reading by hand; a tenth of a millimetre is as much as a kept length needs. */
const rounded = (value: number, places: number) => Number(value.toFixed(places));

/** '12 mm', or '0.472 in'. */
export const lengthWords = (millimetres: number, units: Units): string =>
  units === 'inch' ? `${rounded(millimetres / MM_PER_INCH, 3)} in` : `${millimetres} mm`;

/** A length as it stands in a field of these units, without its unit. */
export const lengthTyped = (millimetres: number, units: Units): string =>
  String(units === 'inch' ? rounded(millimetres / MM_PER_INCH, 3) : millimetres);

/** Millimetres, to a hundredth, of a length in these units. */
export const millimetresOf = (length: number, units: Units): number =>
  units === 'inch' ? rounded(length * MM_PER_INCH, 2) : length;

/** '85 °C', or '185 °F (85 °C)': what is stamped stays in sight. */
export const temperatureWords = (celsius: number, units: Units): string =>
  units === 'inch' ? `${rounded(celsius * 1.8 + 32, 0)} °F (${celsius} °C)` : `${celsius} °C`;

/** Gauges of ordinary wires, thick to thin. */
const GAUGES = Array.from({ length: 41 }, (_, gauge) => gauge);

/** '0.75 mm² (between 18 and 19 AWG)': no gauge is put in place of an area. */
export function copperWords(area: number, units: Units): string {
  const plain = `${area} mm²`;
  if (units === 'metric') return plain;
  const thinner = GAUGES.find((gauge) => americanGauge(gauge).area <= area * 1.005);
  if (thinner === undefined || thinner === 0) return plain;
  const isThat = Math.abs(americanGauge(thinner).area / area - 1) < 0.005;
  return isThat ? `${plain} (${thinner} AWG)` : `${plain} (between ${thinner - 1} and ${thinner} AWG)`;
}

const saysUnit = (text: string) => /\d\s*(mm\b|in(ch(es)?)?\b|["″])/i.test(text);

/** A text with lengths that was typed without a unit is in these; one that says its unit keeps it. Kept without one it is in millimetres. */
export const keptLengths = (typed: string, units: Units): string =>
  units === 'inch' && /\d/.test(typed) && !saysUnit(typed) ? `${typed} in` : typed;

/** A kept text with lengths as a field of these units shows it: no bare figure is read in units that it was not typed in. */
export const shownLengths = (kept: string, units: Units): string =>
  units === 'inch' ? withUnit(kept) : kept;

const withUnit = (kept: string): string => (/\d/.test(kept) && !saysUnit(kept) ? `${kept} mm` : kept);

/** Kept lengths in a sentence or beside others, with their unit: those in millimetres are said in these units. */
export const saidLengths = (kept: string, units: Units): string =>
  units === 'metric'
    ? withUnit(kept)
    : withUnit(kept).replace(/(\d+(?:[.,]\d+)?) ?mm\b/g, (_, figure: string) =>
        lengthWords(Number(figure.replace(',', '.')), units),
      );
