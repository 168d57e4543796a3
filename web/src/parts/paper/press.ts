import { PAPER_TEXT } from '@which-way/words/screens/parts/paper/paper';
import pdfMake from 'pdfmake/build/pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { CUT_OUT, type Paper } from './paper.js';
import { EVEN_TYPEFACE, TYPEFACE } from './typeface.js';
import { FAMILIES, isInLetters, withSigns } from './with-signs.js';

/** A typeface as two files in base64. */
export interface Weights {
  normal: string;
  bold: string;
}

const GREY = '#8a938f';
pdfMake.addTableLayouts({
  [CUT_OUT]: {
    hLineColor: () => GREY,
    vLineColor: () => GREY,
    hLineStyle: () => ({ dash: { length: 3 } }),
  },
});

const ofAddress = (address: string): string => address.slice(address.indexOf(',') + 1);

/** All that is to be written, without photos, which hold many more letters. */
const wordsOf = (paper: unknown): string =>
  JSON.stringify(paper, (key, value: unknown) => (key === 'image' ? undefined : value));

function load(family: string, { normal, bold }: Weights): void {
  const [plain, strong] = [`${family} 400`, `${family} 700`];
  pdfMake.addVirtualFileSystem({ [plain]: normal, [strong]: bold });
  pdfMake.addFonts({ [family]: { normal: plain, bold: strong } });
}

/** Lays documents out on paper, in the product's typeface, with signs that it lacks from a second one. */
export class Press {
  #ready = false;
  #signs: Promise<void> | null = null;

  /** @param signs reads the second typeface; it is asked once, when a document needs it */
  constructor(private readonly signs: () => Promise<Weights>) {}

  /** The bytes of a PDF. @throws where the typeface for signs is needed and can't be read */
  async lay(paper: Paper): Promise<Uint8Array> {
    if (!this.#ready)
      for (const [family, { normal, bold }] of [
        [FAMILIES.text, TYPEFACE],
        [FAMILIES.even, EVEN_TYPEFACE],
      ] as const)
        load(family, { normal: ofAddress(normal), bold: ofAddress(bold) });
    this.#ready = true;
    const { foot, keepHeadings = false, content, defaultStyle, ...document } = paper;
    if (!isInLetters(wordsOf([content, foot]))) await this.#loadSigns();
    const whole: TDocumentDefinitions = {
      ...document,
      defaultStyle: { ...defaultStyle, font: FAMILIES.text },
      content: withSigns(content),
      ...(foot !== undefined && {
        footer: (page, pages) => ({
          ...(withSigns({ text: PAPER_TEXT.foot(foot, page, pages) }) as { text: Content }),
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
  }

  async #loadSigns(): Promise<void> {
    this.#signs ??= this.signs().then((signs) => load(FAMILIES.signs, signs));
    try {
      await this.#signs;
    } catch (error) {
      // It may be there the next time.
      this.#signs = null;
      throw error;
    }
  }
}
