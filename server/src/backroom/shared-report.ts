import { deriveMap } from '@which-way/core/continuity';
import { readLog, reportPhotosOf } from '@which-way/core/log';
import { isTicked, transferCard } from '@which-way/core/refit';
import { settingsSheet } from '@which-way/drawing/settings-sheet';
import { svgText } from '@which-way/drawing/svg-text';
import { calledIn } from '@which-way/words/called';
import { cardLineWords } from '@which-way/words/refit';
import { cardDone, cardHeading, type LinkTrouble } from '@which-way/words/report/link';
import { reportHtml } from '@which-way/words/report/page';
import { reportOf } from '@which-way/words/report/report';
import { reportSource } from '@which-way/words/report/source';
import { GROUND_WORDS } from '@which-way/words/table/drawings';
import type { ReadingRoom } from './reading-room.js';
import { typeface } from './typeface.js';

/** Keeps a page that is open up to date with what is done at the bench. */
const FOLLOW = '/follow.js';
/** Pages that are kept, for those who have them open. */
const KEPT = 8;

/** The page of a link, or why there is none. */
export type SharedPage = { html: string } | { trouble: LinkTrouble };

/** Makes the pages that links show: the report as it is now, and how far the wires are. The log itself never leaves the server. */
export class SharedReports {
  readonly #kept = new Map<string, { of: string; html: string }>();

  /** @param photosAt the address of a photo without its id. */
  page(room: ReadingRoom, id: string, photosAt: string): SharedPage {
    const opened = room.open(id, 0);
    if (!opened) return { trouble: 'ended' };
    const { job, events, unreadable, cursor } = opened;
    if (job.about !== 'switch') return { trouble: 'system' };
    if (unreadable.length > 0) return { trouble: 'unreadable' };
    const of = `${cursor} ${job.version} ${photosAt}`;
    const kept = this.#kept.get(id);
    if (kept?.of === of) return { html: kept.html };
    const map = deriveMap(events);
    const caption = { ...GROUND_WORDS, caption: '', setting: calledIn(map.structure).setting };
    const photos = reportPhotosOf(map.log).map((photo): [string, string] => [photo.id, photosAt + photo.id]);
    const card = transferCard(map);
    const html = reportHtml(
      reportOf(reportSource(job, map)),
      {
        positions: map.settings.size > 0 ? svgText(settingsSheet(map, 'terminal', caption)) : null,
        photos: new Map(photos),
        typeface: typeface(),
      },
      {
        above:
          card.lines.length === 0
            ? null
            : {
                heading: cardHeading(card.lines.length - card.left, card.lines.length),
                lines: card.lines.map((line) => cardDone(cardLineWords(line), isTicked(card, line))),
              },
        script: FOLLOW,
      },
    );
    this.#keep(id, { of, html });
    return { html };
  }

  /** Whether a photo is one that the report of this job shows. */
  shows(room: ReadingRoom, id: string, photo: string): boolean {
    const opened = room.open(id, 0);
    return opened !== null && reportPhotosOf(readLog(opened.events)).some((one) => one.id === photo);
  }

  #keep(id: string, page: { of: string; html: string }): void {
    this.#kept.delete(id);
    this.#kept.set(id, page);
    const [oldest] = this.#kept.keys();
    if (this.#kept.size > KEPT && oldest !== undefined) this.#kept.delete(oldest);
  }
}
