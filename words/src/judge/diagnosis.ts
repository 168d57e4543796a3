import type { Cause, DiagnosisQuestion, OddReading, RowsTrouble, TextTrouble } from '@which-way/core/verify';
import type { ExpectedTable } from '@which-way/core/log';
import type { Structure } from '@which-way/core/switch';
import { settingName, terminalList, terminalName } from '../terminals.js';

/** What a cause is, in a sentence without its end; places stand for what the question says. */
export function causeWords(
  structure: Structure,
  { terminals, settings }: DiagnosisQuestion,
  cause: Cause,
): string {
  const name = (place: number) => {
    const id = terminals[place];
    return id ? terminalName(structure, id) : '?';
  };
  const at = (place: number) => {
    const id = settings[place];
    return id ? settingName(structure, id) : '?';
  };
  const list = (places: readonly number[]) =>
    terminalList(
      structure,
      places.flatMap((place) => terminals[place] ?? []),
    );
  switch (cause.cause) {
    case 'never-closes':
      return `contact ${cause.contact.map(name).join('–')} never closes`;
    case 'never-opens':
      return `contact ${cause.contact.map(name).join('–')} never opens: welded, or bridged`;
    case 'closes-also':
      return `contact ${cause.contact.map(name).join('–')} closes at ${at(cause.setting)} too`;
    case 'opens-also':
      return `contact ${cause.contact.map(name).join('–')} does not close at ${at(cause.setting)}`;
    case 'bridged':
      return `${cause.terminals.map(name).join(' and ')} are bridged`;
    case 'joined-at':
      return `${cause.terminals.map(name).join(' and ')} are joined at ${at(cause.setting)}`;
    case 'split-at':
      return `${name(cause.terminal)} is cut off from the others at ${at(cause.setting)}`;
    case 'shifted': {
      const many = Math.abs(cause.by);
      const detents = many === 1 ? 'one detent' : `${many} detents`;
      if (cause.stop) {
        const ends = Array.from({ length: many }, (_, place) =>
          at(cause.by > 0 ? settings.length - 1 - place : place),
        );
        return `${detents} ${cause.by > 0 ? 'early' : 'late'}: ${ends.join(' and ')} empty`;
      }
      return `assembled ${detents} off: each position does what the one ${many === 1 ? '' : `${many} places `}${cause.by > 0 ? 'after' : 'before'} it should`;
    }
    case 'reversed':
      return 'the positions run the other way round';
    case 'swapped':
      return `${cause.terminals.map(name).join(' and ')} are swapped`;
    case 'mirrored':
      return `${list(cause.among)} are mirrored`;
    case 'turned':
      return `${list(cause.among)} are rotated ${turnWords(cause.by, cause.among.length)}`;
  }
}

/** How far a row is turned, the shorter way. */
function turnWords(by: number, all: number): string {
  const [places, way] = 2 * by > all ? [all - by, ' back'] : [by, ''];
  return `${places === 1 ? 'one place' : `${places} places`}${way}`;
}

/** A cause among others. */
export const lesserCauseWords = (cause: string): string =>
  `${cause.charAt(0).toUpperCase()}${cause.slice(1)}.`;

/** What explains it best; while one reading may be the slip, that it is repeated first. */
export function firstCauseWords(structure: Structure, repeat: OddReading | null, cause: string): string {
  if (!repeat || repeat.repeated) return `Most likely: ${cause}.`;
  const pair = [repeat.red, repeat.black].map((id) => terminalName(structure, id)).join('–');
  return `Repeat ${pair} at ${settingName(structure, repeat.setting)}. If it stays: ${cause}.`;
}

/** What an odd join may come of, once it was read again and stayed, in the order in which the trade looks (common practice). */
export const ODD_JOIN_WORDS =
  'Check that the handle is home in its detent, then look for a bent wiper or touching tips. Solder or a forgotten jumper would show in every position. A reading in kΩ or MΩ is a leak.';

/** What helps where no reading tells the causes of one class apart (common practice). */
export function tieWords(explanations: readonly (readonly Cause[])[]): string {
  const kinds = new Set(explanations.flat().map(({ cause }) => cause));
  return kinds.has('shifted') || kinds.has('turned') || kinds.has('reversed') || kinds.has('mirrored')
    ? 'Measuring can’t tell these apart. First see that the knob sits right on its shaft: that moves names, not contacts. Then enter below where the flat, key or marked lug is.'
    : 'Measuring can’t tell these apart: look at the contacts themselves.';
}

/** Before a contact is condemned. */
export const WORK_IT_WORDS = 'Before you condemn a contact, work the handle ten times and measure again.';

/** Why a text is no expected table, where, and what would be right. */
export function textTroubleWords(structure: Structure, { code, line, at }: TextTrouble): string {
  const label = structure.terminals[0]?.label ?? '1';
  const first = structure.settings[0];
  const position = first ? settingName(structure, first.id) : 'OFF';
  const where = `Line ${line}: `;
  switch (code) {
    case 'no-colon':
      return `${where}“${at}” has no position before a colon. Write it like ${position}: ${label}-…`;
    case 'no-such-position':
      return `${where}there is no position “${at}”. Use its name as written, or its number.`;
    case 'position-twice':
      return `${where}“${at}” is there twice. Put all its joins on one line.`;
    case 'no-such-terminal':
      return `${where}there is no terminal “${at}”. Use a label, such as ${label}.`;
    case 'not-a-join':
      return `${where}“${at}” joins nothing. Two labels with a hyphen between them, such as ${label}-…`;
  }
}

/** Why rows of a file are no expected table, where, and what would be right. */
export function rowsTroubleWords(
  structure: Structure,
  { code, row, at }: RowsTrouble,
  firstPosition: string,
): string {
  const label = structure.terminals[0]?.label ?? '1';
  switch (code) {
    case 'no-head':
      return `row 1 should name the columns: from, to, ${firstPosition}, and so on; it says “${at}”.`;
    case 'no-such-position':
      return `row 1 names no position of this switch, such as ${firstPosition}; it says “${at}”.`;
    case 'no-such-terminal':
      return `row ${row}: there is no terminal “${at}”. Use a label, such as ${label}.`;
    case 'not-a-cell':
      return `row ${row}: “${at}” is neither closed nor open. Write x or closed, - or open, or leave it empty.`;
    case 'contradicts':
      return `column ${at}: a pair that should be open follows from pairs that should be closed.`;
  }
}

/** Where an expected table comes from. */
export function sourceWords(source: ExpectedTable['source']): string {
  switch (source.kind) {
    case 'drawn':
      return 'Filled in by hand';
    case 'text':
      return 'Typed in';
    case 'library':
    case 'ordinary':
      return source.name;
    case 'job':
      return `As found in: ${source.title}`;
  }
}
