import { Ajv2020, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { listProblems, type SafetyLists } from '../safety/index.js';
import type { SimulatedSwitch } from '../simulated/index.js';
import type { JobEvent, JobId, KnownSwitch, Problem } from '../switch/index.js';
import { deedSchema } from './schema-parts.js';
import { knownSwitchSchema, projectFileSchema, shopSchema, simulatedSwitchSchema } from './schema.js';

/** A job with its whole log. */
export interface JobFile {
  id: JobId;
  title: string;
  /** Where it stands or whose it is, in the shop's words. */
  place: string;
  outOfMachine: boolean;
  simulation: SimulatedSwitch | null;
  created: string;
  events: JobEvent[];
}

/** The project's own file. */
export interface ProjectFile {
  format: 'which-way';
  version: 1;
  jobs: JobFile[];
  library: KnownSwitch[];
}

/** The version that this build writes. */
export const FILE_VERSION = 1;

/** Brings a file of one version to the next; the key is the version it starts from. */
export type Upgrades = Readonly<Record<number, (file: Record<string, unknown>) => Record<string, unknown>>>;

const UPGRADES: Upgrades = {};

export type ReadResult = { ok: true; file: ProjectFile } | { ok: false; problems: Problem[] };

const ajv = new Ajv2020({ allErrors: false, discriminator: true, strict: false });
(addFormats as unknown as (instance: Ajv2020) => void)(ajv);
const validateFile = ajv.compile<ProjectFile>(projectFileSchema);
const validateDeed = ajv.compile(deedSchema);
const validateKnown = ajv.compile<KnownSwitch>(knownSwitchSchema);
const validateShop = ajv.compile<{ safetyLists: SafetyLists }>(shopSchema);
const validateSimulated = ajv.compile<SimulatedSwitch>(simulatedSwitchSchema);

/**
 * Reads what is claimed to be a Which Way file: upgrades an older version, checks it against the schema, then
 * checks what a schema cannot say. Never throws; every problem names its place in the file.
 */
export function readProjectFile(parsed: unknown, upgrades: Upgrades = UPGRADES): ReadResult {
  const upgraded = upgradeFile(parsed, upgrades);
  if (!upgraded.ok) return upgraded;
  if (!validateFile(upgraded.file)) return { ok: false, problems: problemsOf(validateFile) };
  const problems = [
    ...upgraded.file.library.flatMap((entry, index) => knownSwitchProblems(entry, `library.${index}`)),
    ...upgraded.file.jobs.flatMap((job, index) => jobProblems(job, `jobs.${index}`)),
    ...repeated(
      upgraded.file.jobs.map(({ id }) => id),
      'jobs',
    ),
    ...repeated(
      upgraded.file.library.map(({ id }) => id),
      'library',
    ),
  ];
  return problems.length > 0 ? { ok: false, problems } : { ok: true, file: upgraded.file };
}

function upgradeFile(
  parsed: unknown,
  upgrades: Upgrades,
): { ok: true; file: unknown } | { ok: false; problems: Problem[] } {
  const refuse = (code: string, path: string, params: Problem['params'] = {}) => ({
    ok: false as const,
    problems: [{ code, path, params }],
  });
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    return refuse('not-our-file', '');
  let file: Record<string, unknown> = { ...parsed };
  if (file['format'] !== 'which-way') return refuse('not-our-file', 'format');
  for (;;) {
    const { version } = file;
    if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
      return refuse('no-version', 'version');
    if (version === FILE_VERSION) return { ok: true, file };
    const upgrade = upgrades[version];
    if (!upgrade) return refuse('unknown-version', 'version', { version, newest: FILE_VERSION });
    file = upgrade(file);
  }
}

/** What is wrong with the body of an event. Empty when it is well formed. */
export function deedProblems(what: unknown): Problem[] {
  return validateDeed(what) ? [] : problemsOf(validateDeed);
}

/** What is wrong with a library entry: shape, labels named but not listed, groups that overlap. */
export function knownSwitchProblems(entry: unknown, path = ''): Problem[] {
  if (!validateKnown(entry)) return problemsOf(validateKnown);
  const listed = new Set(entry.terminals);
  return entry.positions.flatMap(({ joined }, index) => {
    const at = `${path === '' ? '' : `${path}.`}positions.${index}.joined`;
    const named = joined.flat();
    const strangers = named.filter((label) => !listed.has(label));
    const twice = named.filter((label, place) => named.indexOf(label) !== place);
    return [
      ...strangers.map((label) => ({ code: 'terminal-not-listed', path: at, params: { label } })),
      ...twice.map((label) => ({ code: 'terminal-in-two-nets', path: at, params: { label } })),
    ];
  });
}

/** What is wrong with a shop's settings: shape, and lists that leave out what must stay. */
export function shopProblems(shop: unknown): Problem[] {
  return validateShop(shop) ? listProblems(shop.safetyLists) : problemsOf(validateShop);
}

/** What is wrong with a simulated switch. */
export function simulatedSwitchProblems(hidden: unknown): Problem[] {
  if (!validateSimulated(hidden)) return problemsOf(validateSimulated);
  const outside = ({ a, b }: { a: number; b: number }) => Math.max(a, b) >= hidden.terminals || a === b;
  const contacts = hidden.contacts.flatMap((contact, index) =>
    outside(contact) || contact.closedIn.some((place) => place >= hidden.positions.length)
      ? [{ code: 'contact-outside', path: `contacts.${index}`, params: {} }]
      : [],
  );
  const parts = (hidden.parts ?? []).flatMap((part, index) =>
    outside(part) ? [{ code: 'contact-outside', path: `parts.${index}`, params: {} }] : [],
  );
  return [...contacts, ...parts];
}

function jobProblems(job: JobFile, path: string): Problem[] {
  const simulation = job.simulation ? simulatedSwitchProblems(job.simulation) : [];
  return [
    ...simulation.map((problem) => ({ ...problem, path: `${path}.simulation.${problem.path}` })),
    ...repeated(
      job.events.map(({ id }) => id),
      `${path}.events`,
    ),
    ...repeated(
      job.events.map(({ device, sequence }) => `${device} ${sequence}`),
      `${path}.events`,
    ),
  ];
}

function repeated(keys: string[], path: string): Problem[] {
  const seen = new Set<string>();
  return keys.flatMap((key, index) => {
    const again = seen.has(key);
    seen.add(key);
    return again ? [{ code: 'twice', path: `${path}.${index}`, params: { id: key } }] : [];
  });
}

function problemsOf({ errors }: Pick<ValidateFunction, 'errors'>): Problem[] {
  return (errors ?? []).slice(0, 5).map((error) => ({
    code: `schema-${error.keyword}`,
    path: pathOf(error),
    params: { said: error.message ?? '', ...flatParams(error.params) },
  }));
}

function pathOf({ instancePath, params }: ErrorObject): string {
  const extra = (params as { additionalProperty?: string; missingProperty?: string }) ?? {};
  const parts = instancePath.split('/').slice(1);
  const last = extra.additionalProperty ?? extra.missingProperty;
  return [...parts, ...(last === undefined ? [] : [last])].join('.');
}

function flatParams(params: Record<string, unknown>): Problem['params'] {
  return Object.fromEntries(
    Object.entries(params).flatMap(([key, value]) =>
      typeof value === 'string' || typeof value === 'number'
        ? [[key, value]]
        : Array.isArray(value)
          ? [[key, value.join(', ')]]
          : [],
    ),
  );
}
