import type { JobFile } from '@which-way/core/formats';
import type { Route } from '@which-way/core/route';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import type { SafetyLists } from '@which-way/core/safety';
import type { EventId, JobEvent, JobId, KnownSwitch, PhotoId, SupplyKind } from '@which-way/core/switch';

/** The one shape of every refusal. */
export interface ApiError {
  /** For programs. */
  code: string;
  /** What is wrong, in words. */
  message: string;
  /** Where: a dotted path into what was sent; empty when it is about the whole. */
  path: string;
  /** What would be right. */
  hint: string;
  /** Further refusals of the same request. */
  more?: Omit<ApiError, 'more'>[];
}

/** A job without its log. */
export interface Job {
  id: JobId;
  /** Counts up in the shop: what people say. */
  number: number;
  title: string;
  place: string;
  outOfMachine: boolean;
  simulation: SimulatedSwitch | null;
  created: string;
  /** When its last event or change was stored. */
  updated: string;
  /** Counts changes of the fields above; a stale one is refused. */
  version: number;
}

/** A job in the list on the bench. */
export interface JobSummary extends Job {
  route: Route;
  /** Name of the setting that `route.next` speaks of, if it has one. */
  settingName: string | null;
}

export interface NewJob {
  id: JobId;
  title: string;
  place?: string;
  outOfMachine: boolean;
  simulation?: SimulatedSwitch | null;
}

export interface JobChange {
  version: number;
  title?: string;
  place?: string;
  outOfMachine?: boolean;
}

/** A job with its log as far as it is stored. */
export interface JobWithEvents {
  job: Job;
  events: JobEvent[];
  /** Goes into `after` of the next request: nothing after it has been seen. */
  cursor: number;
}

export interface PostEvents {
  /** The cursor up to which the sender has seen the log. */
  after: number;
  events: JobEvent[];
}

/** What became of each event that was sent, and what the sender had not seen. */
export interface PostedEvents {
  /** On the disk now, the ones that were there already included. */
  stored: EventId[];
  refused: { id: EventId; error: ApiError }[];
  /** Events after the sender's cursor, its own included. */
  events: JobEvent[];
  cursor: number;
}

export interface Imported {
  jobsAdded: number;
  jobsMerged: number;
  eventsAdded: number;
  entriesAdded: number;
  entriesChanged: number;
}

/** A photo on the server's disk: upright, without metadata. */
export interface StoredPhoto {
  id: PhotoId;
  /** In pixels. */
  width: number;
  height: number;
}

/** What the shop has set for itself. */
export interface Shop {
  /** Counts its changes; a stale one is refused. */
  version: number;
  name: string;
  safetyLists: SafetyLists;
  /** What local codes ask for, in the shop's own words. */
  codeNotes: Record<SupplyKind, string>;
}

/** A change of all of it, made on a version. */
export type ShopChange = Shop;

export interface Health {
  status: 'ok';
  version: string;
  /** Whether this data folder holds the demo. */
  demo: boolean;
}

export type { JobFile, JobEvent, KnownSwitch };
