import { questions } from '../../../api/questions.js';
import { allPositionsClosed, requiredSettings } from '@which-way/core/switch';
import type { Act, Moment, Task } from '@which-way/core/probing';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { useJobState, useSession } from '../../../job/job-context.js';
import type { EarDesk } from './ear-desk.js';
import type { MeterDesk } from './meter-desk.js';
import type { PlannerDesk } from './planner-desk.js';
import { Prober } from './prober.js';

/** Everything that the Map shows and does. */
export interface Probing extends Moment {
  /** What is asked; for the moment in which the next is thought of, what was asked last. */
  task: Task | null;
  /** Nothing is asked just now: the next is being thought of. */
  busy: boolean;
  /** The time, ISO. */
  now: string;
  act: (act: Act) => void;
  desk: PlannerDesk;
  earDesk: EarDesk;
  meterDesk: MeterDesk;
}

/** The probing machine of the open job, for as long as the Map is shown. */
export function useProbing(): Probing {
  const session = useSession();
  const [prober] = useState(() => new Prober(session));
  useEffect(() => prober.start(), [prober]);
  useLibrary(prober.desk);
  const { moment, shown, now } = useStore(prober.store);
  // Where clicks lead a sweep the marker is theirs.
  const marked = useStore(prober.ear.store, ({ sweep }) => (sweep ? sweep.marked : undefined));
  return {
    ...moment,
    stepAt: marked === undefined ? moment.stepAt : marked,
    task: shown,
    busy: moment.task === null,
    now,
    act: prober.act,
    desk: prober.desk,
    earDesk: prober.ear,
    meterDesk: prober.wire,
  };
}

/** Nothing is recognised before the list of positions is closed; while the server is away there are the ordinary kinds. */
function useLibrary(desk: PlannerDesk): void {
  const map = useJobState((state) => state.map);
  const positions = requiredSettings(map.structure).length;
  const { data } = useQuery({
    ...questions.alike(map.contacts.length, positions),
    enabled: allPositionsClosed(map.structure) && positions > 1,
  });
  useEffect(() => {
    if (data) desk.recogniseBy(data);
  }, [desk, data]);
}
