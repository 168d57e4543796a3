import type { RatedLoad, RatedSupply } from './amperes.js';
import { decodeCategory } from './category.js';
import { decodeDesignation } from './designation.js';
import { NUMBER, numberOf, type DecodedMarking, type Piece, type Reader } from './piece.js';

/**
 * `16(4)A` motor in round brackets, `6[3]A` lamp in square ones, `2/8A` peak of a capacitor (IEC 61058-1, from memory);
 * `10AX` for fluorescent lamps (IEC 60669-1, from memory).
 */
function readCurrent(match: RegExpExecArray, into: DecodedMarking): Pick<Piece, 'code' | 'params'> {
  const [, main, motor, lamp, peak, fluorescent] = match;
  const params: Piece['params'] = { amperes: numberOf(main) };
  const add = (text: string | undefined, load: RatedLoad) => {
    if (text === undefined) return;
    into.currents.push({ amperes: numberOf(text), load, volts: null, supply: null });
    if (load !== 'resistive') params[load] = numberOf(text);
  };
  add(main, 'resistive');
  add(motor, 'motor');
  add(lamp, 'lamp');
  add(peak, 'capacitive-peak');
  if (fluorescent !== undefined) add(main, 'discharge-lamp');
  return { code: 'current', params };
}

function readHorsepower(match: RegExpExecArray, into: DecodedMarking): Pick<Piece, 'code' | 'params'> | null {
  const [, whole = '', top = '', bottom = '', decimal = ''] = match;
  const horsepower =
    decimal !== '' ? numberOf(decimal) : Number(whole || 0) + (bottom ? Number(top) / Number(bottom) : 0);
  if (!(horsepower > 0) || !Number.isFinite(horsepower)) return null;
  into.powers.push({ horsepower, volts: null, supply: null });
  return { code: 'horsepower', params: { horsepower: Number(horsepower.toPrecision(4)) } };
}

/** Voltages belong to the currents and powers before them that have none yet, each to all of them; so does the supply. */
function applyVolts(into: DecodedMarking, volts: readonly number[]): void {
  const each = <Rated extends { volts: number | null }>(rated: readonly Rated[]): Rated[] =>
    rated.flatMap((one) => (one.volts === null ? volts.map((at) => ({ ...one, volts: at })) : [one]));
  into.currents = each(into.currents);
  into.powers = each(into.powers);
}

function applySupply(into: DecodedMarking, supply: RatedSupply): void {
  for (const rated of [...into.currents, ...into.powers]) rated.supply ??= supply;
}

const SUPPLIES: [RegExp, RatedSupply][] = [
  [/^(~\/?[=⎓]|ac\s*\/\s*dc|≂)$/i, 'ac-dc'],
  [/^(~|∼|ac)$/i, 'ac'],
  [/^(⎓|=|dc|⎓)$/i, 'dc'],
];

const supplyOf = (text: string): RatedSupply =>
  SUPPLIES.find(([pattern]) => pattern.test(text.trim()))?.[1] ?? 'ac';

/** What a switch may carry: amperes, volts, supply, horsepower, watts, designations and categories. */
export const LOAD_READERS: Reader[] = [
  {
    pattern: /(AC|DC)\s?-\s?\d{1,2}[ABE]?(?![\d])/iy,
    read: ([text], into) => {
      const category = decodeCategory(text);
      if (!category) return null;
      into.categories.push(category.name);
      const { name, family, load, frequency } = category;
      return { code: 'category', params: { name, family, load, frequency: frequency ?? 'not-said' } };
    },
  },
  {
    pattern: /[A-EN-R](?:150|300|600)(?!\d)/iy,
    read: ([text], into) => {
      const designation = decodeDesignation(text);
      if (!designation) return null;
      into.designations.push(designation);
      const { volts, thermalAmperes, category, supply } = designation;
      return {
        code: 'designation',
        params: { name: text.toUpperCase(), volts, thermalAmperes, category, supply },
      };
    },
  },
  { pattern: /(?:(\d+)\s)?(?:(\d+)\/(\d+)|(\d+(?:[.,]\d+)?))\s?HP\b/iy, read: readHorsepower },
  {
    pattern: new RegExp(
      `(${NUMBER})(?:\\s?\\((${NUMBER})\\)|\\s?\\[(${NUMBER})\\]|/(${NUMBER}))?\\s?A(X)?(?![A-Za-z0-9-])`,
      'y',
    ),
    read: readCurrent,
  },
  {
    // A list of voltages: the rating stands at each of them.
    pattern: new RegExp(`(${NUMBER}(?:\\s?/\\s?${NUMBER})+)\\s?V(?:olts?)?(?=AC|DC|[^a-z]|$)`, 'iy'),
    read: ([, list = ''], into) => {
      const volts = list.split('/').map((one) => numberOf(one.trim()));
      applyVolts(into, volts);
      return { code: 'voltage', params: { volts: Math.max(...volts), list: volts.join(' V and ') } };
    },
  },
  {
    // A range: rated up to its upper end.
    pattern: new RegExp(`(${NUMBER})(?:\\s?[-–]\\s?(${NUMBER}))?\\s?V(?:olts?)?(?=AC|DC|[^a-z]|$)`, 'iy'),
    read: ([, low, high], into) => {
      const volts = numberOf(high ?? low);
      applyVolts(into, [volts]);
      const params: Piece['params'] = high === undefined ? { volts } : { volts, low: numberOf(low) };
      return { code: 'voltage', params };
    },
  },
  {
    pattern: /~\/?[=⎓]|AC\s?\/\s?DC|≂|~|∼|⎓|=|(?:AC|DC)(?![A-Za-z-])/iy,
    read: ([text], into) => {
      const supply = supplyOf(text);
      applySupply(into, supply);
      return { code: 'supply', params: { supply } };
    },
  },
  {
    pattern: /TV-(\d{1,2})/iy,
    read: ([, amperes = '']) => ({ code: 'tungsten', params: { amperes: Number(amperes) } }),
  },
  {
    pattern: /(\d+(?:[.,]\d+)?)\s?(k)?W(?![A-Za-z0-9])/y,
    read: ([, amount, kilo]) => ({
      code: 'watts',
      params: { watts: Number((numberOf(amount) * (kilo === undefined ? 1 : 1000)).toPrecision(6)) },
    }),
  },
];
