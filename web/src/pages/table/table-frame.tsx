import { ACTS_OF } from '@which-way/core/log';
import { SubNav } from '../../parts/frame/sub-nav.js';
import { TABLE_FRAME_TEXT } from '@which-way/words/screens/pages/table/table-frame';

const PAGES = [
  { to: '.', text: TABLE_FRAME_TEXT.theSwitch },
  { to: 'machine', text: TABLE_FRAME_TEXT.inTheMachine },
];

/** What the switch does by itself, and what that does in the machine. */
export const TableFrame = () => (
  <SubNav label={TABLE_FRAME_TEXT.partsOfTheTruthTable} pages={PAGES} acts={ACTS_OF.table} />
);
