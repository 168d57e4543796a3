import type { Part } from '../log/index.js';
import type { Partition } from '../partition/index.js';
import type { TerminalId } from '../switch/index.js';
import { resistanceBetween, type Resistance } from './resistance.js';

/** What conducts between terminals: nets of contacts, by place, and parts. */
export interface Conducting {
  terminals: readonly TerminalId[];
  nets: Partition;
  parts: readonly Part[];
}

/**
 * What a meter would show between two terminals, by place, if only these nets and these parts conducted: ohms, lead zero off;
 * Infinity when nothing does. Contacts count as no resistance. Parts without a value, or taken off, are left out.
 */
export function effectiveOhms({ terminals, nets, parts }: Conducting, a: number, b: number): number {
  const network: Resistance[] = nets.flatMap((net, place) =>
    net === place ? [] : [{ a: net, b: place, ohms: 0 }],
  );
  for (const part of parts) {
    const [one, other] = part.terminals.map((id) => terminals.indexOf(id));
    const usable = part.on && !part.removed && (part.ohms !== null || part.form === 'jumper');
    if (!usable || one === undefined || other === undefined || one < 0 || other < 0) continue;
    network.push({ a: one, b: other, ohms: part.ohms ?? 0 });
  }
  return resistanceBetween(terminals.length, network, a, b);
}
