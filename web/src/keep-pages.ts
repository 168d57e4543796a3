import { toast } from 'sonner';
import { registerSW } from 'virtual:pwa-register';

/** Keeps the pages in the browser; a new version of them waits until a person takes it. */
export function keepPages(): void {
  const takeIt = registerSW({
    onNeedRefresh: () =>
      toast('A new version of Which Way is here.', {
        description: 'What you entered stays. It begins with a reload.',
        duration: Infinity,
        action: { label: 'Take it now', onClick: () => void takeIt(true) },
      }),
    // A browser that cannot, or may not, does without.
    onRegisterError: () => undefined,
  });
}
