import { numberOf, type Reader } from './piece.js';
import { americanGauge } from './wire-gauge.js';

/** Cords: how many cores of which size. */
export const CORD_READERS: Reader[] = [
  {
    pattern: /(\d)\s?([GX×x])\s?(\d+(?:[.,]\d+)?)\s?(?:mm2|mm²|mm\^2|□)?(?![\d.,]*\s?(?:AWG|A\b|V))/y,
    read: ([, cores, , area], into) => {
      into.cord = { cores: Number(cores), area: numberOf(area) };
      return { code: 'cord', params: { cores: Number(cores), area: numberOf(area) } };
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
];
