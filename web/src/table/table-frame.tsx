import { ACTS_OF } from '@which-way/core/log';
import { SubNav } from '../shared/frame/sub-nav.js';

const PAGES = [
  { to: '.', text: 'The switch' },
  { to: 'machine', text: 'In the machine' },
];

/** What the switch does by itself, and what that does in the machine. */
export const TableFrame = () => (
  <SubNav label="Parts of the truth table" pages={PAGES} acts={ACTS_OF.table} />
);
