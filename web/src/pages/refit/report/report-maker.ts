import { createMapper } from '@which-way/core/continuity';
import { reportPhotosOf, type JobEvent } from '@which-way/core/log';
import { checkOf, type Check } from '@which-way/core/refit';
import type { ReportDocument } from '@which-way/words/report/document';
import { ownersReport, reportOf } from '@which-way/words/report/report';
import { settingsSheet } from '../../../parts/facts/table-files.js';
import { photosAsData } from './photos-as-data.js';
import type { Picture } from '@which-way/drawing/shape';
import { svgText } from '@which-way/drawing/svg-text';
import { TYPEFACE } from '../../../parts/paper/typeface.js';
import { reportHtml } from '@which-way/words/report/page';
import { reportSource } from '@which-way/words/report/source';
import { REPORT_MAKER_TEXT } from '@which-way/words/screens/pages/refit/report/report-maker';

export const REPORT_LENGTHS = ['whole', 'short'] as const;
export type ReportLength = (typeof REPORT_LENGTHS)[number];

/** Which report of which job, and where its photos are read. */
export interface ReportOrder {
  job: { number: number; title: string; place: string; outOfMachine: boolean };
  length: ReportLength;
  /** The address of a photo without its id. */
  photosAt: string;
}

/** What a report is shown with: the drawing of the positions, and photos by id as data addresses. */
export interface ReportPictures {
  positions: Picture | null;
  photos: ReadonlyMap<string, string>;
}

/** A report with what it is shown with. */
export interface MadeReport {
  report: ReportDocument;
  pictures: ReportPictures;
}

/** Makes reports of one job out of its events, which may come in parts; beside the screen, since there may be ten thousand. */
export class ReportMaker {
  readonly #events: JobEvent[] = [];
  readonly #mapper = createMapper();
  readonly #photos = new Map<string, string>();
  #check: { of: string; check: Check } | null = null;

  add(events: readonly JobEvent[]): void {
    this.#events.push(...events);
  }

  async make({ job, length, photosAt }: ReportOrder): Promise<MadeReport> {
    const map = this.#mapper([...this.#events]);
    const source = reportSource(job, map, (bench) => this.#checkOf(bench));
    const photos = length === 'whole' ? reportPhotosOf(map.log).map(({ id }) => id) : [];
    return {
      report: length === 'whole' ? reportOf(source) : ownersReport(source),
      pictures: {
        photos: await photosAsData(photos, photosAt, this.#photos),
        positions:
          map.settings.size > 0 ? settingsSheet(map, 'terminal', REPORT_MAKER_TEXT.thePositions) : null,
      },
    };
  }

  /** The report as a web page in one file. */
  async page(order: ReportOrder): Promise<string> {
    const { report, pictures } = await this.make(order);
    const { positions, photos } = pictures;
    return reportHtml(report, { photos, positions: positions && svgText(positions), typeface: TYPEFACE });
  }

  /** The same wires on the same lugs want the same check. */
  #checkOf(bench: Parameters<typeof checkOf>[0]): Check {
    const of = JSON.stringify(bench);
    if (this.#check?.of !== of) this.#check = { of, check: checkOf(bench) };
    return this.#check.check;
  }
}
