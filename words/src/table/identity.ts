import type { OddQuestion, PoleKind, SamePoles, SwitchIdentity, WholeKind } from '@which-way/core/table';
import type { Structure } from '@which-way/core/switch';
import { settingName, terminalList, terminalName } from '../terminals.js';

const count = (many: number, one: string) => `${many} ${one}${many === 1 ? '' : 's'}`;

const WHOLE_WORDS: Record<WholeKind, string> = {
  'star-delta': 'star-delta switch',
  'three-heat': 'three-heat switch, series and parallel',
  reversing: 'reversing switch',
};

const CODE_WORDS = { binary: 'binary', gray: 'Gray code', complement: 'complement of binary' };

/** What one pole is, without how many there are. */
function poleWords(kind: PoleKind): string {
  switch (kind.kind) {
    case 'contact':
      return 'on-off';
    case 'changeover':
      return kind.centreOff ? 'changeover, centre off' : 'changeover';
    case 'selector':
      return `${kind.ways}-way selector${kind.offs > 0 ? ' with off' : ''}`;
    case 'bridging':
      return `${kind.ways}-way selector, both between two ways`;
    case 'progressive':
      return `progressive, ${kind.ways} ways`;
    case 'one-missing':
      return `all but one, ${kind.ways} ways`;
    case 'coded':
      return `coded output, ${CODE_WORDS[kind.code]}, ${count(kind.bits, 'bit')}`;
    case 'crossing':
      return kind.off ? 'reversing, off between' : 'intermediate (crossing) switch';
    case 'cam':
      return 'cam pattern of no named kind';
  }
}

/** What a switch is, in the trade's words; 'not yet known' where facts are missing. */
export function identityTitle(structure: Structure, identity: SwitchIdentity): string {
  const { unknown, disputed, groups, whole, form } = identity;
  if (unknown.length > 0) {
    const [first, ...more] = unknown;
    const pairs = unknown.reduce((sum, one) => sum + one.pairs, 0);
    const where = first && more.length === 0 ? ` at ${settingName(structure, first.setting)}` : '';
    return `Not yet known: ${count(pairs, 'pair')}${where}`;
  }
  if (disputed > 0) return `Not yet known: readings disagree on ${count(disputed, 'pair')}`;
  if (groups.length === 0) return 'Joins nothing in any position';
  if (whole !== null) return capital(WHOLE_WORDS[whole]);
  if (form === 'key-bank' && groups.length === 1 && groups[0]?.kind.kind === 'selector')
    return `Interlocked bank of ${groups[0].kind.ways} keys${commonWords(structure, groups[0])}`;
  if (identity.parts.length > 1)
    return `${identity.parts.length} switches on one body: ${identity.parts
      .map((part) => {
        const handle = structure.actuators.find(({ id }) => id === part.actuator);
        return `${handle?.name ?? ''}, ${groupsWords(structure, part.groups)}`;
      })
      .join('; ')}`;
  return groupsWords(structure, groups);
}

function groupsWords(structure: Structure, groups: readonly SamePoles[]): string {
  return groups
    .map(
      (group) =>
        sharedWords(structure, group) ??
        `${group.poles.length}-pole ${poleWords(group.kind)}${commonWords(structure, group)}`,
    )
    .join('; ');
}

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
      return `One contact short of a ${odd.poles}-pole ${poleWords(odd.of)}: ${a} to ${b} at ${one} is open.`;
    case 'cell-beyond':
      return `One contact more than a ${odd.poles}-pole ${poleWords(odd.of)}: ${a} to ${b} at ${one} is closed.`;
  }
}
