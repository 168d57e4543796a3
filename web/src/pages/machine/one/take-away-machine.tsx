import { healthyOf, type InEverySetting, type Machine } from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { machineFile, spiceDeck } from '@which-way/core/formats';
import { machinePicture } from '@which-way/drawing/machine-picture';
import { pictureSheet } from '@which-way/drawing/picture-sheet';
import type { Picture } from '@which-way/drawing/shape';
import { svgText } from '@which-way/drawing/svg-text';
import { hazardWords, settingSentence, stateWords, wattsWords } from '@which-way/words/machine/machine';
import { settingName } from '@which-way/words/terminals';
import type { Content } from 'pdfmake/interfaces';
import { savePdf } from '../../../parts/paper/print-shop.js';
import type { Paper } from '../../../parts/paper/paper.js';
import { toast } from '../../../controls/toast.js';
import { useJobState } from '../../../job/job-context.js';
import { SaveMenu } from '../../../controls/files/save-menu.js';
import { saveText } from '../../../controls/files/save-text.js';
import { machineDrawn } from './machine-drawn.js';
import { TAKE_AWAY_MACHINE_TEXT } from '@which-way/words/screens/pages/machine/one/take-away-machine';

interface TakeAwayMachineProps {
  map: SwitchMap;
  machine: Machine;
  does: InEverySetting;
  /** What is in place, in words. */
  place: string;
}

/** The circuit as a picture, on paper, and as a netlist for a simulator. */
export function TakeAwayMachine({ map, machine, does, place }: TakeAwayMachineProps) {
  const job = useJobState((state) => state.job);
  if (!job) return null;
  const healthy = healthyOf(map);
  const sheet = (across: number): Picture =>
    pictureSheet(
      does.settings.map((result) => ({
        title: settingName(map.structure, result.setting),
        picture: machinePicture(
          machineDrawn(map, machine, result, `this switch, ${place}`),
          settingSentence(map.structure, result, machine.loads),
        ),
      })),
      across,
      TAKE_AWAY_MACHINE_TEXT.inTheMachine(place),
    );
  const failed = () => toast.error(TAKE_AWAY_MACHINE_TEXT.theFileCouldNotBe);
  const paper = async () => {
    await savePdf(
      paperOf(map, machine, does, `Job ${job.number}, ${job.title}: ${place}`, sheet(2)),
      `job-${job.number}-machine.pdf`,
    );
  };
  const deck = () =>
    spiceDeck(
      `Job ${job.number}, ${job.title}`,
      machine,
      (healthy ?? []).map(({ setting, nets }) => ({ nets, name: settingName(map.structure, setting) })),
    );
  const json = () =>
    `${JSON.stringify(
      machineFile(
        `Job ${job.number}, ${job.title}: ${place}`,
        machine,
        map.structure.terminals.map(({ label }) => label),
        does.settings.map((one) => ({ ...one, name: settingName(map.structure, one.setting) })),
      ),
      null,
      1,
    )}\n`;
  return (
    <SaveMenu
      choices={[
        [
          'Circuit in every setting, SVG',
          () => saveText(`job-${job.number}-machine.svg`, svgText(sheet(2)), 'image/svg+xml'),
        ],
        ['On paper, PDF', () => void paper().catch(failed)],
        ['Circuit, JSON', () => saveText(`job-${job.number}-machine.json`, json(), 'application/json')],
        ...(healthy
          ? [['Netlist, SPICE', () => saveText(`job-${job.number}.cir`, deck(), 'text/plain')] as const]
          : []),
      ]}
    />
  );
}

/** One page: loads by settings, what can hurt, the circuit in every setting. */
function paperOf(
  map: SwitchMap,
  machine: Machine,
  { settings, hazards }: InEverySetting,
  title: string,
  sheet: Picture,
): Paper {
  const head = ['', ...machine.loads.map(({ name }) => name), 'all'].map((text) => ({ text, bold: true }));
  const rows = settings.map(({ setting, loads, watts }) => [
    { text: settingName(map.structure, setting), bold: true },
    ...machine.loads.map(({ id }) => {
      const state = loads.get(id);
      return state ? stateWords(state) : '';
    }),
    wattsWords(watts),
  ]);
  return {
    pageSize: 'A4',
    pageMargins: [34, 36, 34, 36],
    info: { title },
    defaultStyle: { fontSize: 9 },
    content: [
      { text: title, fontSize: 14, bold: true },
      {
        table: { headerRows: 1, body: [head, ...rows] as Content[][] },
        layout: 'lightHorizontalLines',
        margin: [0, 8, 0, 8],
      },
      { ul: hazards.map((hazard) => hazardWords(hazard, map.structure, machine.loads, machine.supplies)) },
      {
        text: TAKE_AWAY_MACHINE_TEXT.reckonedFromWhatWasSaid,
        margin: [0, 6, 0, 10],
        italics: true,
      },
      { svg: svgText(sheet), fit: [527, 560] },
    ],
  };
}
