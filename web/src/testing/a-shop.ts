import type { Shop } from '@which-way/contract';
import { standardLists } from '@which-way/core/safety';

/** A shop that has set nothing for itself. */
export const aShop = (): Shop => ({
  version: 0,
  name: '',
  safetyLists: standardLists(),
  codeNotes: { 'plug-in': '', fixed: '', battery: '', 'extra-low': '' },
  meters: [],
});
