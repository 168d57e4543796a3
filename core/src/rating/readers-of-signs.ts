import { numberOf, type Piece, type Reader } from './piece.js';

/** How long it lasts, where it may stand, how it disconnects. */
export const SIGN_READERS: Reader[] = [
  {
    // Both ends in degrees, or the upper one alone.
    pattern:
      /(?:([-−+]?\d{1,3})\s?(?:°\s?C)?\s?(?:…|\.{2,3}|to|\/|–)\s?)?([-−+]?\d{1,3})\s?°\s?C(?![A-Za-z])/iy,
    read: ([, low, high = ''], into) => {
      const degrees = (text: string) => Number(text.replace('−', '-'));
      const [least, most] = [low === undefined ? null : degrees(low), degrees(high)];
      if (least !== null && least >= most) return null;
      into.temperature = { least, most, handleMost: null };
      const params: Piece['params'] = least === null ? { most } : { least, most };
      return { code: 'temperature', params };
    },
  },
  {
    pattern: /(full|micro|mini|electronic)[- ]?disconnection/iy,
    read: ([, how = ''], into) => {
      const kind = (['full', 'micro', 'mini', 'electronic'] as const).find(
        (one) => one === how.toLowerCase(),
      );
      if (!kind) return null;
      into.disconnection = kind;
      return { code: 'disconnection', params: { kind } };
    },
  },
  {
    // 3 mm is the gap of full disconnection in appliance switches (IEC 61058-1, from memory).
    pattern: /(?:contact\s)?gap\s?([<>≥≤])?\s?(\d+(?:[.,]\d+)?)\s?mm(?![²2])/iy,
    read: ([, than = '', gap], into) => {
      const millimetres = numberOf(gap);
      if (than !== '<' && than !== '≤') into.disconnection = millimetres >= 3 ? 'full' : 'mini';
      return { code: 'contact-gap', params: { than, millimetres } };
    },
  },
  {
    pattern: /IK\s?(0\d|10)(?!\d)/iy,
    read: ([, degree = '']) => ({ code: 'impact', params: { degree } }),
  },
  {
    pattern: /(?:NEMA|Type)\s?(1[23]?K?|2|3[RS]?X?|4X?|5|6P?)(?![A-Za-z0-9-])/iy,
    read: ([, type = '']) => ({ code: 'enclosure-type', params: { type: type.toUpperCase() } }),
  },
  {
    pattern: /Class\s?(I{1,3}|[0-3])(?![A-Za-z0-9])|[⧈⏚]/iy,
    read: ([text, kind]) => ({
      code: 'protection-class',
      params: { kind: kind?.toUpperCase() ?? (text === '⧈' ? 'II' : 'I') },
    }),
  },
  {
    pattern: /(\d{1,3})E([1-6])(?![\dA-Za-z])/iy,
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
];
