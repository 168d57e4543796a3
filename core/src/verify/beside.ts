import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import { lastCheckedMeter, type ExpectedTable } from '../log/index.js';
import { blocks, partitionOf } from '../partition/index.js';
import {
  contactTerminals,
  requiredSettings,
  type JobId,
  type SettingId,
  type Structure,
  type TerminalId,
} from '../switch/index.js';
import { ohmsByCell } from '../table/index.js';
import { differenceUncertainty } from './fitness.js';

/** How two switches lie side by side: which terminal and setting of the other stands for which here. */
export type LaidBeside =
  | {
      kind: 'laid';
      by: 'label' | 'order';
      terminals: ReadonlyMap<TerminalId, TerminalId>;
      settings: ReadonlyMap<SettingId, SettingId>;
    }
  | { kind: 'cannot'; because: 'terminals' | 'positions'; has: number; needs: number };

/** Lays another switch beside this one: terminals by label where every label is found, else by order; settings by order. */
export function layBeside(here: Structure, there: Structure): LaidBeside {
  const [mine, others] = [contactTerminals(here), contactTerminals(there)];
  const [settings, otherSettings] = [requiredSettings(here), requiredSettings(there)];
  if (mine.length !== others.length)
    return { kind: 'cannot', because: 'terminals', has: mine.length, needs: others.length };
  if (settings.length !== otherSettings.length)
    return { kind: 'cannot', because: 'positions', has: settings.length, needs: otherSettings.length };
  const byLabel = new Map(others.map(({ id, label }) => [label.toLowerCase(), id]));
  const labelled = mine.every(({ label }) => byLabel.has(label.toLowerCase()));
  return {
    kind: 'laid',
    by: labelled ? 'label' : 'order',
    terminals: new Map(
      mine.map(({ id, label }, at) => [
        id,
        (labelled ? byLabel.get(label.toLowerCase()) : others[at]?.id) as TerminalId,
      ]),
    ),
    settings: new Map(settings.map(({ id }, at) => [id, otherSettings[at]?.id as SettingId])),
  };
}

/** What is known of a pair in a setting of one of the two. */
export interface SideOfCell {
  /** null: not known. */
  joined: boolean | null;
  /** Leads taken off; null where it was not read in ohms. */
  ohms: number | null;
}

/** One pair in one setting, here and there. */
export interface BesideCell {
  setting: SettingId;
  terminals: [TerminalId, TerminalId];
  here: SideOfCell;
  there: SideOfCell;
  /** `joins`: one is closed and the other open. `ohms`: both closed, by more apart than the meters can be out. */
  differs: 'joins' | 'ohms' | 'not-known' | null;
}

/** Two switches, cell by cell. */
export interface BesideComparison {
  /** Differences first, then what is not known, then what either closes. */
  cells: BesideCell[];
  /** Pairs over all settings that both know, and that neither closes or both do. */
  alike: number;
  differ: number;
  notKnown: number;
}

const ORDER: readonly BesideCell['differs'][] = ['joins', 'ohms', 'not-known', null];

/** Every pair of two switches in every setting: what differs in joins and in ohms, what is not known of either. */
export function compareBeside(
  here: SwitchMap,
  there: SwitchMap,
  laid: LaidBeside & { kind: 'laid' },
): BesideComparison {
  const [mine, other] = [sideOf(here), sideOf(there)];
  const terminals = [...laid.terminals.keys()];
  const all = requiredSettings(here.structure).flatMap(({ id: setting }) =>
    terminals.flatMap((a, at) =>
      terminals.slice(at + 1).map((b): BesideCell => {
        const one = mine(setting, a, b);
        const two = other(
          laid.settings.get(setting) as SettingId,
          laid.terminals.get(a) as TerminalId,
          laid.terminals.get(b) as TerminalId,
        );
        return {
          setting,
          terminals: [a, b],
          here: one,
          there: two,
          differs: differenceOf(one, two, here, there),
        };
      }),
    ),
  );
  const count = (of: BesideCell['differs'][]) => all.filter(({ differs }) => of.includes(differs)).length;
  return {
    cells: all
      .filter(
        ({ differs, here: one, there: two }) =>
          differs !== null || one.joined === true || two.joined === true,
      )
      .toSorted((one, two) => ORDER.indexOf(one.differs) - ORDER.indexOf(two.differs)),
    alike: count([null]),
    differ: count(['joins', 'ohms']),
    notKnown: count(['not-known']),
  };
}

function differenceOf(
  one: SideOfCell,
  two: SideOfCell,
  here: SwitchMap,
  there: SwitchMap,
): BesideCell['differs'] {
  if (one.joined === null || two.joined === null) return 'not-known';
  if (one.joined !== two.joined) return 'joins';
  if (!one.joined || one.ohms === null || two.ohms === null) return null;
  const out =
    differenceUncertainty(one.ohms, lastCheckedMeter(here.log), false) +
    differenceUncertainty(two.ohms, lastCheckedMeter(there.log), false);
  return Math.abs(one.ohms - two.ohms) > out ? 'ohms' : null;
}

/** What a map says of a pair in a setting. */
function sideOf(map: SwitchMap) {
  const readings = ohmsByCell(map);
  const place = new Map(map.structure.terminals.map(({ id }, index) => [id, index]));
  return (setting: SettingId, a: TerminalId, b: TerminalId): SideOfCell => {
    const settled = map.settings.get(setting)?.settled;
    const ends = [place.get(a) ?? -1, place.get(b) ?? -1].sort((one, two) => one - two);
    if (!settled) return { joined: null, ohms: null };
    const fact = factAt(settled, ends[0] as number, ends[1] as number);
    const joined = isSettled(fact) ? (fact.joined ?? null) : null;
    const reading = readings.get(`${setting} ${ends.join(' ')}`);
    return { joined, ohms: joined ? (reading?.quantity.ohms ?? null) : null };
  };
}

/** The table of another job's switch as what this one should follow; of what is not known there, nothing is said. */
export function expectedFromJob(
  there: SwitchMap,
  laid: LaidBeside & { kind: 'laid' },
  job: JobId,
  title: string,
): ExpectedTable {
  const other = sideOf(there);
  const terminals = [...laid.terminals.keys()];
  return {
    source: { kind: 'job', job, title },
    settings: [...laid.settings].map(([setting, counterpart]) => {
      const joined: [number, number][] = [];
      const unsaid: [TerminalId, TerminalId][] = [];
      terminals.forEach((a, one) =>
        terminals.slice(one + 1).forEach((b, at) => {
          const side = other(
            counterpart,
            laid.terminals.get(a) as TerminalId,
            laid.terminals.get(b) as TerminalId,
          );
          if (side.joined === true) joined.push([one, one + 1 + at]);
          else if (side.joined === null) unsaid.push([a, b]);
        }),
      );
      return {
        setting,
        joined: blocks(partitionOf(terminals.length, joined))
          .filter((net) => net.length > 1)
          .map((net) => net.map((index) => terminals[index] as TerminalId)),
        unsaid,
      };
    }),
  };
}
