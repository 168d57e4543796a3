import type { SwitchMap } from '@which-way/core/continuity';
import { judge, type Judgement } from '@which-way/core/verdict';

const kept = new WeakMap<SwitchMap, Judgement>();

/** The verdict on a map, worked out once for all that shows a part of it. */
export function judged(map: SwitchMap): Judgement {
  const known = kept.get(map);
  if (known) return known;
  const made = judge(map);
  kept.set(map, made);
  return made;
}
