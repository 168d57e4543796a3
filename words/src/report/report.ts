import type { SwitchMap } from '@which-way/core/continuity';
import type { Difference } from '@which-way/core/match';
import {
  type ChosenReplacement,
  notesOf,
  recordsOf,
  refitNotesOf,
  reportPhotosOf,
  reportShapeOf,
} from '@which-way/core/log';
import type { TerminalId } from '@which-way/core/switch';
import { chosenOf, signedRefitOf } from '@which-way/core/refit';
import { identify } from '@which-way/core/table';
import { signatureOf } from '@which-way/core/verdict';
import { contactLimitOf, judgedContacts, leaksOf, repeatedOf } from '@which-way/core/verify';
import { differenceWords } from '../match/difference.js';
import { identityTitle } from '../table/identity.js';
import { differenceText } from '../match/match.js';
import { functionWords, TRANSFER_WORDS } from '../refit.js';
import { SYMPTOM_WORDS } from '../before/symptom.js';
import { tableRows } from '../table/table-rows.js';
import { faultWords, forUseWords, lineWords, signedWords } from '../verdict.js';
import { verdictHeadline } from '../judge/headline.js';
import { CONTACT_WORDS, judgedWords, leakWords, limitWords, repeatedWords } from '../judge/verdict.js';
import { settingName, terminalName } from '../terminals.js';
import { notTested, readings, tests, transfer } from './back-parts.js';
import type { ReportDocument, Section } from './document.js';
import { facts, type ReportSource } from './pieces.js';

const NOTE_NAMES: [field: Parameters<ReturnType<typeof notesOf>['get']>[0], name: string][] = [
  ['machine', 'Machine'],
  ['complaint', 'Complaint'],
  ['tried', 'Tried before'],
  ['prior-work', 'Worked on before'],
];

/** The whole report of a job: each part that was not left out, and everything in it with how it is known. */
export function reportOf(source: ReportSource): ReportDocument {
  const { job, map } = source;
  const leftOut = new Set<string>(reportShapeOf(map.log).leftOut);
  const sections = [
    complaint(source),
    found(source),
    table(source),
    {
      part: 'picture' as const,
      heading: 'The positions, from the terminal side',
      pieces: [{ kind: 'picture' as const }],
    },
    verdict(source),
    done(source),
    replacement(source),
    transfer(source),
    tests(source),
    notTested(source),
    photos(source),
    owner(source),
    signatures(source),
    readings(source),
  ];
  return {
    title: `Job ${job.number}: ${job.title}`,
    subtitle: job.place,
    sections: sections.filter(
      ({ part, pieces }) =>
        !leftOut.has(part) && pieces.some((one) => one.kind !== 'facts' || one.facts.length > 0),
    ),
  };
}

function complaint({ map }: ReportSource): Section {
  const notes = notesOf(map.log);
  return {
    part: 'complaint',
    heading: 'Complaint',
    pieces: [
      facts(
        'said',
        ...NOTE_NAMES.flatMap(([field, name]) => (notes.get(field) ? [`${name}: ${notes.get(field)}`] : [])),
        ...(recordsOf(map.log, 'symptoms-said') ?? []).map((one) => SYMPTOM_WORDS[one]),
      ),
    ],
  };
}

function found({ map, judgement: { comparison } }: ReportSource): Section {
  const identity = identify(map);
  const sure = map.complete && identity.unknown.length === 0 && identity.disputed === 0;
  const differs =
    comparison?.cells.filter(({ verdict }) => verdict === 'missing' || verdict === 'extra') ?? [];
  return {
    part: 'found',
    heading: 'What was found',
    pieces: [
      facts(sure ? 'follows' : 'not-known', identityTitle(map.structure, identity)),
      facts('follows', ...differs.map((cell) => differenceWords(map, cell))),
      facts(
        'worked-out',
        comparison && differs.length === 0 && comparison.outcome === 'agrees'
          ? 'It does what it should do in every position.'
          : '',
      ),
    ],
  };
}

function table({ map }: ReportSource): Section {
  const [head = [], ...rows] = tableRows(map);
  return {
    part: 'table',
    heading: 'Truth table',
    pieces: rows.length > 0 ? [{ kind: 'table', head, rows, known: 'follows' }] : [],
  };
}

function verdict({ map, judgement: now }: ReportSource): Section {
  const signed = signatureOf(map, now);
  return {
    part: 'verdict',
    heading: 'Verdict on the switch',
    pieces: [
      facts('worked-out', verdictHeadline(now), ...lineWords(now.lines), ...faultWords(map)),
      facts('measured', ...contactFacts(map), ...cycleFacts(map)),
      facts('measured', ...leaksOf(map).map((leak) => `Leak: ${leakWords(map.structure, leak)}`)),
      facts(
        'signed',
        signed
          ? `${signed.signed.by} signed “${signedWords(signed.signed)}”${signed.standing === 'stands' ? '' : '; something was read or changed since'}`
          : '',
        signed?.signed.note ?? '',
      ),
    ],
  };
}

const contactName = ({ structure }: Pick<SwitchMap, 'structure'>, ends: readonly TerminalId[]): string =>
  ends.map((id) => terminalName(structure, id)).join('–');

/** Contacts that are not within the limit, with the limit. */
function contactFacts(map: SwitchMap): string[] {
  const limit = limitWords(contactLimitOf(map));
  return judgedContacts(map)
    .filter(({ verdict, ohms }) => verdict !== 'good' && ohms !== null)
    .map((one) => {
      const pair = contactName(map, one.terminals);
      const at = settingName(map.structure, one.setting);
      return `Contact ${pair} at ${at}: ${judgedWords(one)}, ${CONTACT_WORDS[one.verdict]} (limit: ${limit})`;
    });
}

/** Contacts that were worked again and again, with how often they failed. */
const cycleFacts = ({ log, structure }: SwitchMap): string[] =>
  recordsOf(log, 'contact-repeated').map((run) => {
    const pair = contactName({ structure }, run.terminals);
    return `Worked repeatedly, ${pair} at ${settingName(structure, run.setting)}: ${repeatedWords(repeatedOf(run))}`;
  });

function done({ map }: ReportSource): Section {
  return {
    part: 'done',
    heading: 'What was done',
    pieces: [facts('said', refitNotesOf(map.log).get('done') ?? '')],
  };
}

/** A difference that was accepted, with the reason where one was given. */
function acceptedWords(
  { structure }: SwitchMap,
  { part, positions }: ChosenReplacement,
  { code, about, reason }: ChosenReplacement['accepted'][number],
): string {
  const settings = positions.map(({ from }) => from);
  const what = part ? differenceText({ code, about } as Difference, structure, settings, part) : about;
  return [what, reason].filter(Boolean).join(' Because: ');
}

function replacement({ map }: ReportSource): Section {
  const chosen = chosenOf(map);
  const pieces = chosen
    ? [
        facts('said', `In its place: ${chosen.name}`),
        facts('said', ...chosen.accepted.map((one) => `Accepted: ${acceptedWords(map, chosen, one)}`)),
      ]
    : [];
  return { part: 'replacement', heading: 'Replacement', pieces };
}

function photos({ map }: ReportSource): Section {
  return {
    part: 'photos',
    heading: 'Photos',
    pieces: reportPhotosOf(map.log).map(({ id, caption }) => ({ kind: 'photo', photo: id, caption })),
  };
}

function owner({ map }: ReportSource): Section {
  const notes = refitNotesOf(map.log);
  return {
    part: 'owner',
    heading: 'For the owner',
    pieces: [
      facts(
        'said',
        ...recordsOf(map.log, 'residual-noted').map(
          ({ text, reason }) => `Stays as it is: ${text}. Accepted: ${reason}`,
        ),
      ),
      facts(
        'said',
        notes.get('advice') ?? '',
        notes.get('next-look') ? `To be looked at again: ${notes.get('next-look')}` : '',
        notes.get('code-note') ?? '',
      ),
    ],
  };
}

function signatures({ map }: ReportSource): Section {
  const last = signedRefitOf(map);
  return {
    part: 'signatures',
    heading: 'Signed',
    pieces: [
      last
        ? facts(
            'signed',
            `${last.signed.by}, ${last.at.slice(0, 10)}: wires ${TRANSFER_WORDS[last.signed.transfer]}, check ${TRANSFER_WORDS[last.signed.check]}, insulation and earth ${TRANSFER_WORDS[last.signed.measured]}, function ${TRANSFER_WORDS[last.signed.function]}`,
            last.stands ? '' : 'Something was read or changed since.',
          )
        : facts('not-known', 'Nobody has signed it.'),
    ],
  };
}

/** The short one for the owner, in plain words: what was wrong, what was done, what was tried, what to watch. */
export function ownersReport(source: ReportSource): ReportDocument {
  const { job, map, standing, judgement } = source;
  const fails = standing.functions.filter(({ tried }) => tried?.result === 'fails');
  const loads = recordsOf(map.log, 'load-named');
  const worked = standing.functions.filter(({ tried }) => tried?.result === 'as-it-should').length;
  return {
    title: job.title,
    subtitle: job.place,
    sections: [
      {
        part: 'verdict' as const,
        heading: 'May it be used?',
        pieces: [
          facts(
            'worked-out',
            fails.length > 0 ? 'The machine doesn’t do as it should. Do not use it.' : '',
            forUseWords(map, judgement),
          ),
        ],
      },
      complaint(source),
      done(source),
      replacement(source),
      {
        part: 'tests' as const,
        heading: 'What was tried',
        pieces: [
          facts(
            'said',
            worked > 0
              ? `${worked} of ${standing.functions.length} functions were tried and do as they should.`
              : '',
            ...fails.map((one) => {
              const { where, must } = functionWords(one, map, loads);
              return `Does not do as it should: ${where}, ${must}.`;
            }),
          ),
        ],
      },
      notTested(source),
      owner(source),
      signatures(source),
    ].filter(({ pieces }) => pieces.some((one) => one.kind !== 'facts' || one.facts.length > 0)),
  };
}
