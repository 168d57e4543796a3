import type { JobId } from '@which-way/core/switch';
import { useNavigate } from 'react-router';
import { toast } from '../../controls/toast.js';
import { toldOf } from '../../api/client.js';

/** Begins a system and opens it; says so where that fails. */
export function useBeginSystem(): (title: string, members: readonly JobId[]) => Promise<void> {
  const navigate = useNavigate();
  return async (title, members) => {
    try {
      const { beginSystem } = await import('./begin-system.js');
      navigate(await beginSystem(title, members));
    } catch (error) {
      const { message, hint } = toldOf(error);
      toast.error(message, { description: hint });
    }
  };
}
