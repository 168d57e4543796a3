import { cellOf } from '../../partition/index.js';
import type { Experience } from './experience.js';
import type { Field, FieldSetting } from '../field/field.js';
import type { Likeness } from './likeness.js';

/** What is known of a switch, and what that says of what is not. */
export interface Known {
  field: Field;
  experience: Experience;
  likeness: Likeness;
}

/** What speaks for or against two terminals joining in a setting, each between about -2 and 2: see `FEATURES`. */
export const featuresOf = (known: Known, setting: number, a: number, b: number): number[] => [
  ...aboutThePair(known, setting, a, b),
  ...aboutTheNets(known, setting, a, b),
  ...aboutTheSwitch(known, setting, a, b),
];

/** What became of this pair, and of its two terminals, in the other settings. */
function aboutThePair(
  { field: { size, places, settings }, experience }: Known,
  setting: number,
  a: number,
  b: number,
): number[] {
  const { joined, apart, degree, busy, pole, joins, usual, open, openAt, repeats, nets, members } =
    experience;
  const cell = cellOf(size, a, b);
  const [closed, parted] = [joined.get(cell), apart.get(cell)];
  const seen = closed + parted;
  const isSetting = (at: number) => at >= 0 && at < settings.length;
  const joinedAt = (at: number) => isSetting(at) && nets.cell(at, a) === nets.cell(at, b);
  const apartAt = (at: number) => settings[at]?.nets.apart.has(nets.cell(at, a), nets.cell(at, b)) === true;
  const [hub, other] = degree.get(a) >= degree.get(b) ? [a, b] : [b, a];
  const [most, least] = [degree.get(hub), degree.get(other)];
  const isAlone = (place: number) => members.cell(setting, place) === 1;
  const samePole = pole[a] === pole[b];
  const idle = isAlone(hub) && busy.get(hub) > 0;
  const left = Math.max(1, open.get(setting));
  const missing = usual - joins.get(setting);
  const choices = Math.max(1, openAt.cell(setting, nets.cell(setting, hub)));
  return [
    logit(usual > 0 ? missing / left : 0.7 / places.length),
    flag(usual <= 0),
    closed > 0 ? repeats : 0,
    closed > 0 ? 1 - repeats : 0,
    seen > 0 ? closed / seen : 0,
    flag(closed > 0 && parted === 0),
    closed === 0 ? Math.min(parted, 6) / 6 : 0,
    joinedAt(setting - 1) || joinedAt(setting + 1) ? repeats : 0,
    flag(apartAt(setting - 1) || apartAt(setting + 1)),
    flag(joinedAt(setting - 2) || joinedAt(setting + 2)),
    flag(most === 0),
    flag(most === 1 && least === 0),
    flag(most === 1 && least === 1 && closed === 0),
    flag(least === 0),
    flag(samePole && closed === 0 && seen > 0),
    flag(!samePole && least > 0),
    idle && most > 1 ? 1 + logit(1 / (choices + 0.5)) / 4 : 0,
    flag(idle && most > 1 && (least === 0 || closed > 0)),
    flag(most > 1 && least === 0),
    flag(seen === 0),
    flag(isAlone(other) && !idle && most > 1),
    flag(busy.get(a) > 0 && busy.get(b) > 0),
    repeats,
  ];
}

/** How the nets of the two stand in this setting, and how nets grow in this switch. */
function aboutTheNets(
  { experience: { nets, members }, likeness: { growth, grown, grownIn, partners } }: Known,
  setting: number,
  a: number,
  b: number,
): number[] {
  const [one, other] = [members.cell(setting, a), members.cell(setting, b)];
  const single = flag(one === 1 && other === 1);
  const grows = flag(one === 1) + flag(other === 1) === 1 ? 1 : 0;
  const rate = logit((grown.joined + 0.5) / (grown.tried + 5));
  const { joined, tried } = grownIn[setting] as Likeness['grown'];
  const crossed = (partners[a] ?? []).some((x) =>
    (partners[b] ?? []).some(
      (y) => x !== y && x !== b && y !== a && nets.cell(setting, x) === nets.cell(setting, y),
    ),
  );
  return [
    single,
    single * (1 - growth),
    grows,
    flag(one > 1 && other > 1),
    growth,
    growth * grows,
    rate,
    rate * grows,
    grows * logit((joined + 0.3) / (tried + 3)),
    Math.min(one, 4) / 4 + Math.min(other, 4) / 4,
    flag(crossed),
  ];
}

/** What settings that resemble this one say, how much is known, and how large the switch is. */
function aboutTheSwitch(
  { field: { settings, places }, experience: { nets }, likeness: { alike, known, knownWell } }: Known,
  setting: number,
  a: number,
  b: number,
): number[] {
  let [votes, all, nearest] = [0, 0, 0];
  for (let at = 0; at < settings.length; at += 1) {
    if (at === setting) continue;
    const [one, other] = [nets.cell(at, a), nets.cell(at, b)];
    const { nets: state } = settings[at] as FieldSetting;
    if (one !== other && !state.apart.has(one, other)) continue;
    const weight = alike.cell(setting, at);
    all += weight;
    if (one !== other) continue;
    votes += weight;
    nearest = Math.max(nearest, weight);
  }
  return [
    logit((votes + 0.1) / (all + 0.6)),
    nearest,
    known.get(setting),
    Math.min(1, knownWell / 4),
    flag(knownWell === 0),
    places.length / 24,
    settings.length / 12,
  ];
}

const flag = (holds: boolean): number => (holds ? 1 : 0);

/** ln(p / (1 - p)), with p held between 0.002 and 0.9, over 3. */
function logit(chance: number): number {
  const held = Math.min(0.9, Math.max(0.002, chance));
  return Math.log(held / (1 - held)) / 3;
}

/** Names of the features, in order; the weights are stored in this order. */
export const FEATURES = [
  'joins missing here over pairs left',
  'no setting known yet',
  'joined elsewhere, where joins come again',
  'joined elsewhere, where they do not',
  'share of settings in which it is joined',
  'joined in all',
  'joined in none of so many',
  'joined beside, where joins come again',
  'apart beside',
  'joined two settings away',
  'no partners',
  'one has one partner, the other none',
  'each has one partner, another',
  'one has no partner',
  'two throws of a pole',
  'of two poles',
  'the hub is idle here, over its choices',
  'the hub is idle, and the other a throw of it or new',
  'a hub and a terminal without partners',
  'nothing known elsewhere',
  'the hub has its throw here',
  'both join something somewhere',
  'joins come again',
  'both alone here',
  'both alone here, where nets stay small',
  'one alone, the other in a net',
  'both in nets',
  'nets grow',
  'nets grow, and this would',
  'a net takes in what is tried on it',
  'the same, where this would',
  'the same, in this setting',
  'sizes of the two nets',
  'their partners elsewhere join each other here',
  'what settings that are alike say',
  'likeness of the most alike in which it is joined',
  'share of this setting that is known',
  'settings known well',
  'none known well',
  'terminals',
  'settings',
] as const;
