import type * as Sonner from 'sonner';
import { untilItComes } from './patiently.js';

type Told = Parameters<typeof Sonner.toast>;

let loading: Promise<typeof Sonner> | null = null;

/** What shows messages, loaded once, by whoever needs it first: what is told and where it is shown have to be one module. */
export const messages = (): Promise<typeof Sonner> => (loading ??= untilItComes(() => import('sonner')));

/** Tells what was done, at the top of the page for a while; loaded when there is something to tell. */
export const toast = {
  message: (...told: Told): void => void messages().then((of) => of.toast(...told)),
  success: (...told: Told): void => void messages().then((of) => of.toast.success(...told)),
  error: (...told: Told): void => void messages().then((of) => of.toast.error(...told)),
};
