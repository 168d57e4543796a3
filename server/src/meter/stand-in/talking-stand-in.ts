import { Duplex, PassThrough } from 'node:stream';
import type { BenchLeads } from './bench-leads.js';

/** Milliseconds between two lines. */
const LINE_MS = 100;

/** A simulated handheld that only talks, at the far end of an in-process wire: `0.32 Ohm`, `1.20 kOhm`, `OL`. */
export function talkingStandIn(leads: BenchLeads): Duplex {
  const [talks, heard] = [new PassThrough(), new PassThrough()];
  heard.resume();
  const wire = Duplex.from({ readable: talks, writable: heard });
  const clock = setInterval(() => {
    if (leads.isOn) talks.write(`${shown(leads.read())}\r\n`);
  }, LINE_MS);
  wire.on('close', () => clearInterval(clock));
  return wire;
}

/** As its display shows it. */
function shown(ohms: number | null): string {
  if (ohms === null || ohms > 4e7) return 'OL';
  if (ohms >= 1e6) return `${(ohms / 1e6).toFixed(3)} MOhm`;
  return ohms >= 1000 ? `${(ohms / 1000).toFixed(2)} kOhm` : `${ohms.toFixed(2)} Ohm`;
}
