import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render } from '@testing-library/react';
import type { Job, NewJob, PostedEvents, PostEvents } from '@which-way/contract';
import { createWriter, type Deed, type JobEvent } from '@which-way/core/log';
import { type JobId } from '@which-way/core/switch';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import { JobProvider, useJobState } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import type { Outbox } from '../job/outbox/outbox.js';
import { aShop } from './a-shop.js';
import { until } from './until.js';

const nothingKept: Outbox = {
  put: async () => undefined,
  remove: async () => undefined,
  of: async () => [],
  putPhoto: async () => undefined,
  removePhoto: async () => undefined,
  photosOf: async () => [],
  copy: async () => undefined,
  addToCopy: async () => undefined,
  copyOf: async () => null,
  putAside: async () => undefined,
  removeAside: async () => undefined,
  asideOf: async () => [],
  copies: async () => [],
  forget: async () => undefined,
};

/** A job on a server in memory, with what was written to it. */
export interface RenderedJob {
  job: Job;
  events: JobEvent[];
  /** Bodies of the events of a kind that the screen wrote, oldest first. */
  written<Kind extends Deed['kind']>(kind: Kind): Extract<Deed, { kind: Kind }>[];
}

function WhenOpen({ children }: { children: ReactNode }) {
  const open = useJobState(({ job }) => job !== null);
  return open ? <div data-opened>{children}</div> : null;
}

/** Shows a screen on a job that began with these events, and waits until it is open. */
export async function renderJob(
  screen: ReactNode,
  deeds: readonly Deed[],
  {
    outOfMachine = true,
    written = new Date().toISOString(),
  }: {
    outOfMachine?: boolean;
    /** When all of it was written; now, unless it matters. */
    written?: string;
  } = {},
): Promise<RenderedJob> {
  cleanup();
  const id = newId<JobId>();
  const job: Job = {
    id,
    number: 7,
    title: 'A switch',
    place: '',
    outOfMachine,
    simulation: null,
    created: '2026-01-05T10:00:00.000Z',
    updated: '2026-01-05T10:00:00.000Z',
    archived: false,
    about: 'switch',
    version: 1,
  };
  const writer = createWriter({ newId, now: () => written });
  const events: JobEvent[] = [];
  for (const what of deeds) events.push(writer.write(events, what));
  const before = events.length;
  const fetched = async (path: string, init: RequestInit = {}): Promise<Response> => {
    if (path.startsWith('/api/library/alike')) return Response.json([]);
    if (path.startsWith('/api/library')) return Response.json({ entries: [], count: 0, next: null });
    if (path === '/api/shop') return Response.json(aShop());
    if (init.method === 'PATCH') {
      Object.assign(job, JSON.parse(String(init.body)), { version: job.version + 1 });
      return Response.json(job);
    }
    if (init.method !== 'POST') return Response.json({ job, events, cursor: events.length, unreadable: [] });
    if (path === '/api/jobs')
      return Response.json({
        ...job,
        number: 2,
        version: 1,
        ...(JSON.parse(String(init.body)) as NewJob),
      } satisfies Job);
    const { after, events: sent } = JSON.parse(String(init.body)) as PostEvents;
    if (!path.includes(id))
      return Response.json({
        stored: sent.map((event) => event.id),
        refused: [],
        photosWanted: [],
        events: sent,
        cursor: sent.length,
      } satisfies PostedEvents);
    for (const event of sent) if (!events.some((one) => one.id === event.id)) events.push(event);
    return Response.json({
      stored: sent.map((event) => event.id),
      refused: [],
      photosWanted: [],
      events: events.slice(after),
      cursor: events.length,
    } satisfies PostedEvents);
  };
  vi.stubGlobal('fetch', fetched);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const router = createMemoryRouter(
    [
      {
        path: '*',
        element: (
          <QueryClientProvider client={client}>
            <JobProvider id={id} outbox={nothingKept}>
              <WhenOpen>{screen}</WhenOpen>
            </JobProvider>
          </QueryClientProvider>
        ),
      },
    ],
    { initialEntries: ['/'] },
  );
  render(<RouterProvider router={router} />);
  await until(() => {
    if (document.querySelector('[data-opened]') === null) throw new Error('not open yet');
  });
  return {
    job,
    events,
    written: (kind) =>
      events
        .slice(before)
        .flatMap(({ what }) => (what.kind === kind ? [what as Extract<Deed, { kind: typeof kind }>] : [])),
  };
}
