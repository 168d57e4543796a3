import { expose } from 'comlink';
import pdfMake from 'pdfmake/build/pdfmake';
import fonts from 'pdfmake/build/vfs_fonts';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { PAPER_TEXT } from '@which-way/words/screens/parts/paper/paper';
import { CUT_OUT, type Paper } from './paper.js';

pdfMake.addVirtualFileSystem(fonts);
const GREY = '#8a938f';
pdfMake.addTableLayouts({
  [CUT_OUT]: {
    hLineColor: () => GREY,
    vLineColor: () => GREY,
    hLineStyle: () => ({ dash: { length: 3 } }),
  },
});

const press = {
  /** The bytes of a PDF. */
  lay: async ({ foot, keepHeadings = false, ...document }: Paper): Promise<Uint8Array> => {
    const whole: TDocumentDefinitions = {
      ...document,
      ...(foot !== undefined && {
        footer: (page, pages) => ({
          text: PAPER_TEXT.foot(foot, page, pages),
          alignment: 'center',
          fontSize: 8,
          margin: [0, 16, 0, 0],
        }),
      }),
      ...(keepHeadings && {
        pageBreakBefore: (node, nodes) =>
          node.headlineLevel === 1 && nodes.getFollowingNodesOnPage().length === 0,
      }),
    };
    return Uint8Array.from(await pdfMake.createPdf(whole).getBuffer());
  },
};

/** What lays documents out on paper beside the screen. */
export type PaperWorker = typeof press;

expose(press);
