import { toast } from './controls/toast.js';
import { registerSW } from 'virtual:pwa-register';
import { KEEP_PAGES_TEXT } from '@which-way/words/screens/keep-pages';

/** Keeps the pages in the browser; a new version of them waits until a person takes it. */
export function keepPages(): void {
  const takeIt = registerSW({
    onNeedRefresh: () =>
      toast.message(KEEP_PAGES_TEXT.aNewVersionOfWhich, {
        description: KEEP_PAGES_TEXT.whatYouEnteredStaysIt,
        duration: Infinity,
        action: { label: KEEP_PAGES_TEXT.takeItNow, onClick: () => void takeIt(true) },
      }),
    // A browser that cannot, or may not, does without.
    onRegisterError: () => undefined,
  });
}
