import { makeOf, type Load, type LoadEnd, type LoadMake } from '../../log/index.js';

/** The contacts that a coil works. */
export interface CoilContacts {
  /** What is joined while the coil is at rest, and while it is pulled in. */
  atRest: readonly (readonly [LoadEnd, LoadEnd])[];
  pulled: readonly (readonly [LoadEnd, LoadEnd])[];
  /** Ends that belong to one contact. */
  groups: readonly (readonly LoadEnd[])[];
}

const CONTACTS: Partial<Record<LoadMake, CoilContacts>> = {
  relay: { atRest: [['11', '12']], pulled: [['11', '14']], groups: [['11', '12', '14']] },
  contactor: {
    atRest: [['21', '22']],
    pulled: [['1', '2'], ['3', '4'], ['5', '6'], ['13', '14']],
    groups: [['1', '2'], ['3', '4'], ['5', '6'], ['13', '14'], ['21', '22']],
  },
}; // prettier-ignore

/** The contacts of a relay or a contactor; undefined: the load has none of its own. */
export function contactsOfCoil(load: Pick<Load, 'kind' | 'make'>): CoilContacts | undefined {
  const make = makeOf(load);
  return make && CONTACTS[make];
}
