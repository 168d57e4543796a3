import type { Designation, Piece, PieceCode } from '@which-way/core/rating';
import { copperWords, lengthWords, temperatureWords, type Units } from '../units.js';

const LOADS: Record<string, string> = {
  'resistive-and-optocoupler': 'resistive loads and opto-couplers',
  'semiconductor-with-transformer': 'solid-state loads with a transformer',
  'small-electromagnets': 'small electromagnets, up to 72 VA',
  electromagnets: 'electromagnets: contactor coils, solenoids',
  'electromagnets-with-economy-resistor': 'electromagnets with economy resistors',
  'slightly-inductive': 'resistive or slightly inductive loads',
  'slip-ring-motors': 'slip-ring motors, starting and switching off',
  'cage-motors-switched-off-running': 'cage motors, starting, switched off while running',
  'efficient-cage-motors': 'high-efficiency cage motors, switched off while running',
  'cage-motors-inching-plugging': 'cage motors, inching and reversing under way',
  'discharge-lamps': 'discharge lamps',
  'incandescent-lamps': 'incandescent lamps',
  'shunt-motors': 'shunt motors, inching and reversing under way',
  'series-motors': 'series motors, inching and reversing under way',
  'no-load': 'connecting and disconnecting without load',
  'resistive-moderate-overload': 'resistive loads with moderate overloads',
  'mixed-resistive-inductive': 'mixed resistive and inductive loads with moderate overloads',
  'motors-and-highly-inductive': 'motors and other highly inductive loads',
};

const FAMILIES: Record<string, string> = {
  'control-circuit': 'control-circuit standard',
  contactor: 'contactor standard',
  'load-switch': 'load-switch standard',
};

const FORMS: Record<string, string> = {
  A: 'normally open',
  B: 'normally closed',
  C: 'changeover, break before make',
  D: 'changeover, make before break',
  X: 'double make',
  Y: 'double break',
  Z: 'double make and double break, changeover',
};

const SOLIDS = [
  'no protection',
  '50 mm objects',
  '12.5 mm objects',
  '2.5 mm tools',
  '1 mm wires',
  'dust-protected',
  'dust-tight',
];
const WATER = [
  'no protection',
  'dripping',
  'dripping when tilted 15 degrees',
  'spraying',
  'splashing',
  'jets',
  'powerful jets',
  'short immersion',
  'lasting immersion',
  'hot high-pressure jets',
];

type Words = (params: Piece['params'], units: Units) => string;

const many = (value: string | number | undefined) => Number(value).toLocaleString('en');

const WORDS: Record<PieceCode, Words> = {
  current: (params) =>
    [
      `${params['amperes']} A resistive`,
      params['motor'] === undefined ? '' : `${params['motor']} A for motors and other inductive loads`,
      params['lamp'] === undefined ? '' : `${params['lamp']} A for lamps`,
      params['discharge-lamp'] === undefined ? '' : `${params['discharge-lamp']} A for fluorescent lamps`,
      params['capacitive-peak'] === undefined ? '' : `${params['capacitive-peak']} A peak into capacitors`,
    ]
      .filter(Boolean)
      .join(', '),
  voltage: ({ volts, list, low }) =>
    list !== undefined
      ? `rated for ${list} V`
      : low !== undefined
        ? `rated from ${low} to ${volts} V`
        : `rated for ${volts} V`,
  supply: ({ supply }) =>
    ({
      ac: 'alternating current only, as far as it’s marked',
      dc: 'direct current',
      'ac-dc': 'alternating or direct current',
    })[String(supply)] ?? '',
  operations: ({ operations }) => `${many(operations)} operations`,
  temperature: ({ least, most, handleMost }, units) => {
    const degrees = (celsius: string | number | undefined) => temperatureWords(Number(celsius), units);
    const from = least === undefined ? 'up' : `from ${units === 'inch' ? degrees(least) : least}`;
    const handle = handleMost === undefined ? '' : `; at the handle up to ${degrees(handleMost)}`;
    return `around it ${from} to ${degrees(most)}${handle}`;
  },
  disconnection: ({ kind }) =>
    kind === 'full'
      ? 'full disconnection: the contact gap isolates'
      : kind === 'micro'
        ? 'micro-disconnection: a small contact gap, not full disconnection'
        : kind === 'mini'
          ? 'mini-gap: a contact gap smaller than that of full disconnection'
          : 'electronic disconnection: no contact gap at all',
  protection: ({ solids, water }) =>
    `against solids: ${solids === 'X' ? 'not stated' : SOLIDS[Number(solids)]}; against water: ${water === 'X' ? 'not stated' : WATER[Number(water)]}`,
  horsepower: ({ horsepower }) => `motors up to ${horsepower} horsepower`,
  designation: ({ category, thermalAmperes, volts }) =>
    `control circuits: ${category}, carries ${thermalAmperes} A, up to ${volts} V`,
  category: ({ load, family, frequency }) =>
    `${LOADS[String(load)]} (${FAMILIES[String(family)]}${frequency === 'not-said' ? '' : `, ${frequency} operation`})`,
  'contact-form': ({ form, count }) =>
    `${Number(count) > 1 ? `${count} contacts, ` : ''}${FORMS[String(form)]}`,
  frequency: ({ hertz }) => `${hertz} Hz`,
  cord: ({ cores, area, gauge }, units) =>
    `${many(cores)} × ${gauge === undefined ? copperWords(Number(area), units) : `${area} mm² (gauge ${gauge})`}`,
  tungsten: ({ amperes }) => `filament lamps (cold inrush) up to ${amperes} A`,
  watts: ({ watts }) => `${many(watts)} W`,
  standard: ({ what }) => `a standard: ${what}`,
  conformity: () => 'the maker’s own sign of conformity; no rating',
  origin: ({ what }) => `where it was made: ${what}`,
  'protection-class': ({ kind }) =>
    kind === 'II' || kind === '2'
      ? 'double insulation, no earth needed (class II)'
      : kind === 'III' || kind === '3'
        ? 'for extra-low voltage only (class III)'
        : 'earth needed (class I)',
  impact: ({ degree }) => `against knocks: degree ${degree} of 10`,
  'enclosure-type': ({ type }) => `enclosure type ${type}, of the numbered enclosure types`,
  'contact-gap': ({ than, millimetres }, units) =>
    `contact gap ${than}${lengthWords(Number(millimetres), units)}`,
  'marked-number': ({ what }) => `a number, named on the part: ${what}`,
  'maybe-part-number': () => 'no rating; perhaps a part number',
  'maybe-date': () => 'no rating; perhaps a date, or year and week',
  'maybe-batch': () => 'no rating; perhaps a batch',
  'maybe-file-number': () => 'no rating; perhaps the number of an approval',
  word: () => 'no rating; a name or a word',
  separator: () => '',
  'not-read': () => 'unreadable: look at this character again',
};

/** What a stretch of a marking means, in plain words. */
export const pieceWords = ({ code, params }: Pick<Piece, 'code' | 'params'>, units: Units): string =>
  WORDS[code](params, units);

/** The currents of a control-circuit designation, voltage by voltage. */
export const designationWords = ({ currents }: Designation): string[] =>
  currents.map(({ volts, make, break: breaks }) => `at ${volts} V makes ${make} A, breaks ${breaks} A`);
