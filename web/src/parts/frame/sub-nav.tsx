import type { Deed } from '@which-way/core/log';
import { ChevronDown, Redo2, Undo2 } from 'lucide-react';
import { useRef } from 'react';
import { NavLink, Outlet, resolvePath, useLocation, useResolvedPath } from 'react-router';
import { useKeys } from '../../controls/keys/use-keys.js';
import { useJobState, useSession } from '../../job/job-context.js';
import { Hint } from '../../controls/hint.js';
import { PlainButton } from '../../controls/plain-button.js';
import { SUB_NAV_TEXT } from '@which-way/words/screens/parts/frame/sub-nav';

interface SubNavProps {
  label: string;
  pages: readonly { to: string; text: string }[];
  /** What undo and redo are about on these pages. */
  acts: ReadonlySet<Deed['kind']>;
}

/** The parts of one step of the job, side by side, with undo for what is done there. */
export function SubNav({ label, pages, acts }: SubNavProps) {
  const folded = useRef<HTMLDetailsElement>(null);
  const { pathname } = useLocation();
  const base = useResolvedPath('').pathname;
  const here = pages.find(({ to }) => resolvePath(to, base).pathname === pathname) ?? pages[0];
  return (
    <div className="flex grow flex-col">
      <div className="no-print flex items-start gap-x-2 border-b-2 md:items-end border-line bg-sheet px-4">
        <nav aria-label={label} className="min-w-0 grow md:hidden">
          <details ref={folded} className="group">
            <summary className="flex min-h-12 cursor-pointer items-center gap-2 font-semibold">
              {SUB_NAV_TEXT.pageOf(here?.text ?? '', pages.length)}
              <ChevronDown size={20} className="group-open:rotate-180" aria-hidden="true" />
            </summary>
            <ul className="grid pb-2">
              {pages.map(({ to, text }) => (
                <li key={to}>
                  <NavLink
                    to={to}
                    end
                    onClick={() => folded.current?.removeAttribute('open')}
                    className={({ isActive }) =>
                      `flex min-h-11 items-center border-l-4 px-3 ${isActive ? 'border-brass font-semibold' : 'border-transparent'}`
                    }
                  >
                    {text}
                  </NavLink>
                </li>
              ))}
            </ul>
          </details>
        </nav>
        <nav aria-label={label} className="hidden min-w-0 gap-x-1 md:flex">
          {pages.map(({ to, text }) => (
            <NavLink
              key={to}
              to={to}
              end
              className={({ isActive }) =>
                `-mb-0.5 flex min-h-12 items-center border-b-4 px-3 font-semibold whitespace-nowrap ${isActive ? 'border-brass' : 'border-transparent text-quiet hover:border-line'}`
              }
            >
              {text}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex shrink-0 gap-1 py-1">
          <UndoButtons acts={acts} />
        </div>
      </div>
      <Outlet />
    </div>
  );
}

/** A field has an undo of its own. */
const isTypedInto = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest('input, textarea') !== null;

/** Undo and redo of these acts, also by Ctrl Z and Ctrl Y. */
export function UndoButtons({ acts }: { acts: ReadonlySet<Deed['kind']> }) {
  const session = useSession();
  const log = useJobState((state) => state.map.log);
  const canUndo = log.undo.some(({ what }) => acts.has(what.kind));
  const canRedo = log.redo.some(({ what }) => acts.has(what.kind));
  const redo = () => session.redo(acts);
  useKeys(
    { '$mod+z': () => session.undo(acts), '$mod+y': redo, '$mod+Shift+z': redo },
    { owned: isTypedInto },
  );
  return (
    <>
      <Hint text={SUB_NAV_TEXT.undoCtrlZ}>
        <PlainButton
          look="quiet"
          className="!px-2.5"
          aria-label={SUB_NAV_TEXT.undo}
          disabled={!canUndo}
          onClick={() => session.undo(acts)}
        >
          <Undo2 size={20} aria-hidden="true" />
        </PlainButton>
      </Hint>
      <Hint text={SUB_NAV_TEXT.redoCtrlY}>
        <PlainButton
          look="quiet"
          className="!px-2.5"
          aria-label={SUB_NAV_TEXT.redo}
          disabled={!canRedo}
          onClick={() => session.redo(acts)}
        >
          <Redo2 size={20} aria-hidden="true" />
        </PlainButton>
      </Hint>
    </>
  );
}
