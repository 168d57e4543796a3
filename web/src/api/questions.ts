import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { JobId } from '@which-way/core/switch';
import type { LibraryQuery } from '@which-way/contract';
import { api } from './client.js';

/** Names of what is asked of the server and kept for a while; a longer name begins with the one that covers it. */
export const KEYS = {
  jobs: ['jobs'],
  works: ['works'],
  health: ['health'],
  shop: ['shop'],
  meter: ['meter'],
  devices: ['devices'],
  /** What this browser keeps of jobs that the bench does not have. */
  copies: ['copies'],
} as const;

/** What pages ask, each with its one name. */
export const questions = {
  jobs: (search: string, archived: boolean) =>
    queryOptions({ queryKey: [...KEYS.jobs, search, archived], queryFn: () => api.jobs(search, archived) }),
  works: () => queryOptions({ queryKey: KEYS.works, queryFn: api.works }),
  health: () => queryOptions({ queryKey: KEYS.health, queryFn: api.health }),
  devices: () => queryOptions({ queryKey: KEYS.devices, queryFn: api.devices, staleTime: 0 }),
  shop: () => queryOptions({ queryKey: KEYS.shop, queryFn: api.shop }),
  meter: () => queryOptions({ queryKey: KEYS.meter, queryFn: api.meter, staleTime: 0 }),
  jobEvents: (id: JobId) =>
    queryOptions({ queryKey: ['job-events', id], queryFn: () => api.openJob(id), staleTime: 0 }),
  shareOf: (id: JobId) => queryOptions({ queryKey: ['share', id], queryFn: () => api.shareOf(id) }),
  library: (search: string, size: number, facts: Omit<LibraryQuery, 'search' | 'size' | 'from'> = {}) =>
    queryOptions({
      queryKey: ['library', search, size, facts],
      queryFn: () => api.library({ search, size, ...facts }),
      placeholderData: keepPreviousData,
    }),
  alike: (terminals: number, positions: number) =>
    queryOptions({
      queryKey: ['alike', terminals, positions],
      queryFn: () => api.alike(terminals, positions),
      staleTime: 60_000,
    }),
};
