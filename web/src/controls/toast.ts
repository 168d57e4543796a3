import type { toast as sonnerToast } from 'sonner';

type Sonner = typeof sonnerToast;
type Told = Parameters<Sonner>;

const sonner = async (): Promise<Sonner> => (await import('sonner')).toast;

/** Tells what was done, at the top of the page for a while; loaded when there is something to tell. */
export const toast = {
  message: (...told: Told): void => void sonner().then((tell) => tell(...told)),
  success: (...told: Told): void => void sonner().then((tell) => tell.success(...told)),
  error: (...told: Told): void => void sonner().then((tell) => tell.error(...told)),
};
