import { ACTS_OF } from '@which-way/core/log';
import { SubNav } from '../../parts/frame/sub-nav.js';
import { REFIT_PAGE_TEXT } from '@which-way/words/screens/pages/refit/refit-page';

const PAGES = [
  { to: '.', text: REFIT_PAGE_TEXT.wiresBack },
  { to: 'check', text: REFIT_PAGE_TEXT.beforePower },
  { to: 'jumper', text: REFIT_PAGE_TEXT.jumperTest },
  { to: 'function', text: REFIT_PAGE_TEXT.functionTest },
  { to: 'sign', text: 'Sign-off' },
  { to: 'report', text: 'Report' },
];

/** Back into the machine: wire by wire, checked before power, tried, signed, reported. */
export const RefitPage = () => (
  <SubNav label={REFIT_PAGE_TEXT.partsOfPuttingItBack} pages={PAGES} acts={ACTS_OF.refit} />
);
