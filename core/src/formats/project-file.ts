import { listProblems, type SafetyLists } from '../safety/index.js';
import type { SimulatedSwitch } from '../simulated/index.js';
import {
  ageOf,
  upgradeEvent,
  type JobAbout,
  type JobEvent,
  type SupplyKind,
  type Load,
} from '../log/index.js';
import { MOST_LEVELS } from '../schema/index.js';
import type { JobId, KnownSwitch, PartFacts, Problem } from '../switch/index.js';
import * as made from './checkers.js';
import { FILE_VERSION } from './schema.js';

/** A job with its whole log. */
export interface JobFile {
  id: JobId;
  title: string;
  /** Where it stands or whose it is, in the shop's words. */
  place: string;
  outOfMachine: boolean;
  simulation: SimulatedSwitch | null;
  created: string;
  /** What its log is of; absent: a switch. */
  about?: JobAbout;
  events: JobEvent[];
}

/** What a shop sets for itself, as it stands in a file. */
export interface ShopFile {
  name: string;
  safetyLists: SafetyLists;
  codeNotes: Record<SupplyKind, string>;
}

/** The project's own file. */
export interface ProjectFile {
  format: 'which-way';
  version: typeof FILE_VERSION;
  /** null where the file does not speak of it. */
  shop: ShopFile | null;
  jobs: JobFile[];
  library: KnownSwitch[];
}

/** Brings a file of one version to the next; the key is the version it starts from. */
export type Upgrades = Readonly<Record<number, (file: Record<string, unknown>) => Record<string, unknown>>>;

/** Version 2 brought the shop's settings. */
const UPGRADES: Upgrades = { 1: (file) => ({ ...file, version: 2, shop: null }) };

export type ReadResult = { ok: true; file: ProjectFile } | { ok: false; problems: Problem[] };

/** What a checker says of a value: the first thing that is wrong is in `errors`. */
interface Checker<Value> {
  (value: unknown): value is Value;
  errors?: CheckError[] | null;
}

interface CheckError {
  instancePath: string;
  keyword: string;
  params: Record<string, unknown>;
  message?: string;
}

/** The checkers are made at build from the schemas (tools/make-checkers.mjs), one for each schema of all-schemas.ts. */
const checkers = made as unknown as {
  checkFile: Checker<ProjectFile>;
  checkDeed: Checker<unknown>;
  checkEvent: Checker<JobEvent>;
  checkId: Checker<string>;
  checkTitle: Checker<string>;
  checkPlace: Checker<string>;
  checkJobHead: Checker<Omit<JobFile, 'events'>>;
  checkKnownSwitch: Checker<KnownSwitch>;
  checkLoad: Checker<Load>;
  checkPartFacts: Checker<PartFacts>;
  checkShop: Checker<ShopFile>;
  checkSimulatedSwitch: Checker<SimulatedSwitch>;
};

/**
 * Reads what is claimed to be a Which Way file: upgrades an older version, checks it against the schema, then
 * checks what a schema cannot say. Never throws; every problem names its place in the file.
 */
export function readProjectFile(parsed: unknown, upgrades: Upgrades = UPGRADES): ReadResult {
  const upgraded = upgradeFile(parsed, upgrades);
  if (!upgraded.ok) return upgraded;
  upgraded.file = withEventsOfToday(upgraded.file);
  if (!checkers.checkFile(upgraded.file)) return { ok: false, problems: problemsOf(checkers.checkFile) };
  const problems = [
    ...upgraded.file.library.flatMap((entry, index) => knownSwitchProblems(entry, `library.${index}`)),
    ...upgraded.file.jobs.flatMap((job, index) => jobProblems(job, `jobs.${index}`)),
    ...(upgraded.file.shop
      ? shopProblems(upgraded.file.shop).map((problem) => ({ ...problem, path: `shop.${problem.path}` }))
      : []),
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

/** Brings what is claimed to be a Which Way file, or only its outermost fields, to the version of this build. */
export function upgradeFile(
  parsed: unknown,
  upgrades: Upgrades = UPGRADES,
): { ok: true; file: unknown } | { ok: false; problems: Problem[] } {
  const refuse = (code: Problem['code'], path: string, params: Problem['params'] = {}) => ({
    ok: false as const,
    problems: [{ code, path, params }],
  });
  if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed))
    return refuse('not-our-file', '');
  if (levelsOf(parsed) > MOST_LEVELS) return refuse('too-deep', '', { most: MOST_LEVELS });
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

const problemsIn =
  (name: 'checkId' | 'checkTitle' | 'checkPlace' | 'checkLoad' | 'checkPartFacts') =>
  (value: unknown): Problem[] =>
    checkers[name](value) ? [] : problemsOf(checkers[name]);
/** What is wrong with what is claimed to be an id, wherever one comes in. */
export const idProblems = problemsIn('checkId');
/** What is wrong with a job's title, or the place where it stands. */
export const titleProblems = problemsIn('checkTitle');
export const placeProblems = problemsIn('checkPlace');
/** What is wrong with a load, or with what is stated of a part, that came from elsewhere. */
export const loadProblems = problemsIn('checkLoad');
export const partFactsProblems = problemsIn('checkPartFacts');

/** What is wrong with the body of an event. Empty when it is well formed. */
export function deedProblems(what: unknown): Problem[] {
  return checkers.checkDeed(what) ? [] : problemsOf(checkers.checkDeed);
}

/** An event as this program knows it, or what is wrong with it. */
export type ReadEvent = { ok: true; event: JobEvent } | { ok: false; problems: Problem[] };

/**
 * Reads what is claimed to be an event, envelope and body: one of an older version of its kind is upgraded, one of a newer
 * program is told as such. Everything that takes events in (the page, the server, an import) takes them through this.
 */
export function readEvent(claimed: unknown): ReadEvent {
  const refuse = (...problems: Problem[]): ReadEvent => ({ ok: false, problems });
  if (levelsOf(claimed) > MOST_LEVELS)
    return refuse({ code: 'too-deep', path: '', params: { most: MOST_LEVELS } });
  const newer = newerProblem(claimed);
  if (newer) return refuse(newer);
  const event = upgradeEvent(claimed);
  return checkers.checkEvent(event) ? { ok: true, event } : refuse(...problemsOf(checkers.checkEvent));
}

/** What is wrong with an event, envelope and body. Empty when it can be read. */
export function eventProblems(claimed: unknown): Problem[] {
  const read = readEvent(claimed);
  return read.ok ? [] : read.problems;
}

/** That an event was written by a newer program: its kind is not known here, or its version is not. */
function newerProblem(event: unknown): Problem | null {
  const age = ageOf(event);
  if (age.is === 'unknown-kind')
    return { code: 'kind-not-known', path: 'what.kind', params: { kind: age.kind.slice(0, 60) } };
  if (age.is !== 'newer') return null;
  const { schema } = event as { schema: number };
  return { code: 'event-too-new', path: 'schema', params: { schema, newest: age.newest } };
}

/** A file whose events are upgraded, wherever there are some; what is no list or no job stays as it is. */
function withEventsOfToday(file: unknown): unknown {
  const { jobs, ...rest } = file as Record<string, unknown>;
  if (!Array.isArray(jobs)) return file;
  return {
    ...rest,
    jobs: jobs.map((job: unknown) => {
      if (typeof job !== 'object' || job === null || !('events' in job)) return job;
      return Array.isArray(job.events) ? { ...job, events: job.events.map(upgradeEvent) } : job;
    }),
  };
}

/** What is wrong with a job of a file, without its log. */
export function jobHeadProblems(head: unknown): Problem[] {
  if (levelsOf(head) > MOST_LEVELS) return [{ code: 'too-deep', path: '', params: { most: MOST_LEVELS } }];
  if (!checkers.checkJobHead(head)) return problemsOf(checkers.checkJobHead);
  const simulation = head.simulation ? simulatedSwitchProblems(head.simulation) : [];
  return simulation.map((problem) => ({ ...problem, path: `simulation.${problem.path}` }));
}

/** Lists and objects inside one another, at most as many as matter: a value deeper than that is never walked to its end. */
export function levelsOf(value: unknown, most = MOST_LEVELS + 1): number {
  let level = 0;
  let row = [value];
  while (level < most) {
    const next: unknown[] = [];
    for (const item of row)
      if (typeof item === 'object' && item !== null)
        for (const inner of Object.values(item)) next.push(inner);
    if (next.length === 0)
      return level + (row.some((item) => typeof item === 'object' && item !== null) ? 1 : 0);
    row = next;
    level += 1;
  }
  return level;
}

/** What is wrong with a library entry: shape, labels named but not listed, groups that overlap. */
export function knownSwitchProblems(entry: unknown, path = ''): Problem[] {
  if (levelsOf(entry) > MOST_LEVELS) return [{ code: 'too-deep', path, params: { most: MOST_LEVELS } }];
  if (!checkers.checkKnownSwitch(entry)) return problemsOf(checkers.checkKnownSwitch);
  const listed = new Set(entry.terminals);
  return entry.positions.flatMap(({ joined }, index) => {
    const at = `${path === '' ? '' : `${path}.`}positions.${index}.joined`;
    const named = joined.flat();
    const strangers = named.filter((label) => !listed.has(label));
    const twice = named.filter((label, place) => named.indexOf(label) !== place);
    const problem = (code: Problem['code'], label: string): Problem => ({
      code,
      path: at,
      params: { label },
    });
    return [
      ...strangers.map((label) => problem('terminal-not-listed', label)),
      ...twice.map((label) => problem('terminal-in-two-nets', label)),
    ];
  });
}

/** What is wrong with a shop's settings: shape, and lists that leave out what must stay. */
export function shopProblems(shop: unknown): Problem[] {
  return checkers.checkShop(shop) ? listProblems(shop.safetyLists) : problemsOf(checkers.checkShop);
}

/** What is wrong with a simulated switch. */
export function simulatedSwitchProblems(hidden: unknown): Problem[] {
  if (!checkers.checkSimulatedSwitch(hidden)) return problemsOf(checkers.checkSimulatedSwitch);
  const outside = ({ a, b }: { a: number; b: number }) => Math.max(a, b) >= hidden.terminals || a === b;
  const contacts = hidden.contacts.flatMap((contact, index): Problem[] =>
    outside(contact) || contact.closedIn.some((place) => place >= hidden.positions.length)
      ? [{ code: 'contact-outside', path: `contacts.${index}`, params: {} }]
      : [],
  );
  const parts = (hidden.parts ?? []).flatMap((part, index): Problem[] =>
    outside(part) ? [{ code: 'contact-outside', path: `parts.${index}`, params: {} }] : [],
  );
  return [...contacts, ...parts];
}

function jobProblems(job: JobFile, path: string): Problem[] {
  const simulation = job.simulation ? simulatedSwitchProblems(job.simulation) : [];
  return [
    ...simulation.map((problem) => ({ ...problem, path: `${path}.simulation.${problem.path}` })),
    ...job.events.flatMap((event, index) => {
      const newer = newerProblem(event);
      return newer ? [{ ...newer, path: `${path}.events.${index}.${newer.path}` }] : [];
    }),
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

function problemsOf({ errors }: { errors?: CheckError[] | null }): Problem[] {
  return (errors ?? []).slice(0, 5).map((error) => ({
    code: `schema-${error.keyword}`,
    path: pathOf(error),
    params: { said: error.message ?? '', ...flatParams(error.params) },
  }));
}

function pathOf({ instancePath, params }: CheckError): string {
  const last = params['additionalProperty'] ?? params['missingProperty'];
  const parts = instancePath.split('/').slice(1);
  return [...parts, ...(last === undefined ? [] : [String(last)])].join('.');
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
