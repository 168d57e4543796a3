import type { Act } from '@which-way/core/probing';
import type { ReadingId } from '@which-way/core/switch';
import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';

/** What the way to the Map carries: a reading that is to be taken again there. */
interface ToReadAgain {
  again: ReadingId;
}

/** Goes to the Map, where a reading is taken again: what is read then takes its place. */
export function useReadAgain(map = '../map'): (reading: ReadingId) => void {
  const navigate = useNavigate();
  return (reading) => {
    const state: ToReadAgain = { again: reading };
    void navigate(map, { relative: 'path', state });
  };
}

/** On the Map: begins what the way there asked for, once. */
export function useSentToReadAgain(act: (act: Act) => void): void {
  const { state, pathname } = useLocation();
  const navigate = useNavigate();
  const again = (state as ToReadAgain | null)?.again;
  useEffect(() => {
    if (!again) return;
    act({ do: 'correct', reading: again });
    // A reload, or the way back, does not ask for it once more.
    void navigate(pathname, { replace: true, state: null });
  }, [again, act, navigate, pathname]);
}
