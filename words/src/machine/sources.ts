import type { AskedSources, Source, SourceAnswer } from '@which-way/core/machine';

/** What a source shares its current back with. */
const back = ({ current }: Pick<Source, 'current'>): string => (current === 'AC' ? 'neutral' : 'minus');

/** What is asked of two sources. */
export const sourceQuestion = ({ first, second }: AskedSources): string =>
  `${first.name} and ${second.name}: one source, or two?`;

/** An answer, as a button. */
export function sourceAnswerWords(answer: SourceAnswer, { first }: AskedSources): string {
  switch (answer) {
    case 'one':
      return 'One source, two fuses';
    case 'shared':
      return `Two, one ${back(first)}`;
    case 'apart':
      return 'Two, nothing shared';
  }
}

/** Why two cannot be said to share nothing. */
export const noOwnReturn = ({ first }: AskedSources): string =>
  `Two sources that share nothing each have a ${back(first)} of their own. Add the second ${back(first)} first.`;

/** That two of them are joined on purpose. */
export const onPurposeWords = (one: Source, other: Source): string =>
  `${one.name} and ${other.name} are joined on purpose, and each is fused`;
