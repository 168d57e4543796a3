import { KEYS } from '../../api/questions.js';
import { useQueryClient } from '@tanstack/react-query';
import { toast } from '../../controls/toast.js';
import { toldOf } from '../../api/client.js';

/** Begins long work on the server; where that fails, what the server said is told, after a few words of one's own. */
export function useBegin() {
  const queries = useQueryClient();
  return async (failed: string, run: () => Promise<unknown>): Promise<void> => {
    try {
      await run();
    } catch (error) {
      const { message, hint } = toldOf(error);
      toast.error(`${failed} ${message}`, { description: hint, duration: Infinity, closeButton: true });
    }
    await queries.invalidateQueries({ queryKey: KEYS.works });
  };
}
