import type { SwitchMap } from '@which-way/core/continuity';
import type { ReadingId } from '@which-way/core/switch';
import { askedOdd, isOddOpen } from '@which-way/core/verify';
import { Tabs } from 'radix-ui';
import { Link } from 'react-router';
import { Identity } from '../../parts/identity/identity.js';
import { PinnedDiagram, useDiagrams } from '../../parts/diagram/pinned-diagram.js';
import { Lesson } from './panels/lesson.js';
import { SafetyWarning } from './panels/safety-warning.js';
import { CaseNotes } from '../../parts/identity/case-chips.js';
import { useStable } from '../../parts/drawings/use-stable.js';
import { Inspector, type Inspected } from '../../parts/facts/inspector.js';
import { CoverageTable } from './board/coverage.js';
import { ReadingsSoFar, TableSoFar } from './board/known-so-far.js';
import { Contradictions } from './panels/contradictions.js';
import { DeclaredParts } from './panels/declared-parts.js';
import { Doubtful } from './panels/doubtful.js';
import { LookAgainPanel } from './panels/look-again.js';
import { LooksLike } from './panels/looks-like.js';
import { ReadTheSame } from './panels/read-the-same.js';
import { WayBackSoFar } from './panels/way-back.js';
import { WaysOn } from './panels/ways-on.js';
import type { OutlookView } from './probing/use-outlook.js';
import type { Probing } from './probing/use-probing.js';
import type { WakeLock } from '../../parts/hands/use-wake-lock.js';
import { SIDE_PANE_TEXT } from '@which-way/words/screens/pages/map/side-pane';

interface SidePaneProps {
  probing: Probing;
  outlook: OutlookView;
  /** The map as it was drawn last: what is known may come a moment after the next prompt. */
  later: SwitchMap;
  awake: WakeLock;
  inspected: Inspected | null;
  onInspect: (about: Inspected | null) => void;
}

/** What wants a decision, and below it what is known, a part at a time. */
export function SidePane({ probing, outlook, later, awake, inspected, onInspect }: SidePaneProps) {
  const { map, act } = probing;
  const diagrams = useDiagrams();
  const readAgain = useStable((id: ReadingId) => {
    onInspect(null);
    act({ do: 'correct', reading: id });
  });
  return (
    <div className="order-3 flex min-h-0 flex-col lg:order-none">
      <div className="flex shrink-0 flex-col gap-3 px-4 not-empty:pt-3 lg:max-h-[62%] lg:overflow-y-auto">
        {inspected && (
          <Inspector
            about={inspected}
            onClose={() => onInspect(null)}
            onReadAgain={readAgain}
            onProbe={({ a, b, setting }) => {
              onInspect(null);
              act({ do: 'ask-pair', red: a, black: b, setting });
            }}
          />
        )}
        {later.complete && <WhatItIsNow map={later} />}
        <SafetyWarning />
        <CaseNotes />
        <Lesson probing={probing} />
        <Contradictions probing={probing} onReadAgain={readAgain} />
        <Doubtful probing={probing} />
        <LookAgainPanel probing={probing} />
        <ReadTheSame probing={probing} />
        <WayBackSoFar probing={probing} />
        <LooksLike probing={probing} outlook={outlook} />
        <WaysOn probing={probing} outlook={outlook} />
      </div>
      <Tabs.Root defaultValue="table" className="flex min-h-0 grow flex-col px-4 pt-1">
        <Tabs.List
          aria-label={SIDE_PANE_TEXT.whatIsKnown}
          className="flex shrink-0 gap-4 border-b-2 border-line"
        >
          {(diagrams.length > 0 ? [...TABS, DIAGRAM] : TABS).map(([value, words]) => (
            <Tabs.Trigger
              key={value}
              value={value}
              className="-mb-0.5 min-h-11 border-b-4 border-transparent font-semibold text-quiet data-[state=active]:border-brass data-[state=active]:text-ink"
            >
              {words}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="table" className={CONTENT}>
          <TableSoFar map={later} at={probing.at} onPick={onInspect} />
        </Tabs.Content>
        <Tabs.Content value="pairs" className={CONTENT}>
          <CoverageTable probing={probing} onPick={onInspect} />
          <DeclaredParts map={map} />
        </Tabs.Content>
        {diagrams.length > 0 && (
          <Tabs.Content value="diagram" className={CONTENT}>
            <PinnedDiagram />
          </Tabs.Content>
        )}
        <Tabs.Content value="readings" className={CONTENT}>
          <ReadingsSoFar map={later} onReadAgain={readAgain} />
        </Tabs.Content>
      </Tabs.Root>
      {awake === 'cannot' && (
        <p className="px-4 py-1 text-small text-quiet">{SIDE_PANE_TEXT.theScreenMayGoDark}</p>
      )}
    </div>
  );
}

/** Once every fact is there: what it is, and whether anything about it is odd. */
function WhatItIsNow({ map }: { map: SwitchMap }) {
  const open = askedOdd(map).filter(isOddOpen).length;
  return (
    <section aria-label={SIDE_PANE_TEXT.whatItIs}>
      <Identity map={map} heading={false} />
      {open > 0 && (
        <Link to="../table" relative="path" className="underline">
          {open === 1 ? SIDE_PANE_TEXT.oneThingAboutItIs : SIDE_PANE_TEXT.thingsAboutItAreOdd(open)}
        </Link>
      )}
    </section>
  );
}

const CONTENT = 'min-h-0 grow py-2 lg:overflow-y-auto';

/** What is known, a part at a time. */
const TABS = [
  ['table', SIDE_PANE_TEXT.truthTableSoFar],
  ['pairs', 'Coverage'],
  ['readings', 'Readings'],
] as const;
const DIAGRAM = ['diagram', 'Diagram'] as const;
