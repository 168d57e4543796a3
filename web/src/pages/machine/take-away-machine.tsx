import { healthyOf } from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { machineFile, spiceDeck } from '@which-way/core/formats';
import { machinePicture } from '@which-way/drawing/machine-picture';
import { pictureSheet } from '@which-way/drawing/picture-sheet';
import type { Picture } from '@which-way/drawing/shape';
import { svgText } from '@which-way/drawing/svg-text';
import { hazardWords } from '@which-way/words/machine/hazards';
import { stateWords, wattsWords } from '@which-way/words/machine/loads';
import type { MachineNames } from '@which-way/words/machine/places';
import { machineSentence } from '@which-way/words/machine/sentence';
import { settingName } from '@which-way/words/terminals';
import type { Content } from 'pdfmake/interfaces';
import { savePdf } from '../../parts/paper/print-shop.js';
import type { Paper } from '../../parts/paper/paper.js';
import { toast } from '../../controls/toast.js';
import { useJobState } from '../../job/job-context.js';
import { SaveMenu } from '../../controls/files/save-menu.js';
import { saveText } from '../../controls/files/save-text.js';
import { machineDrawn } from './machine-drawn.js';
import type { MachineView, WorkedOut } from './use-view.js';
import { TAKE_AWAY_MACHINE_TEXT } from '@which-way/words/screens/pages/machine/take-away-machine';

interface TakeAwayMachineProps {
  map: SwitchMap;
  view: MachineView;
  names: MachineNames;
  /** What is in place, in words. */
  place: string;
}

/** The circuit as a picture, on paper, and as a netlist for a simulator. */
export function TakeAwayMachine({ map, view, names, place }: TakeAwayMachineProps) {
  const job = useJobState((state) => state.job);
  const { all, machine } = view;
  if (!job || !all) return null;
  const { circuit } = machine;
  const healthy = healthyOf(map);
  const sheet = (across: number): Picture =>
    pictureSheet(
      all.results.map((result, at) => ({
        title: settingName(map.structure, result.setting),
        picture: machinePicture(
          machineDrawn(map, circuit, result, `this switch, ${place}`),
          machineSentence(result, all.combinations[at] ?? [], names),
        ),
      })),
      across,
      TAKE_AWAY_MACHINE_TEXT.inTheMachine(place),
    );
  const failed = () => toast.error(TAKE_AWAY_MACHINE_TEXT.theFileCouldNotBe);
  const paper = async () => {
    await savePdf(
      paperOf({ map, names, all }, `Job ${job.number}, ${job.title}: ${place}`, sheet(2)),
      `job-${job.number}-machine.pdf`,
    );
  };
  const deck = () =>
    spiceDeck(
      `Job ${job.number}, ${job.title}`,
      circuit,
      (healthy ?? []).map(({ setting, nets }) => ({ nets, name: settingName(map.structure, setting) })),
    );
  const json = () =>
    `${JSON.stringify(
      machineFile(
        `Job ${job.number}, ${job.title}: ${place}`,
        circuit,
        map.structure.terminals.map(({ label }) => label),
        all.results.map((one) => ({ ...one, name: settingName(map.structure, one.setting) })),
      ),
      null,
      1,
    )}\n`;
  return (
    <SaveMenu
      choices={[
        [
          TAKE_AWAY_MACHINE_TEXT.everySetting,
          () => saveText(`job-${job.number}-machine.svg`, svgText(sheet(2)), 'image/svg+xml'),
        ],
        [TAKE_AWAY_MACHINE_TEXT.paper, () => void paper().catch(failed)],
        [
          TAKE_AWAY_MACHINE_TEXT.circuit,
          () => saveText(`job-${job.number}-machine.json`, json(), 'application/json'),
        ],
        ...(healthy
          ? [
              [
                TAKE_AWAY_MACHINE_TEXT.netlist,
                () => saveText(`job-${job.number}.cir`, deck(), 'text/plain'),
              ] as const,
            ]
          : []),
      ]}
    />
  );
}

/** One page: loads by settings, what can hurt, the circuit in every setting. */
function paperOf(
  { map, names, all }: { map: SwitchMap; names: MachineNames; all: WorkedOut },
  title: string,
  sheet: Picture,
): Paper {
  const { loads: fed } = names.machine.circuit;
  const head = ['', ...fed.map(({ name }) => name), 'all'].map((text) => ({ text, bold: true }));
  const rows = all.results.map(({ setting, loads, watts }) => [
    { text: settingName(map.structure, setting), bold: true },
    ...fed.map(({ id }) => {
      const state = loads.get(id);
      return state ? stateWords(state, fed) : '';
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
      { ul: all.hazards.map((hazard) => hazardWords(hazard, names)) },
      {
        text: TAKE_AWAY_MACHINE_TEXT.reckonedFromWhatWasSaid,
        margin: [0, 6, 0, 10],
        color: '#4d5d57',
      },
      { svg: svgText(sheet), fit: [527, 560] },
    ],
  };
}
