import type { Problem } from '../../switch/index.js';
import { checkers, problemsOf } from './checked.js';

/** What is wrong with a simulated switch. */
export function simulatedSwitchProblems(hidden: unknown): Problem[] {
  if (!checkers.checkSimulatedSwitch(hidden)) return problemsOf(checkers.checkSimulatedSwitch);
  const outside = ({ a, b }: { a: number; b: number }) => Math.max(a, b) >= hidden.terminals || a === b;
  const contacts = hidden.contacts.flatMap((contact, index): Problem[] =>
    outside(contact) || contact.closedIn.some((place) => place >= hidden.positions.length)
      ? [{ code: 'contact-outside', path: `contacts.${index}`, params: {} }]
      : [],
  );
  const parts = (hidden.parts ?? []).flatMap((part, index): Problem[] =>
    outside(part) ? [{ code: 'contact-outside', path: `parts.${index}`, params: {} }] : [],
  );
  return [...contacts, ...parts];
}
