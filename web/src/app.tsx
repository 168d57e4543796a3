import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createBrowserRouter, Link, RouterProvider, useRouteError, type RouteObject } from 'react-router';
import { lazy, Suspense } from 'react';
import { BenchPage } from './pages/bench/bench-page.js';
import { Notice } from './controls/notice.js';
import { PlainButton } from './controls/plain-button.js';
import { patiently } from './controls/patiently.js';
import { messages } from './controls/toast.js';
import { TopBar } from './controls/frame/top-bar.js';
import { APP_TEXT } from '@which-way/words/screens/app';

/** Nothing is said by it before somebody has done something. */
const Toaster = lazy(async () => ({ default: (await messages()).Toaster }));

function Lost() {
  return (
    <>
      <TopBar title={APP_TEXT.noSuchPage} />
      <main className="mx-auto max-w-2xl p-8">
        <Notice look="plain" title={APP_TEXT.thereIsNothingAtThis}>
          <Link to="/" className="underline">
            {APP_TEXT.goToTheBench}
          </Link>
          {APP_TEXT.whereAllJobsAre}
        </Notice>
      </main>
    </>
  );
}

/** A page that did not come, or that broke: what is written down is kept, and a reload begins anew. */
function Broken() {
  const error = useRouteError();
  return (
    <>
      <TopBar title={APP_TEXT.thisPageDoesNotOpen} />
      <main className="mx-auto max-w-2xl p-8">
        <Notice look="amber" title={APP_TEXT.thisPageDoesNotOpen2}>
          <p>{APP_TEXT.eitherItIsNotKept}</p>
          <p className="font-mono text-small">{error instanceof Error ? error.message : String(error)}</p>
          <PlainButton look="strong" className="mt-2" onClick={() => location.reload()}>
            {APP_TEXT.tryAgain}
          </PlainButton>
        </Notice>
      </main>
    </>
  );
}

/** A page that is loaded when it is first opened: a name out of a module. */
function page<Name extends string>(
  load: () => Promise<Record<Name, () => React.ReactNode>>,
  name: Name,
): Pick<RouteObject, 'lazy'> {
  return { lazy: async () => ({ Component: (await patiently(load))[name] }) };
}

const intake = () => import('./pages/intake/intake-page.js');

/** The steps of a job, each loaded when it is first opened. */
const STEPS: RouteObject[] = [
  { index: true, ...page(() => import('./job/job-start.js'), 'JobStart') },
  {
    path: 'intake',
    ...page(intake, 'IntakePage'),
    children: [
      { index: true, ...page(intake, 'StoryPage') },
      { path: 'markings', ...page(() => import('./pages/intake/markings-page.js'), 'MarkingsPage') },
      { path: 'worth', ...page(() => import('./pages/intake/worth-page.js'), 'WorthPage') },
    ],
  },
  { path: 'safe', ...page(() => import('./pages/safe/safe-page.js'), 'SafePage') },
  {
    path: 'tag',
    ...page(() => import('./pages/tag/tag-page.js'), 'TagPage'),
    children: [
      { index: true, ...page(() => import('./pages/tag/terminals/terminals-page.js'), 'TerminalsPage') },
      { path: 'path', ...page(() => import('./pages/path/path-page.js'), 'PathPage') },
      { path: 'wires', ...page(() => import('./pages/tag/wires/wires-page.js'), 'WiresPage') },
      { path: 'strip', ...page(() => import('./pages/tag/strip/strip-page.js'), 'StripPage') },
      { path: 'fit', ...page(() => import('./pages/tag/strip/fit-page.js'), 'FitPage') },
    ],
  },
  { path: 'map', ...page(() => import('./pages/map/map-page.js'), 'MapPage') },
  {
    path: 'table',
    ...page(() => import('./pages/table/table-frame.js'), 'TableFrame'),
    children: [
      { index: true, ...page(() => import('./pages/table/table-page.js'), 'TablePage') },
      { path: 'machine', ...page(() => import('./pages/machine/machine-page.js'), 'MachinePage') },
    ],
  },
  { path: 'verify', ...page(() => import('./pages/verify/verify-page.js'), 'VerifyPage') },
  { path: 'match', ...page(() => import('./pages/match/match-page.js'), 'MatchPage') },
  {
    path: 'refit',
    ...page(() => import('./pages/refit/refit-page.js'), 'RefitPage'),
    children: [
      { index: true, ...page(() => import('./pages/refit/card/transfer-page.js'), 'TransferPage') },
      { path: 'check', ...page(() => import('./pages/refit/power/check-page.js'), 'CheckPage') },
      { path: 'jumper', ...page(() => import('./pages/refit/jumper-page.js'), 'JumperPage') },
      { path: 'function', ...page(() => import('./pages/refit/function/function-page.js'), 'FunctionPage') },
      { path: 'sign', ...page(() => import('./pages/refit/sign-page.js'), 'SignPage') },
      { path: 'report', ...page(() => import('./pages/refit/report/report-page.js'), 'ReportPage') },
    ],
  },
  { path: 'practice', ...page(() => import('./pages/practice/outcome-page.js'), 'OutcomePage') },
];

const router = createBrowserRouter([
  {
    errorElement: <Broken />,
    HydrateFallback: () => <TopBar title={APP_TEXT.opening} />,
    children: [
      { path: '/', element: <BenchPage /> },
      {
        path: '/jobs/:id',
        ...page(() => import('./job/job-frame.js'), 'JobFrame'),
        children: STEPS,
      },
      {
        path: '/systems/:id',
        ...page(() => import('./job/job-frame.js'), 'JobFrame'),
        children: [{ index: true, ...page(() => import('./pages/machine/system-page.js'), 'SystemPage') }],
      },
      { path: '/practice', ...page(() => import('./pages/practice/practice-page.js'), 'PracticePage') },
      { path: '/library', ...page(() => import('./pages/library/library-page.js'), 'LibraryPage') },
      { path: '/settings', ...page(() => import('./pages/settings/settings-page.js'), 'SettingsPage') },
      { path: '/shop', ...page(() => import('./pages/settings/settings-page.js'), 'SettingsPage') },
      { path: '*', element: <Lost /> },
    ],
  },
]);

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 2000 } } });

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Suspense>
        <Toaster position="top-center" />
      </Suspense>
    </QueryClientProvider>
  );
}
