import type { PartFacts } from '@which-way/core/switch';
import { lengthWords, type Units } from '../units.js';

/** What is stated of a part, in the order of importance; what is not stated is not in the list. */
export function factLines(facts: PartFacts, units: Units): [label: string, value: string][] {
  const yes = (value: boolean | undefined) => (value === undefined ? undefined : value ? 'yes' : 'no');
  const unit = (value: number | undefined, name: string) =>
    value === undefined ? undefined : `${value} ${name}`;
  const length = (value: number | undefined) => (value === undefined ? undefined : lengthWords(value, units));
  const lines: [string, string | undefined][] = [
    ['Number', facts.number],
    ['Marking', facts.marking],
    [
      'Rated',
      facts.ratings
        ?.map(({ load, amps, volts, supply, timeConstant }) =>
          [load, `${amps} A`, unit(volts, 'V'), supply?.toUpperCase(), unit(timeConstant, 'ms')]
            .filter(Boolean)
            .join(' '),
        )
        .join('; '),
    ],
    ['Least load', facts.minimum && `${facts.minimum.milliamps} mA at ${facts.minimum.volts} V`],
    ['Contacts', facts.contacts],
    ['Disconnection', facts.disconnection],
    ['Protection', facts.protection],
    ['Makes before it breaks', yes(facts.makesBeforeBreaks)],
    ['Direct opening', yes(facts.directOpening)],
    ['No-volt release', yes(facts.noVoltRelease)],
    ['Earth terminal', yes(facts.earthTerminal)],
    ['Insulated shaft', yes(facts.insulatedShaft)],
    ['Wires in a terminal', unit(facts.wiresPerTerminal, '')],
    ['Terminations', facts.terminations],
    ['Mounting', facts.mounting],
    ['Bushing', length(facts.bushing)],
    ['Shaft', length(facts.shaftDiameter)],
    ['Depth', length(facts.depth)],
    ['Operations', unit(facts.operations, '')],
    ['Price', unit(facts.price, '')],
    ['In stock', yes(facts.inStock)],
    ['From', [facts.source, facts.sourceDate].filter(Boolean).join(', ') || undefined],
  ];
  return lines.filter((line): line is [string, string] => line[1] !== undefined && line[1] !== '');
}

/** What a fact is called in a sentence: 'bolt spacing' for boltSpacing. */
export const factName = (fact: string): string =>
  fact.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
