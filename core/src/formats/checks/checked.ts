import type { SpokenDriver } from '../../sense/meter/index.js';
import type { JobEvent, Load } from '../../log/index.js';
import type { SimulatedSwitch } from '../../simulated/index.js';
import type { KnownSwitch, PartFacts, Problem } from '../../switch/index.js';
import * as made from '../checkers.js';
import type { JobFile, ProjectFile, ShopFile } from '../project-file.js';

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
export const checkers = made as unknown as {
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
  checkSpokenDriver: Checker<SpokenDriver>;
  checkShop: Checker<ShopFile>;
  checkSimulatedSwitch: Checker<SimulatedSwitch>;
};

/** What a checker found, as problems: the first five. */
export function problemsOf({ errors }: { errors?: CheckError[] | null }): Problem[] {
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
