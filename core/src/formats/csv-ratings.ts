import { RATED_FOR, type PartFacts } from '../switch/index.js';

type Ratings = NonNullable<PartFacts['ratings']>;

const LINE = /^(\S+)\s+([\d.e+-]+)\s*A(?:\s+([\d.e+-]+)\s*V)?(?:\s+(ac|dc|ac-dc))?(?:\s+([\d.e+-]+)\s*ms)?$/i;

/** Ratings of any kind in one cell, apart by semicolons: `motor 4 A 250 V ac; lamp 2 A`. Null: one of them cannot be read. */
export function readRatings(text: string): Ratings | null {
  const ratings: Ratings = [];
  for (const part of text.split(';')) {
    if (part.trim() === '') continue;
    const [, kind, amps, volts, supply, milliseconds] = LINE.exec(part.trim().replaceAll(',', '.')) ?? [];
    const load = RATED_FOR.find((one) => one === kind?.toLowerCase());
    const positive = (figure: string | undefined) => figure === undefined || Number(figure) > 0;
    if (!load || !(Number(amps) > 0) || !positive(volts) || !positive(milliseconds)) return null;
    const of = (['ac', 'dc', 'ac-dc'] as const).find((one) => one === supply?.toLowerCase());
    ratings.push({
      load,
      amps: Number(amps),
      ...(volts !== undefined && { volts: Number(volts) }),
      ...(of && { supply: of }),
      ...(milliseconds !== undefined && { timeConstant: Number(milliseconds) }),
    });
  }
  return ratings;
}

export const ratingsText = (ratings: Ratings): string =>
  ratings
    .map(({ load, amps, volts, supply, timeConstant }) =>
      [load, `${amps} A`, volts !== undefined && `${volts} V`, supply, timeConstant && `${timeConstant} ms`]
        .filter(Boolean)
        .join(' '),
    )
    .join('; ');
