import type { InSetting } from '../power/in-setting.js';
import type { LoadDoes } from '../power/load-state.js';
import type { LoadId, SettingId } from '../../switch/index.js';
import type { Combination } from './combinations.js';

/** One handle with those of its settings in which something holds. */
export interface HandleSettings {
  handle: number;
  settings: readonly SettingId[];
}

/** When a load runs, over all combinations that were worked out, where that has a short name. */
export type LoadBehaviour =
  | { kind: 'not-known' | 'never' | 'always' | 'mixed' }
  /** A coil holds it once it was started. */
  | { kind: 'holds' }
  /** Whenever one handle alone stands so, whatever the others do. */
  | { kind: 'follows'; part: HandleSettings }
  /** It changes with a step of any of these, whatever the others do. */
  | { kind: 'either'; handles: number[] }
  /** Only while each of these stands so. */
  | { kind: 'all'; parts: HandleSettings[] }
  /** As soon as one of these stands so. */
  | { kind: 'any'; parts: HandleSettings[] };

const RUNS: ReadonlySet<LoadDoes> = new Set(['full', 'part', 'reversed']);

/**
 * When a load runs, in words that need no table. `combinations` are a whole product of settings, in the order of `results`.
 */
export function behaviourOf(
  load: LoadId,
  combinations: readonly Combination[],
  results: readonly InSetting[],
): LoadBehaviour {
  const does = results.map(({ loads }) => loads.get(load)?.does ?? 'not-known');
  if (does.includes('not-known') || does.includes('chatters')) return { kind: 'not-known' };
  if (results.some(({ loads }) => loads.get(load)?.held)) return { kind: 'holds' };
  const runs = does.map((one) => RUNS.has(one));
  if (runs.every(Boolean)) return { kind: 'always' };
  if (!runs.some(Boolean)) return { kind: 'never' };
  const product = new Product(combinations, runs);
  const matter = product.mattering();
  const [first] = matter;
  if (matter.length === 1 && first !== undefined) {
    const settings = product.settings(first).filter((one) => product.holds({ [first]: one }));
    return { kind: 'follows', part: { handle: first, settings } };
  }
  if (product.isParity(matter)) return { kind: 'either', handles: matter };
  const all = product.box(matter, true);
  if (all) return { kind: 'all', parts: all };
  const none = product.box(matter, false);
  if (!none) return { kind: 'mixed' };
  const parts = none.map(({ handle, settings }) => ({
    handle,
    settings: product.settings(handle).filter((one) => !settings.includes(one)),
  }));
  return { kind: 'any', parts };
}

/** A truth value for each combination of a product. */
class Product {
  readonly #runs = new Map<string, boolean>();
  readonly #base: Combination;
  readonly #settings: readonly (readonly SettingId[])[];

  constructor(
    private readonly combinations: readonly Combination[],
    runs: readonly boolean[],
  ) {
    this.#base = combinations[0] ?? [];
    this.#settings = this.#base.map((_, handle) => [
      ...new Set(combinations.map((one) => one[handle] as SettingId)),
    ]);
    combinations.forEach((one, at) => this.#runs.set(one.join(), runs[at] === true));
  }

  settings(handle: number): readonly SettingId[] {
    return this.#settings[handle] ?? [];
  }

  /** Whether it runs in the first combination, with some handles standing otherwise. */
  holds(otherwise: Record<number, SettingId>): boolean {
    return this.#at(this.#base.map((setting, at) => otherwise[at] ?? setting));
  }

  #at(combination: Combination): boolean {
    return this.#runs.get(combination.join()) === true;
  }

  /** Handles that change it somewhere. */
  mattering(): number[] {
    return this.#base.flatMap((_, handle) => {
      const changes = this.combinations.some((one) =>
        this.settings(handle).some(
          (setting) => this.#at(one) !== this.#at(one.map((was, at) => (at === handle ? setting : was))),
        ),
      );
      return changes ? [handle] : [];
    });
  }

  /** Whether each handle turns it over by itself, whatever the others do. */
  isParity(matter: readonly number[]): boolean {
    const base = this.holds({});
    const turns = matter.map(
      (handle) =>
        [
          handle,
          new Map(this.settings(handle).map((one) => [one, this.holds({ [handle]: one }) !== base])),
        ] as const,
    );
    return this.combinations.every((one) => {
      const turned = turns.filter(([handle, by]) => by.get(one[handle] as SettingId) === true).length;
      return this.#at(one) === ((turned % 2 === 1) !== base);
    });
  }

  /** The settings of each handle in which it is so, where it is so exactly while each stands in one of its own; else null. */
  box(matter: readonly number[], runs: boolean): HandleSettings[] | null {
    const where = this.combinations.filter((one) => this.#at(one) === runs);
    const parts = matter.map((handle) => ({
      handle,
      settings: this.settings(handle).filter((setting) => where.some((one) => one[handle] === setting)),
    }));
    const isIn = (one: Combination) =>
      parts.every(({ handle, settings }) => settings.includes(one[handle] as SettingId));
    return this.combinations.filter(isIn).length === where.length ? parts : null;
  }
}
