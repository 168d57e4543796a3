import type { Settled } from '../continuity/index.js';
import { resistanceBetween, type Resistance } from '../network/index.js';
import type { Part } from '../log/index.js';

/**
 * What a meter would show between two terminals of a setting, by place, if only the nets that are known and the declared
 * parts conducted: ohms, lead zero off; Infinity when nothing does. Contacts count as no resistance. Parts without a value,
 * or taken off, are left out.
 */
export function effectiveOhms(settled: Settled, parts: readonly Part[], a: number, b: number): number {
  const { terminals, nets } = settled;
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
