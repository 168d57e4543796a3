import { saveFile } from '../../controls/files/save-text.js';
import { Beside } from '../beside/beside.js';
import type { Paper } from './paper.js';
import type { PaperWorker } from './paper.worker.js';

const opened = () =>
  new Beside<PaperWorker>({
    open: () => new Worker(new URL('./paper.worker.ts', import.meta.url), { type: 'module' }),
  });

/** Lays documents out on paper beside the screen: the one place that knows how a PDF is made. */
export class PrintShop {
  readonly #beside = opened();

  /** A document as a PDF. @throws where the thread cannot be loaded, or was ended */
  async lay(paper: Paper): Promise<Blob> {
    const bytes = await this.#beside.ask((press) => press.lay(paper));
    return new Blob([new Uint8Array(bytes)], { type: 'application/pdf' });
  }

  /** Ends it at once, whatever it is at. */
  stop(): void {
    this.#beside.end();
  }
}

/** Makes a PDF of it and gives it to the browser to keep. */
export async function savePdf(paper: Paper, name: string): Promise<void> {
  const shop = new PrintShop();
  try {
    saveFile(name, await shop.lay(paper));
  } finally {
    shop.stop();
  }
}
