import type { Job } from '@which-way/contract';

/** Where a job is opened: a switch, or a system of several. */
export const addressOf = ({ id, about }: Pick<Job, 'id' | 'about'>): string =>
  about === 'system' ? `/systems/${id}` : `/jobs/${id}`;
