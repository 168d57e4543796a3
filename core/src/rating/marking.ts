import type { LoadKind, RatedCurrent, RatedPower, Supply } from './amperes.js';
import { decodeCategory } from './category.js';
import { decodeDesignation, type Designation } from './designation.js';
import { americanGauge } from './wire-gauge.js';

/** A stretch of the marking and what it means; `code` names the meaning, the words belong to whoever shows it. */
export interface Piece {
  /** First character and the one after the last. */
  from: number;
  to: number;
  text: string;
  code: PieceCode;
  params: Record<string, string | number>;
}

export type PieceCode =
  | 'current'
  | 'voltage'
  | 'supply'
  | 'operations'
  | 'temperature'
  | 'disconnection'
  | 'protection'
  | 'horsepower'
  | 'designation'
  | 'category'
  | 'contact-form'
  | 'frequency'
  | 'cord'
  | 'tungsten'
  | 'watts'
  | 'separator'
  | 'not-read';

/** A marking taken apart. What it does not state is null or empty: unknown, never a default. */
export interface DecodedMarking {
  pieces: Piece[];
  currents: RatedCurrent[];
  powers: RatedPower[];
  operations: number | null;
  temperature: { least: number | null; most: number; handleMost: number | null } | null;
  /** null: not stated, or not legible; a marking without the symbol is not proof of full disconnection. */
  disconnection: 'full' | 'mini' | 'micro' | 'electronic' | null;
  /** The two digits of the IP code (IEC 60529); X where a digit is left out. */
  protection: string | null;
  designations: Designation[];
  categories: string[];
  form: string | null;
  cord: { cores: number; area: number } | null;
}

interface Reader {
  pattern: RegExp;
  read: (match: RegExpExecArray, into: DecodedMarking) => Pick<Piece, 'code' | 'params'> | null;
}

const number = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));
const N = '\\d+(?:[.,]\\d+)?';

/**
 * `16(4)A` motor in round brackets, `6[3]A` lamp in square ones, `2/8A` peak of a capacitor (IEC 61058-1, from memory);
 * `10AX` for fluorescent lamps (IEC 60669-1, from memory).
 */
function readCurrent(match: RegExpExecArray, into: DecodedMarking): Pick<Piece, 'code' | 'params'> {
  const [, main, motor, lamp, peak, fluorescent] = match;
  const params: Piece['params'] = { amperes: number(main) };
  const add = (text: string | undefined, load: LoadKind) => {
    if (text === undefined) return;
    into.currents.push({ amperes: number(text), load, volts: null, supply: null });
    if (load !== 'resistive') params[load] = number(text);
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
    decimal !== '' ? number(decimal) : Number(whole || 0) + (bottom ? Number(top) / Number(bottom) : 0);
  if (!(horsepower > 0) || !Number.isFinite(horsepower)) return null;
  into.powers.push({ horsepower, volts: null, supply: null });
  return { code: 'horsepower', params: { horsepower: Number(horsepower.toPrecision(4)) } };
}

/** A voltage belongs to the currents and powers before it that have none yet; so does the supply. */
function applyVolts(into: DecodedMarking, volts: number): void {
  for (const rated of [...into.currents, ...into.powers]) rated.volts ??= volts;
}

function applySupply(into: DecodedMarking, supply: Supply): void {
  for (const rated of [...into.currents, ...into.powers]) rated.supply ??= supply;
}

const SUPPLIES: [RegExp, Supply][] = [
  [/^(~\/?[=⎓]|ac\s*\/\s*dc|≂)$/i, 'ac-dc'],
  [/^(~|∼|ac)$/i, 'ac'],
  [/^(⎓|=|dc|⎓)$/i, 'dc'],
];

const supplyOf = (text: string): Supply =>
  SUPPLIES.find(([pattern]) => pattern.test(text.trim()))?.[1] ?? 'ac';

const READERS: Reader[] = [
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
  {
    pattern: /(\d)E([1-6])(?!\d)/iy,
    read: ([, mantissa, exponent], into) => {
      into.operations = Number(mantissa) * 10 ** Number(exponent);
      return { code: 'operations', params: { operations: into.operations } };
    },
  },
  {
    pattern: /(-?\d{1,2})?\s?T\s?(\d{2,3})(?:\/(\d{2,3}))?(?!\d)/y,
    read: ([, least, most, handle], into) => {
      const temperature = {
        least: least === undefined ? null : Number(least),
        most: Number(most),
        handleMost: handle === undefined ? null : Number(handle),
      };
      if (temperature.least !== null && temperature.least >= temperature.most) return null;
      into.temperature = temperature;
      const params: Piece['params'] = { most: temperature.most };
      if (temperature.least !== null) params['least'] = temperature.least;
      if (temperature.handleMost !== null) params['handleMost'] = temperature.handleMost;
      return { code: 'temperature', params };
    },
  },
  {
    pattern: /IP\s?([0-6X])([0-9X])K?/iy,
    read: ([, solids = '', water = ''], into) => {
      into.protection = `${solids}${water}`.toUpperCase();
      return { code: 'protection', params: { solids: solids.toUpperCase(), water: water.toUpperCase() } };
    },
  },
  { pattern: /(?:(\d+)\s)?(?:(\d+)\/(\d+)|(\d+(?:[.,]\d+)?))\s?HP\b/iy, read: readHorsepower },
  {
    pattern: /(\d)\s?([GX×x])\s?(\d+(?:[.,]\d+)?)\s?(?:mm2|mm²|mm\^2|□)?(?![\d.,]*\s?(?:AWG|A\b|V))/y,
    read: ([, cores, , area], into) => {
      into.cord = { cores: Number(cores), area: number(area) };
      return { code: 'cord', params: { cores: Number(cores), area: number(area) } };
    },
  },
  {
    pattern:
      /(?:(\d)\s?[x×]\s?)?(\d{1,2})\s?AWG(?:\s?[x×\/]\s?(\d))?|(?:AWG\s?)(\d{1,2})(?:\s?[x×\/]\s?(\d))?/iy,
    read: ([, before, gaugeFirst, after, gaugeLast, afterLast], into) => {
      const gauge = Number(gaugeFirst ?? gaugeLast);
      if (gauge > 40) return null;
      const cores = Number(before ?? after ?? afterLast ?? 1);
      const area = Number(americanGauge(gauge).area.toPrecision(3));
      into.cord = { cores, area };
      return { code: 'cord', params: { cores, area, gauge } };
    },
  },
  {
    pattern: new RegExp(`(${N})(?:\\s?\\((${N})\\)|\\s?\\[(${N})\\]|/(${N}))?\\s?A(X)?(?![A-Za-z0-9-])`, 'y'),
    read: readCurrent,
  },
  {
    pattern: new RegExp(`(${N})(?:\\s?[-–]\\s?(${N}))?\\s?V(?:olts?)?(?=AC|DC|[^a-z]|$)`, 'iy'),
    read: ([, low, high], into) => {
      const volts = number(high ?? low);
      applyVolts(into, volts);
      return { code: 'voltage', params: { volts } };
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
    // Mini-gap, IEC 60669-1, from memory.
    pattern: /m(?![a-zA-Z0-9²])/y,
    read: (_, into) => {
      into.disconnection = 'mini';
      return { code: 'disconnection', params: { kind: 'mini' } };
    },
  },
  {
    pattern: /[µμ](?![a-zA-Z])/y,
    read: (_, into) => {
      into.disconnection = 'micro';
      return { code: 'disconnection', params: { kind: 'micro' } };
    },
  },
  {
    pattern: /[εϵ](?![a-zA-Z])/y,
    read: (_, into) => {
      into.disconnection = 'electronic';
      return { code: 'disconnection', params: { kind: 'electronic' } };
    },
  },
  {
    pattern: /(\d{2}(?:\/\d{2})?)\s?Hz/iy,
    read: ([, hertz = '']) => ({ code: 'frequency', params: { hertz } }),
  },
  {
    pattern: /(?:(\d)\s?)?Form\s?([A-DXYZ])(?![a-z])/iy,
    read: ([, count, letter = ''], into) => {
      into.form = letter.toUpperCase();
      return { code: 'contact-form', params: { form: into.form, count: Number(count ?? 1) } };
    },
  },
  {
    pattern: /TV-(\d{1,2})/iy,
    read: ([, amperes = '']) => ({ code: 'tungsten', params: { amperes: Number(amperes) } }),
  },
  {
    pattern: /(\d+(?:[.,]\d+)?)\s?(k)?W(?![A-Za-z])/y,
    read: ([, amount, kilo]) => ({
      code: 'watts',
      params: { watts: Number((number(amount) * (kilo === undefined ? 1 : 1000)).toPrecision(6)) },
    }),
  },
  { pattern: /[\s,;·•|/]+/y, read: () => ({ code: 'separator', params: {} }) },
];

/**
 * Takes a marking apart, left to right. Styles: appliance switches (IEC 61058-1), control circuits (IEC 60947-5-1),
 * contactors (60947-4-1), load switches (60947-3), protection (IEC 60529), horsepower, cords; forms and tables from
 * memory. Characters that fit nothing become `not-read` pieces that point at them; nothing is guessed.
 */
export function decodeMarking(text: string): DecodedMarking {
  const decoded: DecodedMarking = {
    pieces: [],
    currents: [],
    powers: [],
    operations: null,
    temperature: null,
    disconnection: null,
    protection: null,
    designations: [],
    categories: [],
    form: null,
    cord: null,
  };
  for (let at = 0; at < text.length;) {
    const piece = readAt(text, at, decoded) ?? {
      from: at,
      to: at + 1,
      text: text.charAt(at),
      code: 'not-read' as const,
      params: {},
    };
    const last = decoded.pieces.at(-1);
    if (piece.code === 'not-read' && last?.code === 'not-read' && last.to === at) {
      last.to = piece.to;
      last.text += piece.text;
    } else decoded.pieces.push(piece);
    at = piece.to;
  }
  return decoded;
}

function readAt(text: string, at: number, into: DecodedMarking): Piece | null {
  for (const { pattern, read } of READERS) {
    pattern.lastIndex = at;
    const match = pattern.exec(text);
    if (!match || match[0].length === 0) continue;
    const piece = read(match, into);
    if (piece) return { from: at, to: at + match[0].length, text: match[0], ...piece };
  }
  return null;
}
