
import type { Difference, MatchResult, NearMiss, Subject } from '@which-way/core/match';
import type { Route } from '@which-way/core/route';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import type { SafetyLists } from '@which-way/core/safety';
import type { EntryId, EventId, JobId, KnownSwitch, PhotoId } from '@which-way/core/switch';
import type { JobAbout, JobEvent, SupplyKind } from '@which-way/core/log';

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
  /** The most that is taken, where it is too much: characters, entries, or the number itself. */
  limit?: number;
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
  /** Put away: not in the list unless asked for. */
  archived: boolean;
  /** What its log is of. */
  about: JobAbout;
  /** Counts changes of the fields above; a stale one is refused. */
  version: number;
}

/** What is worked out of a job's log for the bench. */
export interface DerivedSummary {
  /** null where the job cannot be read. */
  route: Route | null;
  /** Name of the setting that `route.next` speaks of, if it has one. */
  settingName: string | null;
  /** Why the job, or a part of it, cannot be read; null when it can. */
  trouble: string | null;
  /** Of a system: the jobs of its switches. */
  members?: JobId[];
}

/** A job in the list on the bench. */
export interface JobSummary extends Job, DerivedSummary {
  /** The job has gone on since this was worked out; it is being worked out anew. */
  stale: boolean;
}

export interface NewJob {
  id: JobId;
  title: string;
  place?: string;
  outOfMachine: boolean;
  simulation?: SimulatedSwitch | null;
  /** Absent: a switch. */
  about?: JobAbout;
}

export interface JobChange {
  version: number;
  title?: string;
  place?: string;
  outOfMachine?: boolean;
  archived?: boolean;
}

/** An event that is stored and cannot be read: damaged, or written by a newer Which Way. */
export interface UnreadableEvent {
  id: string;
  /** When it was written, as far as that can be read. */
  at: string;
  code: 'damaged' | 'event-too-new' | 'kind-not-known';
  message: string;
}

/** A device that came in with the shop's code. */
export interface SignedIn {
  id: string;
  device: 'phone' | 'tablet' | 'computer';
  /** In the local network, when it signed in. */
  address: string;
  /** ISO 8601. */
  opened: string;
  seen: string;
}

/** The same as a page lists it. */
export interface SignedInDevice extends SignedIn {
  /** Whether it is the device that asks. */
  own: boolean;
}

/** A link by which others in the local network may read the report of one job. */
export interface JobShare {
  token: string;
  /** When it ends by itself. */
  until: string;
}

/** A link with the addresses under which it is reached. */
export interface ShareAnswer {
  share: JobShare | null;
  links: { address: string; qr: string }[];
  /** Whether the server is open to the local network at all. */
  lan: boolean;
}

/** A job with its log as far as it is stored. */
export interface JobWithEvents {
  job: Job;
  /** The ones that can be read. */
  events: JobEvent[];
  /** Empty in a sound job; otherwise what is derived from the rest is not to be trusted. */
  unreadable: UnreadableEvent[];
  /** Goes into `after` of the next request: nothing after it has been seen. */
  cursor: number;
}

export interface PostEvents {
  /** The cursor up to which the sender has seen the log. */
  after: number;
  /** Each is looked at by itself: a bad one spoils no other. */
  events: JobEvent[];
}

/** What became of each event that was sent, and what the sender had not seen. */
export interface PostedEvents {
  /** On the disk now, the ones that were there already included. */
  stored: EventId[];
  refused: { id: EventId; error: ApiError }[];
  /** Photos that these events speak of and whose pixels are not here: whoever still has them sends them again. */
  photosWanted: PhotoId[];
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
  photosAdded: number;
  /** Events that clashed with some that came in meanwhile, and were left. */
  eventsLeft: number;
  /** Whether the shop's settings were taken over. */
  shopTaken: boolean;
}

/** Something of a file that is not taken in: what, where, and why. */
export interface SetAside extends Omit<ApiError, 'more'> {
  /** What it is: 'an event of Table radio, band switch'. */
  of: string;
}

/** What a file would bring, before it is taken in. */
export interface ImportPreview {
  name: string;
  jobsNew: number;
  jobsJoined: number;
  events: number;
  entries: number;
  /** The first ones of the entries whose maker and number are here already: put together with those. */
  merged: MergedInto[];
  mergedCount: number;
  photos: number;
  /** The first ones of its jobs that were deleted here: they come back only where a person says so. */
  deleted: { title: string; when: string }[];
  deletedCount: number;
  /** `same`: as this bench has them; `other`: they would replace the shop's own. */
  shop: 'none' | 'first' | 'same' | 'other';
  /** The first ones of those that are set aside. */
  setAside: SetAside[];
  setAsideCount: number;
}

/** An entry that is put together with one of the same maker and number. */
export interface MergedInto {
  name: string;
  into: string;
  /** Facts in which the two differ: those of the newer one count. */
  changed: string[];
}

/** Long work on the server: it goes on when the page that began it is closed. */
export interface Work {
  id: string;
  kind: 'import' | 'export' | 'backup' | 'restore';
  /** `ready`: an import that was looked through, and waits for a person to take it in. */
  state: 'waiting' | 'running' | 'ready' | 'done' | 'failed' | 'cancelled';
  /** What it does just now. */
  step: 'reading' | 'checking' | 'taking-in' | 'database' | 'photos' | 'putting-in-place' | null;
  done: number;
  /** 0 where nobody knows yet. */
  total: number;
  preview: ImportPreview | null;
  imported: Imported | null;
  /** A file to fetch at /api/works/{id}/file, with its name and size; null when there is none. */
  file: { name: string; bytes: number } | null;
  error: ApiError | null;
}

/** What the stream of an open page brings, besides a word now and then that it is alive. */
export interface StreamMessages {
  /** First of all; another store than before: everything is to be loaded anew. */
  hello: { store: string };
  /** What came into the log of the open job. */
  log: { job: string; events: JobEvent[]; cursor: number; changed: Job };
  /** The job is gone. */
  gone: { job: string };
  /** Something in the list on the bench is another than before. */
  bench: { at: string };
  work: Work;
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
  /** When a backup was made last; null: never. */
  backedUp: string | null;
  /** Events that were acknowledged once and are missing from the database; null when none are. */
  missing: { count: number; noticed: string } | null;
  /** Whether this device came in with the shop's code, and can sign out. */
  signedIn: boolean;
}

/** A page of the library. */
export interface LibraryPage {
  entries: LibraryHead[];
  /** How many fit the search in all. */
  count: number;
  /** Goes into `from` of the next page; null on the last. */
  next: number | null;
}

/** What a list shows of an entry. */
export interface LibraryHead {
  id: EntryId;
  kind: KnownSwitch['kind'];
  name: string;
  maker: string | null;
  family: string;
  terminals: number;
  positions: number;
}

export type { JobEvent, KnownSwitch };

/** A requirement as it travels: what the page knows, readings that are not sent yet included. */
export interface MatchQuestion {
  /** The nets in every position, over all terminals. */
  pattern: number[][];
  /** Places of the terminals that a replacement has to serve. */
  terminals: number[];
  /** Per pair of those the positions, one bit each, in which the fact is known; null when all are. */
  known: number[] | null;
  /** Per pair the positions in which its joining does not matter; null: all of it matters. */
  free: number[] | null;
  /** Other ways that are as good: nets and pairs that do not matter, over the same terminals. */
  also: { pattern: number[][]; free: number[] | null }[];
  /** Pairs of places that must never meet. */
  never: [number, number][];
  /**
   * Junctions that may be added, at most; whether positions may lie unused between, whether there may be more of them than are
   * used, and whether it has to spring back where the old one does.
   */
  rules: { jumpers: number; gaps: boolean; spares: boolean; returns: boolean };
  /** Only entries with these words; empty: all. */
  words: string;
  subject: Subject;
}

/** An entry of the library with what came out for it. */
export interface MatchedEntry {
  known: KnownSwitch;
  result: MatchResult;
  /** Safety first; empty where it does not do. */
  differences: Difference[];
  /** What it falls short of by one thing; null: more than that, or not looked at. */
  near: NearMiss | null;
  /** Which of the ways that were asked for it does: 0 is the first, then those of `also`. */
  way: number;
}

/** What a search through the library has found. */
export interface MatchAnswer {
  /** Best first; of those that may do and those that do not a certain number at most. */
  candidates: MatchedEntry[];
  /** Compared pair by pair. */
  looked: number;
  /** All of the library; those too small are ruled out by their size without being looked at. */
  all: number;
  /** By kind of result. */
  counts: Record<MatchResult['kind'], number>;
  /** Those that are not ruled out, by name, up to a number: so that it can be said which come and go. Only of the whole answer. */
  named: { id: EntryId; name: string }[];
  /** Whether the whole library was looked at; else it is what was found so far. */
  done: boolean;
}
