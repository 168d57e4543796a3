import { ID_PATTERN } from '@which-way/core/schema';
import type { ApiError } from '@which-way/contract';
import type { Problem } from '@which-way/core/switch';

/** Thrown to refuse a request: an HTTP status and the one error shape. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly body: ApiError,
  ) {
    super(body.message);
  }

  /** As a message that crosses from a worker thread, where only the message of an error arrives. */
  toWire(): Error {
    return new Error(`${WIRE}${JSON.stringify({ status: this.status, body: this.body })}`);
  }

  static fromWire(message: string): Refusal | null {
    if (!message.startsWith(WIRE)) return null;
    const { status, body } = JSON.parse(message.slice(WIRE.length)) as Pick<Refusal, 'status' | 'body'>;
    return new Refusal(status, body);
  }
}

const WIRE = 'refusal ';

/** Words for the problems that the core and the server find: what is wrong, and what would be right. */
const WORDS: Record<string, (params: Problem['params']) => [message: string, hint: string]> = {
  'not-our-file': () => [
    'This is not a Which Way file.',
    'A Which Way file is JSON that begins with "format": "which-way".',
  ],
  'no-version': () => ['The file does not say its version.', 'Add "version": 1.'],
  'unknown-version': ({ version, newest }) => [
    `The file has version ${version}, which this program does not know.`,
    `Versions up to ${newest} can be read; a newer program may be needed.`,
  ],
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
    'docs/file-format.md lists the values.',
  ],
  'schema-enum': ({ allowedValues }) => [
    'This value is not one of the allowed ones.',
    `Use one of: ${allowedValues}.`,
  ],
  'schema-maxLength': ({ limit }) => [`This text is too long.`, `Use at most ${limit} characters.`],
  'schema-minLength': () => ['This text is missing.', 'Say something.'],
  'schema-maxItems': ({ limit }) => ['These are too many at a time.', `Use at most ${limit}.`],
  'schema-minItems': ({ limit }) => ['These are too few.', `Use at least ${limit}.`],
  'schema-maximum': ({ limit }) => ['This number is too large.', `Use at most ${limit}.`],
  'schema-minimum': ({ limit }) => ['This number is too small.', `Use at least ${limit}.`],
  'schema-const': ({ allowedValue }) => ['This value is not the expected one.', `Use ${allowedValue}.`],
  'schema-pattern': ({ pattern }) =>
    pattern === ID_PATTERN
      ? ['This is not an id.', 'Ids are UUIDs in lower case, such as 0f8fad5b-d9cb-469f-a165-70867728950e.']
      : pattern === '\\S'
        ? ['This is blank.', 'It must have a letter or a number in it.']
        : ['This is not of the form that is wanted.', 'docs/file-format.md shows what each field takes.'],
  'terminal-not-listed': ({ label }) => [
    `"${label}" is joined in a position, but is not in the list of terminals.`,
    'Add it to "terminals", or correct the label.',
  ],
  'terminal-in-two-nets': ({ label }) => [
    `"${label}" stands in two groups of the same position.`,
    'Terminals that join belong in one group; put the groups together.',
  ],
  'contact-outside': () => [
    'This contact names a terminal or position that the simulated switch does not have.',
    'Places count from 0; the two ends of a contact differ.',
  ],
  twice: ({ id }) => [`"${id}" is there twice.`, 'Every id, and every number of a device, is used once.'],
  'label-taken': ({ label }) => [`There is a terminal "${label}" already.`, 'Give it a label of its own.'],
  'no-label': () => ['A terminal needs a label.', 'Give it the marking or a number.'],
  'not-there': () => ['The terminal, position or setting is not there.', 'Reload the job and try again.'],
  'already-described': () => ['The switch is described already.', 'Add terminals and positions one by one.'],
  'too-few-terminals': () => ['A switch needs two terminals at least.', 'Give 2 to 96 terminals.'],
  'line-stays': ({ kind }) => [
    `The list must hold the line "${kind}" once.`,
    'Standard lines can be reworded and moved, not left out or doubled.',
  ],
  'line-without-words': () => ['A line of the shop’s own needs words.', 'Say what is to be done.'],
  'lines-out-of-order': () => [
    'Isolating, proving the tester, proving dead and proving the tester again must stay in this order.',
    'Put them back in order; other lines may stand between them.',
  ],
  'event-differs': () => [
    'An event with this id is stored with other contents.',
    'The log is append-only: what is stored stays as it is.',
  ],
  'sequence-taken': () => [
    'This number of its device is stored already, with another event.',
    'Each device counts its events of a job from 1, without using a number twice.',
  ],
  'too-deep': ({ most }) => [
    `Lists and objects stand more than ${most} deep inside one another.`,
    'Nothing of Which Way does: the file or the request is damaged.',
  ],
  'event-too-new': ({ schema, newest }) => [
    `This event was written by a newer Which Way: its version is ${schema}.`,
    `This one reads events up to version ${newest}. Update it here, then send the event again.`,
  ],
  'kind-not-known': ({ kind }) => [
    `"${kind}" is no kind of event that this Which Way knows.`,
    'It was written by a newer one, or misspelt: docs/file-format.md lists the kinds.',
  ],
  'other-handle': () => [
    'These are positions of two handles: they cannot be one and the same.',
    'Choose two positions of one handle.',
  ],
  'merged-with-itself': () => ['A position cannot be put together with itself.', 'Choose another one.'],
  'no-setting': () => ['A switch needs one setting at least.', 'Give a position to begin with.'],
};

/** Puts a problem into the one error shape. */
export function inWords({ code, path, params }: Problem): ApiError {
  const [message, hint] = WORDS[code]?.(params) ?? [
    `This value does not fit: ${params['said'] ?? code}.`,
    'docs/file-format.md and /api/docs say what fits.',
  ];
  const most = code.startsWith('schema-max') ? params['limit'] : undefined;
  const limit = typeof most === 'number' ? { limit: most } : {};
  return { code, message: path === '' ? message : `${path}: ${message}`, path, hint, ...limit };
}

/** Refuses with the first problem, the others beside it. */
export function refuse(status: number, problems: readonly Problem[]): Refusal {
  const [first, ...more] = problems.map(inWords);
  if (!first) throw new Error('nothing to refuse');
  return new Refusal(status, more.length > 0 ? { ...first, more } : first);
}

export function notFound(what: string, id: string): Refusal {
  return new Refusal(404, {
    code: 'not-found',
    message: `There is no ${what} ${id}.`,
    path: '',
    hint: `Look at the list of ${what}s for those that there are.`,
  });
}
