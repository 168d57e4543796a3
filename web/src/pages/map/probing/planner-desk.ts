import type { SwitchMap } from '@which-way/core/continuity';
import type { Approach, JobEvent } from '@which-way/core/log';
import type { Recognised } from '@which-way/core/match';
import type { Expected, FollowUps, Plan, RecheckCost } from '@which-way/core/planner';
import type { KnownSwitch, SettingId } from '@which-way/core/switch';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { openPlanner, type PlannerDoor } from './planner-door.js';
import type { PlannerAnswer } from './planner.worker.js';

/** What the planner beside the screen has worked out for the map that it was asked about; null where it has not got there. */
export interface DeskView {
  plan: Plan | null;
  followUps: FollowUps | null;
  /** The newest follow-ups there are, and the map that they are of: perhaps the one before an answer. */
  ahead: { map: SwitchMap; followUps: FollowUps } | null;
  /** What the re-check of a complete map would take. */
  recheck: RecheckCost | null;
  /** What the switch looks like so far. */
  recognised: readonly Recognised[];
  /** What is left by an approach, by its name; one that is an answer old still serves. */
  forecasts: ReadonlyMap<string, Expected>;
  /** Whether there is nobody who works it out: no workers here, or theirs broke. */
  alone: boolean;
}

const NOTHING: DeskView = {
  plan: null,
  followUps: null,
  ahead: null,
  recheck: null,
  recognised: [],
  forecasts: new Map(),
  alone: false,
};

/** What an approach is called among forecasts. */
export const nameOfApproach = (approach: Approach): string => JSON.stringify(approach);

/**
 * Asks the one planner beside the screen for plan, follow-ups and forecasts of a map, anew whenever the map, the time or what
 * is wanted changes. Answers to an older question are dropped. A planner that broke is begun anew with the next question.
 */
export class PlannerDesk {
  readonly store: StoreApi<DeskView>;
  #door: PlannerDoor | null = null;
  #version = 0;
  #sent: JobEvent[] = [];
  #library: readonly KnownSwitch[] = [];
  #librarySent = false;
  readonly #wanted = new Map<string, readonly Approach[]>();
  #asked: readonly Approach[] = [];
  #about: { map: SwitchMap; at: SettingId | null; now: string } | null = null;

  /** @param openDoor opens the planner that is asked. */
  constructor(private readonly openDoor = openPlanner) {
    this.store = createStore(() => ({ ...NOTHING, alone: typeof Worker === 'undefined' }));
  }

  /** Asks about a map as it is now. */
  look(map: SwitchMap, at: SettingId | null, now: string): void {
    const before = this.#about;
    this.#about = { map, at, now };
    // A forecast that is one answer old still serves; a plan and prompts that are foreseen do not.
    if (before?.map !== map || before.at !== at) this.store.setState({ plan: null, followUps: null });
    this.#ask();
  }

  /** What somebody wants forecast, besides what others want; an empty list: nothing any more. */
  want(who: string, approaches: readonly Approach[]): void {
    const same = JSON.stringify(this.#wanted.get(who) ?? []) === JSON.stringify(approaches);
    if (same) return;
    if (approaches.length === 0) return void this.#wanted.delete(who);
    this.#wanted.set(who, approaches);
    this.#ask();
  }

  /** Known switches that this one may turn out to be. */
  recogniseBy(library: readonly KnownSwitch[]): void {
    if (library === this.#library) return;
    this.#library = library;
    this.#librarySent = false;
    this.#ask();
  }

  /** Nothing is asked any more. */
  end(): void {
    this.#door?.end();
    this.#door = null;
    this.#about = null;
  }

  #ask(): void {
    const about = this.#about;
    if (!about) return;
    this.#door ??= this.#open();
    if (!this.#door) return;
    const { map, at, now } = about;
    const events = map.log.ordered;
    const differs = this.#sent.findIndex((event, index) => event !== events[index]);
    const from = differs < 0 ? Math.min(this.#sent.length, events.length) : differs;
    const byName = new Map([...this.#wanted.values()].flat().map((one) => [nameOfApproach(one), one]));
    this.#asked = [...byName.values()];
    this.#version += 1;
    this.#door.ask({
      version: this.#version,
      from,
      added: events.slice(from),
      at,
      now,
      approaches: [...this.#asked],
      library: this.#librarySent ? null : [...this.#library],
    });
    this.#sent = events;
    this.#librarySent = true;
  }

  #open(): PlannerDoor | null {
    this.#sent = [];
    this.#librarySent = false;
    return this.openDoor(
      (answer) => this.#hear(answer),
      () => {
        // Begun anew with the next question; until then everything is worked out here, the plain way.
        this.#door = null;
        this.store.setState({ ...NOTHING, alone: true });
      },
    );
  }

  #hear(answer: PlannerAnswer): void {
    const about = this.#about;
    if (!about || answer.version !== this.#version) return;
    switch (answer.kind) {
      case 'plan':
        return this.store.setState({ plan: answer.plan, alone: false });
      case 'recognised':
        return this.store.setState({ recognised: answer.recognised });
      case 'follow-ups': {
        const { followUps } = answer;
        return this.store.setState({ followUps, ahead: { map: about.map, followUps } });
      }
      case 'recheck':
        return this.store.setState({ recheck: answer.cost });
      case 'forecast': {
        const approach = this.#asked[answer.approach];
        if (!approach) return;
        const forecasts = new Map(this.store.getState().forecasts);
        forecasts.set(nameOfApproach(approach), answer.expected);
        this.store.setState({ forecasts });
      }
    }
  }
}
