import type { OddQuestion, SamePoles, SwitchIdentity, Trade } from '@which-way/core/table';
import type { ActuatorForm, Structure } from '@which-way/core/switch';
import { poleWords, WHOLE_WORDS } from '../kinds.js';
import { settingName, terminalList, terminalName } from '../terminals.js';
import { handleWords, tradeWholeWords, tradeWords } from '../trades.js';

const count = (many: number, one: string) => `${many} ${one}${many === 1 ? '' : 's'}`;

/** What a switch is, in the trade's words; 'not yet known' where facts are missing. */
export function identityTitle(structure: Structure, identity: SwitchIdentity): string {
  const { unknown, disputed, groups, whole, form, trade } = identity;
  if (unknown.length > 0) {
    const [first, ...more] = unknown;
    const pairs = unknown.reduce((sum, one) => sum + one.pairs, 0);
    const where = first && more.length === 0 ? ` at ${settingName(structure, first.setting)}` : '';
    return `Not yet known: ${count(pairs, 'pair')}${where}`;
  }
  if (disputed > 0) return `Not yet known: readings disagree on ${count(disputed, 'pair')}`;
  if (groups.length === 0) return 'Joins nothing in any position';
  if (whole !== null)
    return capital(
      `${tradeWholeWords(trade, whole.kind) ?? WHOLE_WORDS[whole.kind](whole.ways)}${extraWords(structure, whole.extra)}`,
    );
  if (form === 'key-bank' && groups.length === 1 && groups[0]?.kind.kind === 'selector')
    return `Interlocked bank of ${groups[0].kind.ways} keys${commonWords(structure, groups[0])}`;
  if (identity.parts.length > 1)
    return `${identity.parts.length} switches on one body: ${identity.parts
      .map((part) => {
        const handle = structure.actuators.find(({ id }) => id === part.actuator);
        return `${handle?.name ?? ''}, ${groupsWords(structure, part.groups, settingsOf(structure, part.actuator))}`;
      })
      .join('; ')}`;
  return capital(groupsWords(structure, groups, requiredOf(structure), trade, form));
}

const requiredOf = (structure: Structure): readonly string[] =>
  structure.settings.filter(({ need }) => need === 'required').map(({ id }) => settingName(structure, id));

/** Positions of one handle by their names. */
const settingsOf = (structure: Structure, actuator: string): readonly string[] =>
  structure.actuators
    .filter(({ id }) => id === actuator)
    .flatMap(({ positions }) => positions.map(({ name }, at) => name ?? `Position ${at + 1}`));

const orList = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** Where a contact is closed. */
function closedWords(closed: readonly number[], settings: readonly string[]): string {
  const open = settings.filter((_, at) => !closed.includes(at));
  if (open.length === 0) return 'closed in every position';
  return open.length === 1 && settings.length > 2
    ? `closed except at ${open[0]}`
    : `closed at ${orList(closed.map((at) => settings[at] ?? `position ${at + 1}`))}`;
}

/** What stands beside contacts that make sense together: 'with one extra contact 9–10, closed at FWD'. */
function extraWords(structure: Structure, extra: readonly SamePoles[]): string {
  const settings = requiredOf(structure);
  const told = extra.flatMap(({ kind, poles }) =>
    poles.map(({ terminals }) => {
      const lugs = terminals.map((id) => terminalName(structure, id)).join('–');
      return kind.kind === 'contact' ? `${lugs}, ${closedWords(kind.closed, settings)}` : lugs;
    }),
  );
  if (told.length === 0) return '';
  return `, with ${told.length === 1 ? 'one extra contact' : `${told.length} extra contacts`} ${told.join('; ')}`;
}

function groupsWords(
  structure: Structure,
  groups: readonly SamePoles[],
  settings: readonly string[],
  trade: Trade | null = null,
  form: ActuatorForm | null = null,
): string {
  const contacts = groups.filter(({ kind }) => kind.kind === 'contact');
  const rest = groups
    .filter(({ kind }) => kind.kind !== 'contact')
    .map(
      (group) =>
        alwaysWords(structure, group) ??
        inTrade(structure, group, trade) ??
        sharedWords(structure, group) ??
        plainWords(structure, group, settings) ??
        `${poledWords(group, settings, groups.length === 1 ? form : null)}${commonWords(structure, group)}`,
    );
  return [...rest, ...bankWords(contacts, settings, groups.length === 1 ? form : null)].join('; ');
}

/** Poles of a named kind, counted; after the handle where that gives a changeover or a selector its name. */
function poledWords(
  { kind, poles }: SamePoles,
  settings: readonly string[],
  form: ActuatorForm | null,
): string {
  const plain = poleWords(kind, settings.length);
  const named = kind.kind === 'changeover' || kind.kind === 'selector';
  const byHandle = named ? handleWords(form, { poles: poles.length, plain, closes: null }) : null;
  return byHandle ?? `${poles.length}-pole ${plain}`;
}

/** As the trade of the loads calls it. */
function inTrade(structure: Structure, group: SamePoles, trade: Trade | null): string | null {
  const words = tradeWords(trade, group.kind);
  if (words === null) return null;
  const many = group.poles.length;
  return `${many > 1 ? `${many}-pole ` : ''}${words}${commonWords(structure, group)}`;
}

/** Contacts alike of two positions; a closed one opens when it is moved. */
function onOffWords({ kind }: SamePoles, many: number, form: ActuatorForm | null): string {
  const closes = kind.kind === 'contact' ? kind.closed[0] === 1 : null;
  return handleWords(form, { poles: many, plain: 'on-off', closes }) ?? `${many}-pole on-off`;
}

/** Lugs that are joined everywhere: they are no contact, and have no common. */
const alwaysWords = (structure: Structure, { kind, poles }: SamePoles): string | null =>
  kind.kind === 'joined-always'
    ? `joined in every position: ${poles.map(({ terminals }) => terminalList(structure, terminals)).join('; ')}`
    : null;

/** Contacts that share nothing, counted: of two positions, how many close and how many open. */
function bankWords(
  groups: readonly SamePoles[],
  settings: readonly string[],
  form: ActuatorForm | null,
): string[] {
  const [first, ...more] = groups;
  if (!first || first.kind.kind !== 'contact') return [];
  const many = groups.reduce((sum, { poles }) => sum + poles.length, 0);
  if (more.length === 0)
    return settings.length === 2
      ? [onOffWords(first, many, form)]
      : [
          `${many === 1 ? 'one contact' : `${many} contacts alike`}, ${closedWords(first.kind.closed, settings)}`,
        ];
  if (settings.length !== 2) return [`${many} separate contacts`];
  const closing = groups.flatMap(({ kind, poles }) =>
    kind.kind === 'contact' && kind.closed[0] === 1 ? poles : [],
  ).length;
  return [`${many} separate contacts: ${closing} close, ${many - closing} open when moved`];
}

/** A pole of no named kind, told as what it joins. */
function plainWords(
  structure: Structure,
  { kind, poles: [pole, ...more] }: SamePoles,
  settings: readonly string[],
): string | null {
  const [moving, ...others] = pole?.moving ?? [];
  if (kind.kind !== 'cam' || !pole || !moving || more.length > 0 || others.length > 0) return null;
  const name = (id: Parameters<typeof terminalName>[1]) => terminalName(structure, id);
  const { common, throws, on } = moving;
  const inTurn = on.every((ends) => ends.length === 1);
  const turn = on.map(([end]) => (end ? name(end) : ''));
  if (inTurn && turn.length <= MOST_TOLD) return `${name(common)} to ${turn.join(', ')} in turn`;
  const each = throws.map((end) => {
    const closed = on.flatMap((ends, at) => (ends.includes(end) ? [at] : []));
    return `${name(end)} ${closedWords(closed, settings)}`;
  });
  return each.length <= MOST_EACH ? `${name(common)} with ${each.join(', ')}` : null;
}

/** More than this is no title: the table says it. */
const [MOST_TOLD, MOST_EACH] = [8, 3];

/** One pole of no named kind whose moving contacts share throws: that is what it is. */
function sharedWords(structure: Structure, { kind, poles: [pole, ...more] }: SamePoles): string | null {
  if (kind.kind !== 'cam' || !pole || more.length > 0 || pole.moving.length < 2) return null;
  const throws = pole.moving.flatMap((moving) => moving.throws);
  const shared = [...new Set(throws.filter((one, at) => throws.indexOf(one) !== at))];
  if (shared.length === 0) return null;
  const commons = pole.moving.map(({ common }) => common);
  return `1 pole with ${pole.moving.length} moving contacts, ${terminalList(structure, commons)}, that share ${terminalList(structure, shared)}`;
}

const capital = (text: string) => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

function commonWords(structure: Structure, { poles }: SamePoles): string {
  const commons = poles.flatMap(({ common }) => common ?? []);
  if (commons.length === 0 || commons.length < poles.length) return '';
  return `, ${commons.length > 1 ? 'commons' : 'common'} ${terminalList(structure, commons)}`;
}

/** What stands below the title: forms, moving contacts and their throws, free terminals. */
export function identityLines(structure: Structure, identity: SwitchIdentity): string[] {
  const name = (id: Parameters<typeof terminalName>[1]) => terminalName(structure, id);
  const required = structure.settings.filter(({ need }) => need === 'required');
  const moving = identity.groups.flatMap(({ poles }) =>
    poles.flatMap((pole) => (pole.moving.length > 1 || pole.common === null ? pole.moving : [])),
  );
  const told = moving.map(({ common, on }) => {
    const where = on.map((ends, at) => {
      const setting = required[at];
      const place = setting ? settingName(structure, setting.id) : '';
      return `${ends.length === 0 ? 'nothing' : ends.map(name).join(' and ')} at ${place}`;
    });
    return `Moving contact ${name(common)}: ${where.join(', ')}.`;
  });
  const form = formWords(identity);
  return [
    ...(form === '' ? [] : [form]),
    ...told,
    ...(identity.free.length > 0 ? [`Joins nothing: ${terminalList(structure, identity.free)}.`] : []),
    ...(identity.closed ? [] : ['There may be undiscovered positions.']),
  ];
}

/** Contact form letters, where a meter can tell: between make and break it cannot (common practice). */
function formWords({ groups, settings }: SwitchIdentity): string {
  const forms = groups.flatMap(({ kind, poles }) => {
    const many = poles.length > 1 ? `${poles.length} ` : '';
    if (kind.kind === 'contact' && settings === 2)
      return [
        `${many}${kind.closed[0] === 1 ? 'form A (open in the first position)' : 'form B (closed in the first position)'}`,
      ];
    return kind.kind === 'changeover' && !kind.centreOff ? [`${many}form C or D`] : [];
  });
  if (forms.length === 0) return '';
  const tell = forms.some((form) => form.endsWith('form C or D'))
    ? ' A meter can’t show whether it breaks before it makes.'
    : '';
  return `Contact ${forms.join('; ')}.${tell}`;
}

/**
 * What is odd, as a question; several that are one question are told together: terminals that join nothing.
 */
export function oddWords(
  structure: Structure,
  [first, ...more]: readonly [OddQuestion, ...OddQuestion[]],
): string {
  const { about, odd } = first;
  const [a, b, c] = about.terminals.map((id) => terminalName(structure, id));
  const [one, other] = about.settings.map((id) => settingName(structure, id));
  switch (odd.code) {
    case 'both-closed':
      return `${a} is joined to ${b} and to ${c} at once at ${one}.`;
    case 'always-closed':
      return `${a}–${b} is closed in every position.`;
    case 'alike':
      return `${one} and ${other} do exactly the same.`;
    case 'joins-nothing':
      return more.length > 0
        ? `${terminalList(
            structure,
            [first, ...more].flatMap((one) => one.about.terminals),
          )} join nothing in any position. Lamps, perhaps, or tie lugs?`
        : `${a} joins nothing in any position. A lamp, perhaps, or a tie lug?`;
    case 'cell-short':
      return `One contact short of a ${odd.poles}-pole ${poleWords(odd.of, structure.settings.length)}: ${a} to ${b} at ${one} is open.`;
    case 'cell-beyond':
      return `One contact more than a ${odd.poles}-pole ${poleWords(odd.of, structure.settings.length)}: ${a} to ${b} at ${one} is closed.`;
  }
}
