import type { CsvMapping, CsvRow } from '@which-way/core/formats';
import { useEffect, useRef, useState } from 'react';
import { lookAt, type Catalogue, type CatalogueRow } from './catalogue.js';

/** A row with what came of it. */
export interface LookedRow {
  row: CatalogueRow;
  found: CsvRow;
}

/** So long at most a stretch of rows keeps the page, in milliseconds. */
const TURN_MS = 20;

/** How far it is: the last rows that were looked at whole, and whether they are those of now. */
export interface Looking {
  looked: LookedRow[];
  done: number;
  current: boolean;
}

/**
 * Looks through the rows of a catalogue, a stretch at a time, so that the page stays free. A row that was looked at with these
 * columns is not looked at again.
 */
export function useLooked({ head, rows }: Catalogue, mapping: CsvMapping): Looking {
  const known = useRef({ mapping, found: new WeakMap<CatalogueRow, CsvRow>() });
  const [done, setDone] = useState(0);
  const [last, setLast] = useState<{ rows: unknown; mapping: CsvMapping; looked: LookedRow[] } | null>(null);
  useEffect(() => {
    if (known.current.mapping !== mapping) known.current = { mapping, found: new WeakMap() };
    const { found } = known.current;
    let at = 0;
    let timer = 0;
    const turn = () => {
      const until = performance.now() + TURN_MS;
      for (; at < rows.length && performance.now() < until; at += 1) {
        const row = rows[at] as CatalogueRow;
        if (!found.has(row)) found.set(row, lookAt(row, head, mapping));
      }
      setDone(at);
      if (at < rows.length) timer = window.setTimeout(turn);
      else setLast({ rows, mapping, looked: rows.map((row) => ({ row, found: found.get(row) as CsvRow })) });
    };
    timer = window.setTimeout(turn);
    return () => window.clearTimeout(timer);
  }, [head, rows, mapping]);
  return { looked: last?.looked ?? [], done, current: last?.rows === rows && last.mapping === mapping };
}
