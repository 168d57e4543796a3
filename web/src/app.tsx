import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createBrowserRouter, Link, RouterProvider } from 'react-router';
import { Toaster } from 'sonner';
import { BenchPage } from './bench/bench-page.js';
import { IntakePage, StoryPage } from './intake/intake-page.js';
import { MarkingsPage } from './intake/markings-page.js';
import { WorthPage } from './intake/worth-page.js';
import { JobFrame, JobStart } from './job/job-frame.js';
import { MapPage } from './map/map-page.js';
import { MatchPage } from './match/match-page.js';
import { Notice } from './shared/controls/notice.js';
import { TopBar } from './shared/frame/top-bar.js';
import { OutcomePage } from './practice/outcome-page.js';
import { PracticePage } from './practice/practice-page.js';
import { PathPage } from './path/path-page.js';
import { SafePage } from './safe/safe-page.js';
import { ShopPage } from './shop/shop-page.js';
import { FitPage } from './tag/fit-page.js';
import { StripPage } from './tag/strip-page.js';
import { TagPage } from './tag/tag-page.js';
import { TerminalsPage } from './tag/terminals-page.js';
import { WiresPage } from './tag/wires-page.js';
import { TablePage } from './table/table-page.js';
import { VerifyPage } from './verify/verify-page.js';

function Lost() {
  return (
    <>
      <TopBar title="No such page" />
      <main className="mx-auto max-w-2xl p-8">
        <Notice look="plain" title="There is nothing at this address.">
          <Link to="/" className="underline">
            Go to the bench
          </Link>
          , where all jobs are.
        </Notice>
      </main>
    </>
  );
}

const router = createBrowserRouter([
  { path: '/', element: <BenchPage /> },
  {
    path: '/jobs/:id',
    element: <JobFrame />,
    children: [
      { index: true, element: <JobStart /> },
      {
        path: 'intake',
        element: <IntakePage />,
        children: [
          { index: true, element: <StoryPage /> },
          { path: 'markings', element: <MarkingsPage /> },
          { path: 'worth', element: <WorthPage /> },
        ],
      },
      { path: 'safe', element: <SafePage /> },
      {
        path: 'tag',
        element: <TagPage />,
        children: [
          { index: true, element: <TerminalsPage /> },
          { path: 'path', element: <PathPage /> },
          { path: 'wires', element: <WiresPage /> },
          { path: 'strip', element: <StripPage /> },
          { path: 'fit', element: <FitPage /> },
        ],
      },
      { path: 'map', element: <MapPage /> },
      { path: 'table', element: <TablePage /> },
      { path: 'verify', element: <VerifyPage /> },
      { path: 'match', element: <MatchPage /> },
      { path: 'practice', element: <OutcomePage /> },
    ],
  },
  { path: '/practice', element: <PracticePage /> },
  { path: '/shop', element: <ShopPage /> },
  { path: '*', element: <Lost /> },
]);

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 2000 } } });

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Toaster position="top-center" />
    </QueryClientProvider>
  );
}
