import type { JobEvent } from '@which-way/core/log';
import { useEffect, useRef, useState } from 'react';
import type { ReportOrder } from './report-maker.js';
import { ReportThread } from './report-thread.js';

/** A report's page as it is by now; null: it is being made for the first time. `failed`: it could not be made. */
export interface ReportPageState {
  page: string | null;
  failed: boolean;
}

/** The report of a job as a web page, made beside the screen, and anew whenever something is written down. */
export function useReport(events: readonly JobEvent[], order: ReportOrder | null): ReportPageState {
  const thread = useRef<ReportThread | null>(null);
  const [state, setState] = useState<ReportPageState>({ page: null, failed: false });
  const wanted = JSON.stringify(order);
  useEffect(
    () => () => {
      thread.current?.stop();
      thread.current = null;
    },
    [],
  );
  useEffect(() => {
    const asked = JSON.parse(wanted) as ReportOrder | null;
    if (!asked) return undefined;
    let late = false;
    thread.current ??= new ReportThread();
    thread.current.page(events, asked).then(
      (page) => {
        if (!late) setState({ page, failed: false });
      },
      () => {
        if (!late) setState((before) => ({ ...before, failed: true }));
      },
    );
    return () => {
      late = true;
    };
  }, [events, wanted]);
  return state;
}
