import type { Job } from '@which-way/contract';
import type { SwitchMap } from '@which-way/core/continuity';
import { blocks } from '@which-way/core/partition';
import { settledCount, truthTable } from '@which-way/core/table';
import { colorsOf, type Wire } from '@which-way/core/log';
import { type TerminalId } from '@which-way/core/switch';
import type { Content } from 'pdfmake/interfaces';
import { CUT_OUT, type Paper } from '../../../parts/paper/paper.js';
import { switchPicture } from '@which-way/drawing/switch-picture';
import { svgText } from '@which-way/drawing/svg-text';
import { GROUND_WORDS } from '@which-way/words/table/drawings';
import { settingName, terminalList, terminalName } from '@which-way/words/terminals';
import { savePdf } from '../../../parts/paper/print-shop.js';
import { PDF_TEXT } from '@which-way/words/screens/pages/tag/wires/pdf';

/** Points per millimetre. */
const MM = 72 / 25.4;

/** Cut-out tags, each twice so that it folds around its wire like a flag. */
export function tagLabels(job: Pick<Job, 'number' | 'title'>, map: SwitchMap, wires: readonly Wire[]): Paper {
  const half = (wire: Wire): Content => ({
    stack: [
      {
        columns: [
          { text: wire.tag, fontSize: 17, bold: true, width: '*' },
          { svg: swatch(wire.color), width: 14 },
        ],
      },
      {
        text: [
          wire.terminal ? `on ${terminalName(map.structure, wire.terminal)}` : 'on ?',
          wire.color,
          wire.liveThough ? 'LIVE' : '',
        ]
          .filter(Boolean)
          .join('  '),
        fontSize: 8,
      },
      { text: wire.goesTo === '' ? `job ${job.number}` : `to ${wire.goesTo}`, fontSize: 6, color: '#444' },
    ],
  });
  const flags: Content[] = wires.map((wire) => ({
    table: { widths: [27 * MM, 27 * MM], heights: 13 * MM, body: [[half(wire), half(wire)]] },
    layout: CUT_OUT,
    margin: [0, 0, 0, 8],
  }));
  const columns = [0, 1, 2].map((column) => flags.filter((_, index) => index % 3 === column));
  return {
    pageSize: 'A4',
    pageMargins: [28, 34, 28, 34],
    info: { title: PDF_TEXT.wireTagsOfJob(job.number) },
    content: [
      { text: PDF_TEXT.jobWireTags(job.number, job.title), fontSize: 11, margin: [0, 0, 0, 8] },
      { columns: columns.map((stack) => ({ stack })), columnGap: 10 },
    ],
  };
}

/** A map that fits on the switch's own box: 62 by 100 mm. */
export function stickerMap(
  job: Pick<Job, 'number' | 'title'>,
  map: SwitchMap,
  wires: readonly Wire[],
): Paper {
  const table = truthTable(map);
  const count = settledCount(map);
  const lines = [...map.settings.values()].map(({ settled }): Content => {
    const joined = blocks(settled.nets)
      .filter((net) => net.length > 1)
      .map((net) =>
        net.map((place) => terminalName(map.structure, settled.terminals[place] as TerminalId)).join('–'),
      );
    return {
      text: [
        { text: `${settingName(map.structure, settled.setting)}  `, bold: true },
        joined.join('  ') || 'nothing joined',
      ],
    };
  });
  const standing = table.complete
    ? PDF_TEXT.completeOfPairsSettled(count.settled, count.all)
    : PDF_TEXT.notCompleteOfPairsSettled(count.settled, count.all);
  return {
    pageSize: { width: 62 * MM, height: 100 * MM },
    pageMargins: [9, 8, 9, 8],
    info: { title: PDF_TEXT.mapOfJob(job.number) },
    defaultStyle: { fontSize: 7 },
    content: [
      { text: `Job ${job.number}  ${job.title}`, bold: true, fontSize: 8.5 },
      { text: PDF_TEXT.seenFromTheTerminalSide, color: '#444', margin: [0, 1, 0, 3] },
      { svg: plan(map), fit: [44 * MM, 42 * MM], alignment: 'center' },
      { stack: lines, margin: [0, 4, 0, 3] },
      ...(table.joinsNothing.length > 0
        ? [
            {
              text: `${table.complete ? PDF_TEXT.joinNothing : PDF_TEXT.joinNothingSoFar}: ${terminalList(map.structure, table.joinsNothing)}`,
            },
          ]
        : []),
      ...(wires.length > 0
        ? [
            {
              text: `Wires: ${wires.map(({ tag, color, terminal }) => `${tag}${color && ` ${color}`} on ${terminal ? terminalName(map.structure, terminal) : '?'}`).join(', ')}`,
              margin: [0, 2, 0, 0] as [number, number, number, number],
            },
          ]
        : []),
      { text: standing, bold: !table.complete, margin: [0, 3, 0, 0] },
    ],
  };
}

function swatch(color: string): string {
  const colors = colorsOf(color) ?? [];
  const bars = colors
    .map(
      ({ shown }, index) =>
        `<rect x="${1 + (12 / colors.length) * index}" y="1" width="${12 / colors.length}" height="12" fill="${shown}"/>`,
    )
    .join('');
  return `<svg viewBox="0 0 14 14">${bars}<rect x="1" y="1" width="12" height="12" fill="none" stroke="#555"/></svg>`;
}

/** Terminals where they lie, from the terminal side: the drawing of the screen. */
const plan = ({ structure }: SwitchMap): string =>
  svgText(
    switchPicture({ ...structure, links: [] }, 'terminal', { ...GROUND_WORDS, caption: PDF_TEXT.theSwitch }),
  );

export const saveTags = (job: Job, map: SwitchMap, wires: readonly Wire[]): Promise<void> =>
  savePdf(tagLabels(job, map, wires), `job-${job.number}-wire-tags.pdf`);

export const saveSticker = (job: Job, map: SwitchMap, wires: readonly Wire[]): Promise<void> =>
  savePdf(stickerMap(job, map, wires), `job-${job.number}-map.pdf`);
