import { listProblems, type SafetyLists } from '../safety/index.js';
import type { SimulatedSwitch } from '../simulated/index.js';
import {
  upgradeEvent,
  type JobAbout,
  type JobEvent,
  type MeterProfile,
  type SupplyKind,
} from '../log/index.js';
import { MOST_LEVELS } from '../schema/index.js';
import type { JobId, KnownSwitch, Problem } from '../switch/index.js';
import { checkers, problemsOf } from './checks/checked.js';
import { knownSwitchProblems } from './checks/entry-problems.js';
import { levelsOf } from './checks/levels.js';
import { newerProblem } from './checks/read-event.js';
import { FILE_VERSION } from './schema.js';
import { simulatedSwitchProblems } from './checks/simulated-problems.js';

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
  meters: MeterProfile[];
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

/** Version 2 brought the shop's settings, version 3 its meters. */
const UPGRADES: Upgrades = {
  1: (file) => ({ ...file, version: 2, shop: null }),
  2: (file) => ({ ...file, version: 3, shop: shopOfToday(file['shop']) }),
};

/** What a shop had set, as this version keeps it: one that was kept before it had meters of its own has none. */
export const shopOfToday = (shop: unknown): unknown =>
  typeof shop === 'object' && shop !== null && !Array.isArray(shop) ? { meters: [], ...shop } : shop;

export type ReadResult = { ok: true; file: ProjectFile } | { ok: false; problems: Problem[] };

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

/** What is wrong with a shop's settings: shape, and lists that leave out what must stay. */
export function shopProblems(shop: unknown): Problem[] {
  if (!checkers.checkShop(shop)) return problemsOf(checkers.checkShop);
  return [
    ...listProblems(shop.safetyLists),
    ...repeated(
      shop.meters.map(({ name }) => name),
      'meters',
    ),
  ];
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
