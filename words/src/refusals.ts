import { ID_PATTERN, PHOTO_MEGABYTES, VISIBLE_LINE } from '@which-way/core/schema';
import type { Problem, ProblemCode } from '@which-way/core/switch';

type Params = Problem['params'];
/** What is wrong, and what would be right. */
export type Said = readonly [message: string, hint: string];
type Say = (params: Params) => Said;

/** Problems that a check finds in what comes in, besides those that a schema names. */
const PROBLEMS: Record<Exclude<ProblemCode, `schema-${string}`>, Say> = {
  'not-our-file': () => [
    'This is not a Which Way file.',
    'A Which Way file is JSON that begins with "format": "which-way".',
  ],
  'no-version': () => ['The file does not say its version.', 'Add "version": 1.'],
  'unknown-version': ({ version, newest }) => [
    `The file has version ${version}, which this program does not know.`,
    `Versions up to ${newest} can be read; a newer program may be needed.`,
  ],
  'terminal-not-listed': ({ label }) => [
    `"${label}" is joined in a position, but is not in the list of terminals.`,
    'Add it to "terminals", or correct the label.',
  ],
  'terminal-in-two-nets': ({ label }) => [
    `"${label}" is in two groups of the same position.`,
    'Terminals that join belong in one group; merge the groups.',
  ],
  'contact-outside': () => [
    'This contact names a terminal or position that the simulated switch does not have.',
    'Places count from 0; the two ends of a contact differ.',
  ],
  twice: ({ id }) => [`"${id}" is there twice.`, 'Every id, and every number of a device, is used once.'],
  'label-taken': ({ label }) => [`There is already a terminal "${label}".`, 'Give it a label of its own.'],
  'no-label': () => ['A terminal needs a label.', 'Give it the marking or a number.'],
  'not-there': () => ['The terminal, position or setting doesn’t exist.', 'Reload the job and try again.'],
  'already-described': () => ['The switch is already described.', 'Add terminals and positions one by one.'],
  'too-few-terminals': () => ['A switch needs at least two terminals.', 'Give 2 to 96 terminals.'],
  'line-stays': ({ kind }) => [
    `The list must hold the line "${kind}" once.`,
    'Standard lines can be reworded and moved, not left out or doubled.',
  ],
  'line-without-words': () => ['A line of the shop’s own needs words.', 'Enter what is to be done.'],
  'lines-out-of-order': () => [
    'Isolating, proving the tester, proving dead and proving the tester again must stay in this order.',
    'Put them back in order; other lines may stand between them.',
  ],
  'event-differs': () => [
    'An event with this id is already stored, with other contents.',
    'The log is append-only: what is stored stays as it is.',
  ],
  'sequence-taken': () => [
    'This number of its device is already stored, with another event.',
    'Each device counts its events of a job from 1, without using a number twice.',
  ],
  'same-number-other-wiring': () => [
    'An entry of the same maker and number is wired differently.',
    'Two parts cannot share a number: correct its number, or its wiring.',
  ],
  'clock-too-far': ({ clock, seen }) => [
    `The clock of this event is ${clock}, far beyond the ${seen} that the job has seen.`,
    'A clock is one more than the highest that the writer has seen. Reload the page and enter it again.',
  ],
  'sequence-too-far': ({ sequence, clock }) => [
    `Event ${sequence} of this device comes far too early: its clock is only ${clock}.`,
    'A device counts its events of a job from 1. Reload the page and enter it again.',
  ],
  'event-too-large': ({ most }) => [`This event is larger than ${most} kB.`, 'Enter it in smaller pieces.'],
  'too-deep': ({ most }) => [
    `Lists and objects are nested more than ${most} deep.`,
    'Which Way never writes that: the file or the request is damaged.',
  ],
  'event-too-new': ({ schema, newest }) => [
    `This event was written by a newer Which Way: its version is ${schema}.`,
    `This one reads events up to version ${newest}. Update it here, then send the event again.`,
  ],
  'kind-not-known': ({ kind }) => [
    `"${kind}" isn’t a kind of event that this Which Way knows.`,
    'It was written by a newer one, or misspelt: docs/made/events.md lists the kinds.',
  ],
  'other-handle': () => [
    'These are positions of two handles: they can’t be the same position.',
    'Choose two positions of one handle.',
  ],
  'merged-with-itself': () => ['A position can’t be merged with itself.', 'Choose another one.'],
  'no-setting': () => ['A switch needs at least one setting.', 'Add a starting position.'],
};

/** Problems that a schema names, by the rule of it that was broken; any other rule says itself. */
const SCHEMA: Readonly<Record<string, Say>> = {
  'schema-required': ({ missingProperty }) => [
    `"${missingProperty}" is missing.`,
    `Add "${missingProperty}".`,
  ],
  'schema-additionalProperties': ({ additionalProperty }) => [
    `"${additionalProperty}" is not a known field.`,
    'Remove it, or check its spelling.',
  ],
  'schema-discriminator': ({ tag, tagValue }) => [
    `"${tagValue ?? ''}" is not a known "${tag}".`,
    'docs/made/events.md lists the values.',
  ],
  'schema-enum': ({ allowedValues }) => [
    'This value is not one of the allowed ones.',
    `Use one of: ${allowedValues}.`,
  ],
  'schema-maxLength': ({ limit }) => [`This text is too long.`, `Use at most ${limit} characters.`],
  'schema-minLength': () => ['This text is missing.', 'Enter some text.'],
  'schema-maxItems': ({ limit }) => ['Too many at once.', `Use at most ${limit}.`],
  'schema-minItems': ({ limit }) => ['Too few.', `Use at least ${limit}.`],
  'schema-maximum': ({ limit }) => ['This number is too large.', `Use at most ${limit}.`],
  'schema-minimum': ({ limit }) => ['This number is too small.', `Use at least ${limit}.`],
  'schema-const': ({ allowedValue }) => ['This value is not the expected one.', `Use ${allowedValue}.`],
  'schema-pattern': ({ pattern }) =>
    pattern === ID_PATTERN
      ? ['This is not an id.', 'Ids are UUIDs in lower case, such as 0f8fad5b-d9cb-469f-a165-70867728950e.']
      : pattern === VISIBLE_LINE
        ? ['This is blank, or has control characters in it.', 'Use one line with a letter or a number in it.']
        : pattern === '\\S'
          ? ['This is blank.', 'It must have a letter or a number in it.']
          : ['This is not in the expected format.', 'docs/made/events.md shows what each field takes.'],
};

/** What the server refuses for reasons of its own. */
const REFUSALS = {
  'store-broken': ({ reason }) => [
    `The server cannot write any more: ${reason}.`,
    'Everything shown as saved is safe. Start it again; what is waiting is sent then.',
  ],
  'stale-job': () => [
    'The job was changed meanwhile, in another tab perhaps.',
    'Look at the job as it is now and make the change again.',
  ],
  'no-report': () => [
    'Several switches together have no report.',
    'Make a link to one of the switches instead.',
  ],
  'job-deleted': ({ when }) => [
    `This job was deleted at ${when}.`,
    'You can export what was entered since, and import it as a new job.',
  ],
  'being-taken-in': () => ['This job is being imported right now.', 'Wait until that is done.'],
  'sequence-taken': ({ sequence }) => [
    `Event ${sequence} of this device is already stored, with another id.`,
    'Each device counts its events of a job from 1, without using a number twice.',
  ],
  'event-differs': () => [
    'An event with this id is already stored, with other contents.',
    'The log is append-only: send a correction as a new event (withdrawn, or superseded).',
  ],
  'stale-structure': () => [
    'The switch was changed meanwhile, so this change was made to an older version of it.',
    'Look at the switch as it is now and make the change again if it is still wanted.',
  ],
  'piece-too-large': ({ most }) => [
    `One entry in this file is larger than ${most} MB.`,
    'Nothing Which Way exports is that large: the file is damaged. Export it again.',
  ],
  'import-unfinished': () => [
    "The import isn't finished: the disk is full.",
    'Free some space on the disk: the server finishes it by itself. Nothing is lost.',
  ],
  'deleted-before': ({ count }) => [
    count === 1
      ? 'This file has a job that was deleted here.'
      : `This file has ${count} jobs that were deleted here.`,
    'Import it on the bench: there you can choose whether it comes back.',
  ],
  'share-ended': () => [
    'This link was ended or has expired.',
    'Ask for a new one at the bench: Refit, Report, Share.',
  ],
  'sign-in-needed': () => [
    'This device has not signed in with the shop’s code.',
    'Open /sign-in and type the code that was printed where Which Way was started.',
  ],
  'bad-json': ({ said, file }) =>
    file
      ? [
          `The file is not JSON (${said}).`,
          'A file that was cut off while saving ends in the middle: save it again.',
        ]
      : [
          `What was sent is not JSON${said ? ` (${said})` : ''}.`,
          'Send one JSON value. A file that was cut off while saving ends in the middle.',
        ],
  'too-large': ({ file }) =>
    file
      ? [
          'The file is too large for one request.',
          'Send it to /api/imports: there it may be of any size, and is looked through first.',
        ]
      : [
          'What was sent is too large.',
          'Events: up to 1 MB at a time, in smaller batches. Files go to /api/imports.',
        ],
  invalid: () => ['What was sent does not fit.', 'See /api/docs.'],
  'disk-full': () => [
    'The disk is full: nothing can be saved.',
    'Nothing was partly saved. Free some space, then try again.',
  ],
  'no-room-for-backup': () => [
    'There is no room for the backup: the disk is full, or files may not grow that large.',
    'No backup was made. Free some space, or choose another disk, then try again.',
  ],
  'cannot-store': () => [
    "The server can't save: the disk is full, or it or the data folder has a problem.",
    'Nothing was partly saved. Free some space or check the data folder, then try again.',
  ],
  internal: () => [
    'Something went wrong in the server.',
    'Nothing was partly saved. Try again; the log of the server has the details.',
  ],
  'another-id': () => [
    'The entry’s id differs from the address.',
    'Send it to the address that ends with its own id.',
  ],
  'set-it-there': () => [
    'The bench meter can only be set on the computer that Which Way runs on.',
    'Open Which Way there, then Settings, Bench meter.',
  ],
  'no-host': () => [
    'The meter’s address is missing.',
    'Enter its host name or address, such as 192.168.1.20.',
  ],
  'no-port': () => ['The serial port is missing.', 'Choose one of the ports, or enter its name.'],
  'no-stand-in': () => [
    'This bench doesn’t use a simulated meter.',
    'Choose it under Settings, Bench meter; or touch with the real leads.',
  ],
  stale: () => ['The shop’s settings were changed meanwhile.', 'Reload them and make the change again.'],
  'bench-not-empty': () => [
    'This bench has jobs; a backup can only be restored onto an empty one.',
    'Stop the server and run: npm run restore -- FILE. What is here is moved aside then, not deleted.',
  ],
  'not-a-backup': ({ why }) => [
    `This can’t be restored: ${why}.`,
    'Choose a file that Back up, or npm run backup, has made. Files of single jobs go to Import a file.',
  ],
  'not-a-picture': ({ said }) => [
    `This is not a picture that can be read: ${said}.`,
    'Send a whole JPEG, PNG, WebP, GIF, AVIF or TIFF. On some phones the camera must be set to JPEG ("most compatible").',
  ],
  'photo-too-wide': ({ width, height, most }) => [
    `The photo is ${width} by ${height} pixels; up to ${most} along an edge can be kept.`,
    'Cut it to the part that matters, or take it at a lower resolution.',
  ],
  'photo-too-large': () => [
    `The photo is larger than ${PHOTO_MEGABYTES} MB.`,
    'Take it at a lower resolution, or cut it to the part that matters.',
  ],
  'damaged-file': ({ how }) => [
    `The file is damaged or was cut off: ${how}.`,
    'Copy it again from where it was saved; nothing was imported.',
  ],
  'not-found': ({ what, id }) =>
    what === 'work'
      ? ['This task no longer exists.', 'The server may have restarted. Try again.']
      : [`There is no ${what} ${id}.`, `Look at the list of ${what}s for those that there are.`],
  'not-waiting': ({ state }) =>
    state
      ? [`This is ${state}: there is nothing to continue.`, 'Start again.']
      : ['This file wasn’t checked, or is already imported.', 'Choose it again.'],
  'invalid-requirement': ({ where, hint }) => [`${where} does not fit.`, String(hint)],
} satisfies Record<string, Say>;

export type RefusalCode = keyof typeof REFUSALS;

/** The words of something that the server refuses. */
export const refusalWords = (code: RefusalCode, params: Params = {}): Said => (REFUSALS[code] as Say)(params);

/** The words of a problem in what came in. */
export function problemWords({ code, params }: Pick<Problem, 'code' | 'params'>): Said {
  const say = code.startsWith('schema-') ? SCHEMA[code] : PROBLEMS[code as keyof typeof PROBLEMS];
  return (
    say?.(params) ?? [
      `This value does not fit: ${params['said'] ?? code}.`,
      'docs/made/events.md and /api/docs say what fits.',
    ]
  );
}
