import type { Job } from '@which-way/contract';
import type { SwitchMap } from '@which-way/core/continuity';
import { healthyOf } from '@which-way/core/machine';
import { switchDeck, tableFile } from '@which-way/core/formats';
import { plainLine, plainText, plainTexts } from '@which-way/core/schema';
import type { Side } from '@which-way/core/switch';
import { truthTable } from '@which-way/core/table';
import { schematicPicture } from '@which-way/drawing/schematic';
import { settingsSheet as drawnSheet } from '@which-way/drawing/settings-sheet';
import { schematicOf } from '@which-way/drawing/schematic-of';
import type { Picture } from '@which-way/drawing/shape';
import { svgText } from '@which-way/drawing/svg-text';
import { calledIn } from '@which-way/words/called';
import { customerWords } from '@which-way/words/before/customer';
import { GROUND_WORDS } from '@which-way/words/table/drawings';
import { readingRows, wireRows } from '@which-way/words/map/log-rows';
import { tableRows } from '@which-way/words/table/table-rows';
import { settingName } from '@which-way/words/terminals';
import type { Content } from 'pdfmake/interfaces';
import type { Paper } from '../paper/paper.js';
import { csvText } from '../../controls/files/csv-text.js';
import { TABLE_FILES_TEXT } from '@which-way/words/screens/parts/facts/table-files';

/** Pictures of all settings on one sheet. */
export const settingsSheet = (map: SwitchMap, side: Side, caption: string): Picture =>
  drawnSheet(map, side, { ...GROUND_WORDS, caption, setting: calledIn(map.structure).setting });

/** The contacts as they stand in the first setting. */
export const schematicOfFirst = (map: SwitchMap): Picture => {
  const [first] = map.settings.keys();
  return schematicPicture(
    schematicOf(map, first ?? null, calledIn(map.structure)),
    TABLE_FILES_TEXT.theContacts,
  );
};

/** The table, the readings and the wires as CSV. */
export const tableCsv = (map: SwitchMap): string => csvText(tableRows(map));
export const readingsCsv = (map: SwitchMap): string => csvText(readingRows(map));
export const wiresCsv = (map: SwitchMap): string => csvText(wireRows(map));

/** The switch alone for a circuit simulator, as it should be, else as a complete map has it; null where neither is known. */
export function switchNetlist(map: SwitchMap, title: string): string | null {
  const settings = healthyOf(map)?.map(({ setting, nets }) => ({
    nets,
    name: settingName(map.structure, setting),
  }));
  const labels = map.structure.terminals.map(({ label }) => label);
  return settings ? switchDeck(title, labels, settings) : null;
}

/** The table as the project's JSON. */
export const tableJson = (map: SwitchMap, title: string): string =>
  `${JSON.stringify(tableFile(map, title, calledIn(map.structure)), null, 1)}\n`;

/** One page: what it is, the table, the pictures, the contacts, in how far it was tested. */
export function tableDocument(job: Pick<Job, 'number' | 'title'>, map: SwitchMap, side: Side): Paper {
  const [head = [], ...rows] = tableRows(map).map((row) => row.filter((_, at) => at < 3 || at % 2 === 1));
  const body = plainTexts([head.map((text) => ({ text, bold: true })), ...rows]) as Content[][];
  const table = truthTable(map);
  return {
    pageSize: 'A4',
    pageMargins: [34, 36, 34, 36],
    info: { title: TABLE_FILES_TEXT.truthTableOfJob(job.number) },
    defaultStyle: { fontSize: 9 },
    content: [
      { text: plainLine(`Job ${job.number}, ${job.title}`), fontSize: 14, bold: true },
      ...(table.complete
        ? []
        : [{ text: 'NOT COMPLETE', bold: true, margin: [0, 4, 0, 0] as [number, number, number, number] }]),
      { text: plainText(customerWords(map)), margin: [0, 6, 0, 10] },
      { table: { headerRows: 1, body }, layout: 'lightHorizontalLines', margin: [0, 0, 0, 12] },
      {
        svg: svgText(settingsSheet(map, side, TABLE_FILES_TEXT.allPositions)),
        fit: [527, 360],
        margin: [0, 0, 0, 12],
      },
      ...(table.poles.length > 0
        ? [{ svg: svgText(schematicOfFirst(map)), fit: [400, 280] as [number, number] }]
        : []),
    ],
  };
}
