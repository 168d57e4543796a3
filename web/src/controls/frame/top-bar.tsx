import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { ThemeSwitch } from './theme-switch.js';
import { TOP_BAR_TEXT } from '@which-way/words/screens/controls/frame/top-bar';

/** The enamel bar on top: whose tool this is, what is open, and the way back to the bench. */
export function TopBar({ title, children }: { title: ReactNode; children?: ReactNode }) {
  return (
    <header className="no-print flex min-h-16 shrink-0 flex-wrap items-center gap-x-3 bg-enamel px-4 sm:gap-x-5 sm:px-5 text-on-enamel">
      <Link
        to="/"
        className="flex min-h-11 min-w-11 items-center gap-3 py-2 text-large font-bold"
        aria-label={TOP_BAR_TEXT.whichWayTheBench}
      >
        <svg viewBox="0 0 40 22" width="40" height="22" aria-hidden="true">
          <g fill="none" strokeWidth="4.5" strokeLinecap="round">
            <path d="M3 17h13L31 4" stroke="var(--color-brass-bright)" />
            <path d="M28 17h9" stroke="currentColor" />
          </g>
        </svg>
        <span className="whitespace-nowrap max-sm:sr-only">{TOP_BAR_TEXT.whichWay}</span>
      </Link>
      <div className="line-clamp-2 min-w-16 grow max-sm:line-clamp-3 basis-0 leading-tight text-on-enamel-quiet max-sm:text-small">
        {title}
      </div>
      <div className="ml-auto flex shrink-0 items-center gap-3">
        {children}
        <ThemeSwitch />
      </div>
    </header>
  );
}
