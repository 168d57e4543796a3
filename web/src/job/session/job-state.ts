import type { ApiError, Job, UnreadableEvent } from '@which-way/contract';
import type { SwitchMap } from '@which-way/core/continuity';
import type { JobEvent } from '@which-way/core/log';
import type { PhotoId } from '@which-way/core/switch';
import type { Strange } from '../outbox/strange.js';
import type { SetAside } from '../outbox/set-aside.js';
import { JOB_STATE_TEXT } from '@which-way/words/screens/job/session/job-state';

/**
 * Where the person's work is. `saved` means: on the server's disk; `waiting`: kept by this browser through a reload, on its
 * way; `page-only`: nowhere but in this open page, since the browser does not keep it.
 */
export type SaveState =
  | { state: 'saved' }
  | { state: 'sending'; count: number }
  | { state: 'waiting'; count: number; reason: string }
  | { state: 'page-only'; count: number; reason: string }
  | { state: 'failed'; count: number; reason: string };

/** A photo that is not on the server yet, to be shown meanwhile; with the reason if the server will not have it. */
export interface WaitingPhoto {
  id: PhotoId;
  url: string;
  refused: ApiError | null;
}

export interface JobState {
  job: Job | null;
  /** Why the job cannot be shown; null when it can. `deleted`: it was, and what is here can still be saved as a file. */
  trouble: { message: string; hint: string; missing: boolean; deleted: boolean } | null;
  /** Stored events that cannot be read: nothing may be built on the rest. */
  unreadable: readonly UnreadableEvent[];
  events: readonly JobEvent[];
  map: SwitchMap;
  save: SaveState;
  photos: readonly WaitingPhoto[];
  /** What the server refused, until a person has mended it or left it out. */
  aside: readonly SetAside[];
  /** What this browser kept and cannot read, until a person has saved or dropped it. */
  strange: readonly Strange[];
  /** Events that this browser had from the server once, and that the server does not have any more. */
  lost: readonly JobEvent[];
}

/** A job before anything of it is known. */
export const NOTHING_YET: Omit<JobState, 'map'> = {
  job: null,
  trouble: null,
  unreadable: [],
  events: [],
  save: { state: 'saved' },
  photos: [],
  aside: [],
  strange: [],
  lost: [],
};

/** What is told of a job that was deleted elsewhere. */
export const DELETED: JobState['trouble'] = {
  message: JOB_STATE_TEXT.thisJobWasDeleted,
  hint: JOB_STATE_TEXT.onAnotherDeviceOrIn,
  missing: true,
  deleted: true,
};
