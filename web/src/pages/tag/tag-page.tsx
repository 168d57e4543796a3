import { ACTS_OF } from '@which-way/core/log';
import { SubNav } from '../../parts/frame/sub-nav.js';
import { TAG_PAGE_TEXT } from '@which-way/words/screens/pages/tag/tag-page';

const PAGES = [
  { to: 'path', text: TAG_PAGE_TEXT.isItTheSwitch },
  { to: '.', text: TAG_PAGE_TEXT.terminalsAndHandle },
  { to: 'wires', text: TAG_PAGE_TEXT.wiresAndJumpers },
  { to: 'strip', text: TAG_PAGE_TEXT.stripLog },
  { to: 'fit', text: TAG_PAGE_TEXT.whatMustFit },
];

const ACTS = new Set([...ACTS_OF.path, ...ACTS_OF.tag]);

/** From the supply path to the bare switch: what is written down before the wires come off. */
export const TagPage = () => <SubNav label={TAG_PAGE_TEXT.partsOfTagging} pages={PAGES} acts={ACTS} />;
