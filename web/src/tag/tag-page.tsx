import { ACTS_OF } from '@which-way/core/log';
import { SubNav } from '../shared/frame/sub-nav.js';

const PAGES = [
  { to: 'path', text: 'Is it the switch?' },
  { to: '.', text: 'Terminals and handle' },
  { to: 'wires', text: 'Wires and jumpers' },
  { to: 'strip', text: 'Strip log' },
  { to: 'fit', text: 'What must fit' },
];

const ACTS = new Set([...ACTS_OF.path, ...ACTS_OF.tag]);

/** From the supply path to the bare switch: what is written down before the wires come off. */
export const TagPage = () => <SubNav label="Parts of tagging" pages={PAGES} acts={ACTS} />;
