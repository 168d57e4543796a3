import { ACTS_OF } from '@which-way/core/log';
import { SubNav } from '../shared/frame/sub-nav.js';

const PAGES = [
  { to: '.', text: 'Wires back' },
  { to: 'check', text: 'Before power' },
  { to: 'jumper', text: 'Jumper test' },
  { to: 'function', text: 'Function test' },
  { to: 'sign', text: 'Sign-off' },
  { to: 'report', text: 'Report' },
];

/** Back into the machine: wire by wire, checked before power, tried, signed, reported. */
export const RefitPage = () => <SubNav label="Parts of putting it back" pages={PAGES} acts={ACTS_OF.refit} />;
