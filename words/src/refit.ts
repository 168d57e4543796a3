import type { SwitchMap } from '@which-way/core/continuity';
import type { Load, SignedRefit, Supply, Termination, Wire } from '@which-way/core/log';
import type {
  BeforePower,
  FunctionResult,
  FunctionTry,
  JumperOutcome,
  RefitWay,
  SupplyKind,
} from '@which-way/core/log';
import {
  checkBench,
  type BypassRefusal,
  type CardLine,
  type FunctionCheck,
  type Mistake,
  type Refit,
  type WantedRecord,
} from '@which-way/core/refit';
import { CASE_WORDS } from './before/cases.js';
import type { Units } from './units.js';
import { stateWords, supplyName } from './machine/loads.js';
import { SEEN_WORDS } from './machine/seen.js';
import { ohms } from './quantity.js';
import { settingName } from './terminals.js';
import { colorWords } from './tag/wires.js';

export const REFIT_WAY_WORDS: Record<RefitWay, { name: string; about: string }> = {
  part: { name: 'the part that was chosen', about: 'Wires go onto it as Match laid them.' },
  same: { name: 'the same switch', about: 'Cleaned or repaired: reconnect every wire as it was.' },
  label: {
    name: 'just label and note',
    about: 'Nothing goes back yet: every wire gets a tag and a note of where it was.',
  },
};

export const TRANSFER_WORDS: Record<SignedRefit['transfer'], string> = {
  done: 'done',
  failed: 'failed',
  'not-done': 'not done',
  'nothing-to-do': 'nothing to do',
};

/** A wire by its tag and colour code. */
export const tagWords = ({ tag, color }: Pick<Wire, 'tag' | 'color'>): string =>
  ['tag', tag, color && `(${color})`].filter(Boolean).join(' ');

/** What a line of the transfer card asks for, in a sentence that can be read out. */
export function cardLineWords(line: CardLine): string {
  const from = (old: string | null) => (old === null ? '' : ` from ${old}`);
  switch (line.kind) {
    case 'jumper':
      return `Jumper from ${line.from} to ${line.to}`;
    case 'wire':
      return `${capital(tagWords(line.wire))}${from(line.old)} to ${line.to}`;
    case 'splice':
      return `Join ${line.wires.map(tagWords).join(' and ')}, from ${line.old}, in an enclosed connector`;
    case 'cap':
      return `Cap ${tagWords(line.wire)}${from(line.old)}: it goes to no terminal`;
    case 'label':
      return `${capital(tagWords(line.wire))}: label it${line.old === null ? '' : `, it was on ${line.old}`}`;
    case 'stop':
      return `Fit the stop: it turns from ${line.from} to ${line.to} only`;
  }
}

/** The same with a large first letter. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What else is to be known of a line. */
export function cardLineMore(line: CardLine): string[] {
  if (line.kind === 'stop') return [`Never at ${line.spare.join(' or ')}.`];
  if (line.kind === 'jumper') return ['As heavy as the heaviest wire on either lug.'];
  if (line.kind !== 'wire') return [];
  const { wire, sharing } = line;
  return [
    [colorWords(wire.color), wire.size].filter(Boolean).join(', '),
    ...(sharing.length > 0
      ? [
          `With ${sharing.map(tagWords).join(' and ')} on one lug: only where it takes both, one over the other.`,
        ]
      : []),
    ...(wire.liveThough ? ['Its colour says earth or neutral, yet it is live: re-mark it.'] : []),
  ];
}

/** How a wire's end is made, by how it ends (common practice; the maker's lengths win). */
const END_WORK: Record<Termination, string | ((strip: (millimetres: number) => string) => string)> = {
  solder: (strip) => `Cut back to bright copper, strip ${strip(5)}, hook it through, solder, tug-test.`,
  screw: (strip) =>
    `Cut back, strip ${strip(8)}, ferrule or clockwise round the screw; never tinned strands under a screw. Tug-test.`,
  'push-on': 'A fresh receptacle if it is loose or dark: crimp, push on straight, tug-test.',
  ring: 'A fresh ring if it is dark: crimp, flat under the screw, tug-test.',
  fork: 'A fresh fork if it is dark: crimp, right in under the screw, tug-test.',
  'crimp-pin': 'A fresh pin if it is dark: crimp, in until it latches, tug-test.',
  'push-in': (strip) => `Cut back, strip ${strip(10)}, straight in to the stop, tug-test.`,
  connector: 'In until it latches, tug-test each wire.',
  moulded: 'Leave the moulding on; look along it for cracks.',
};

/** How this end is made, with lengths to strip as a rule by eye: to the millimetre, or to a sixteenth of an inch. */
export function endWork(termination: Termination, units: Units): string {
  const work = END_WORK[termination];
  const strip = (millimetres: number) =>
    units === 'inch' ? sixteenths(Math.round((millimetres / 25.4) * 16)) : `${millimetres} mm`;
  return typeof work === 'string' ? work : work(strip);
}

/** '5/16 in' of 5; '3/8 in' of 6. */
function sixteenths(count: number): string {
  const [halved, of] = [1, 2, 4, 8].reduce<[number, number]>(
    ([top, bottom]) => (top % 2 === 0 ? [top / 2, bottom / 2] : [top, bottom]),
    [count, 16],
  );
  return `${halved}/${of} in`;
}

/** A place to measure at: a wire's far end or a lug. */
export function nodeWords(refit: Refit, node: number): string {
  const { laid } = checkBench(refit);
  const wire = laid[node]?.wire;
  return wire ? `far end of ${tagWords(wire)}` : `lug ${refit.lugs[node - laid.length] ?? '?'}`;
}

/** The same, as short as a big prompt wants it. */
export function nodeShort(refit: Refit, node: number): string {
  const { laid } = checkBench(refit);
  const wire = laid[node]?.wire;
  return wire ? tagWords(wire) : `lug ${refit.lugs[node - laid.length] ?? '?'}`;
}

/** A mistake in a sentence, with the wires to look at. */
export function mistakeWords(refit: Refit, mistake: Mistake): string {
  const { laid, strays } = checkBench(refit);
  const wire = (at: number) => (laid[at] ? tagWords(laid[at].wire) : 'a wire');
  const lug = (at: number) => refit.lugs[at] ?? '?';
  switch (mistake.kind) {
    case 'wrong-lug':
      return `${capital(wire(mistake.wire))} is on ${lug(mistake.lug)} instead of ${lug(laid[mistake.wire]?.lug ?? -1)}`;
    case 'swapped':
      return `${capital(mistake.wires.map(wire).join(' and '))} are swapped`;
    case 'not-on':
      return `${capital(wire(mistake.wire))} makes no contact with its lug`;
    case 'jumper-forgotten':
    case 'jumper-left': {
      const pair = (mistake.kind === 'jumper-left' ? strays : refit.jumpers)[mistake.jumper];
      const where = pair ? `${lug(pair[0])} and ${lug(pair[1])}` : 'two lugs';
      return mistake.kind === 'jumper-left'
        ? `A jumper is left between ${where}`
        : `The jumper between ${where} is missing`;
    }
    case 'detent-off':
      return `The handle is one position ${mistake.by > 0 ? 'further on' : 'further back'} than its mark says`;
  }
}

export const BEFORE_POWER_WORDS: Record<BeforePower, { name: string; how: string }> = {
  'earth-to-case': {
    name: 'Earth pin to case',
    how: 'Ohms, leads zeroed, at every bare metal part. Cords to 5 m.',
  },
  cord: { name: 'Cord alone, live parts to earth', how: 'Insulation tester, 500 V DC, at OFF.' },
  'live-to-earth': {
    name: 'Live parts together to earth',
    how: 'Insulation tester, 500 V DC, in every position that switches something on; neon, varistor and suppressor lifted. Double insulation: 2 MΩ.',
  },
  'open-contacts': { name: 'Across open contacts', how: 'Insulation tester, 500 V DC.' },
  'line-to-neutral': {
    name: 'Line to neutral at the plug',
    how: 'Resistance should match the loads and never be near zero.',
  },
};

/** What is measured, and how, by the kind of supply. */
export function beforePowerWords(what: BeforePower, supply: SupplyKind): { name: string; how: string } {
  if (what !== 'line-to-neutral' || supply === 'plug-in' || supply === 'fixed')
    return BEFORE_POWER_WORDS[what];
  return { ...BEFORE_POWER_WORDS[what], name: 'From one lead of the supply to the other' };
}

/** A limit in words. */
export const recordLimitWords = ({ limit, atLeast }: Pick<WantedRecord, 'limit' | 'atLeast'>): string =>
  limit === null ? 'no limit' : `${atLeast ? 'at least' : 'at most'} ${ohms(limit)}`;

/** Why wires may not be joined to stand in for a setting. */
export function bypassRefusalWords(
  refusal: BypassRefusal,
  { wires, supplies, loads }: { wires: readonly Wire[]; supplies: readonly Supply[]; loads: readonly Load[] },
): string {
  const names = <Item extends { id: string }>(
    ids: readonly string[],
    of: readonly Item[],
    name: (one: Item) => string,
  ) => ids.map((id) => of.find((one) => one.id === id)).map((one) => (one ? name(one) : '?'));
  switch (refusal.because) {
    case 'not-known':
      return 'Not offered: what joins here isn’t fully known.';
    case 'nothing-joins':
      return 'Nothing to join: no two wires meet in this position.';
    case 'end-not-known':
      return refusal.wires.length > 0
        ? `Not offered: where ${names(refusal.wires, wires, tagWords).join(' and ')} ends is not known.`
        : 'Not offered: we don’t know where the wires end.';
    case 'supplies-meet':
      return `Refused: ${names(refusal.supplies, supplies, supplyName).join(' and ')} would meet.`;
    case 'brake':
      return `Refused: the brake of ${names(refusal.loads, loads, ({ name }) => name).join(' and ')} would be left out.`;
    case 'springs': {
      const fed = names(refusal.loads, loads, ({ name }) => name).join(' and ');
      return `Refused: this contact springs open when it is let go or disturbed. It may guard ${fed === '' ? 'someone' : `against ${fed}`}.`;
    }
    case 'guard':
      return `Refused: it would go past a guard (${CASE_WORDS[refusal.case].name.toLowerCase()}).`;
  }
}

export const JUMPER_OUTCOME_WORDS: Record<JumperOutcome, string> = {
  runs: 'It runs',
  'does-not': 'It does not run',
  stops: 'It runs, then stops',
};

/** What that says of the switch: of this position alone, and no proof. */
export const JUMPER_SAYS: Record<JumperOutcome, string> = {
  runs: 'So the rest works in this position: the fault is at the switch or its lugs.',
  'does-not': 'So it is not the switch alone: look along the supply path.',
  stops: 'So it is not the switch alone: look along the supply path.',
};

export const RESULT_WORDS: Record<FunctionResult, string> = {
  'as-it-should': 'as it should',
  fails: 'fails',
  'not-tried': 'not tried',
};

/** What came of trying a line, and what the load does instead where it fails. */
export const triedWords = ({
  result,
  does,
}: Pick<FunctionTry, 'does'> & { result: FunctionResult }): string =>
  does ? `${RESULT_WORDS[result]}: ${SEEN_WORDS[does]}` : RESULT_WORDS[result];

/** What is to be tried, and what must happen. */
export function functionWords(
  check: FunctionCheck,
  { structure }: Pick<SwitchMap, 'structure'>,
  loads: readonly Load[],
): { where: string; must: string } {
  const load = (id: string) => loads.find((one) => one.id === id)?.name ?? 'a load';
  switch (check.kind) {
    case 'load':
      return {
        where: settingName(structure, check.setting),
        must: `${load(check.load)}: ${stateWords(check.must, loads)}`,
      };
    case 'unsaid':
      return {
        where: settingName(structure, check.setting),
        must: `${load(check.load)}: what must it do? The wires do not say`,
      };
    case 'stops':
      return {
        where: settingName(structure, check.setting),
        must: `back to ${settingName(structure, check.at)}: everything goes off or stops${check.brakes ? ', and the brake brakes' : ''}`,
      };
    case 'release':
      return {
        where: settingName(structure, check.setting),
        must: 'let go, it springs back and what it fed stops',
      };
    case 'under-load':
      return { where: 'under load', must: 'repeat under normal load' };
    case 'warm':
      return {
        where: 'warm',
        must: 'after ten minutes: no smell, no hot spot at the switch, the same again',
      };
    case 'own':
      return {
        where: check.line.setting ? settingName(structure, check.line.setting) : 'at any',
        must: [check.line.load ? `${load(check.line.load)}:` : '', check.line.must].filter(Boolean).join(' '),
      };
  }
}

/** What was not tested of putting it back, each in a few words; lines alike are told together. */
export function notTestedAtRefit(
  checks: readonly FunctionCheck[],
  map: Pick<SwitchMap, 'structure'>,
  loads: readonly Load[],
  wanted: readonly WantedRecord[],
): string[] {
  const open = checks.filter(({ tried }) => !tried || tried.result === 'not-tried');
  const functions =
    open.length === checks.length && checks.length > 0
      ? ['no function was tried']
      : open.map((one) => {
          const { where, must } = functionWords(one, map, loads);
          return `${where}, ${must}`;
        });
  const names = [
    ...new Set(wanted.filter(({ record }) => !record).map(({ what }) => BEFORE_POWER_WORDS[what].name)),
  ];
  return [...functions, ...names].map((text) => text.slice(0, 180));
}
