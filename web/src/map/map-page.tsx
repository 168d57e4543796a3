import type { ReadingId } from '@which-way/core/switch';
import { useDeferredValue, useState } from 'react';
import { Inspector, type Inspected } from '../shared/facts/inspector.js';
import { SideSwitch } from '../shared/drawings/side-switch.js';
import { useStable } from '../shared/drawings/use-stable.js';
import { Contradictions } from './panels/contradictions.js';
import { LookAgainPanel } from './panels/look-again.js';
import { LooksLike } from './panels/looks-like.js';
import { useSpoken } from './prompt/use-spoken.js';
import { WaysOn } from './panels/ways-on.js';
import { useOutlook } from './probing/use-outlook.js';
import { HandleRail } from './board/handle-rail.js';
import { KeysHelp } from './keys/keys-help.js';
import { useMapKeys } from './keys/keys.js';
import { MapDrawing } from './board/map-drawing.js';
import { MapShut } from './map-shut.js';
import { MapTools } from './panels/map-tools.js';
import { PromptBar } from './prompt/prompt-bar.js';
import { ReadingsSoFar, TableSoFar } from './board/known-so-far.js';
import { useWakeLock } from './use-wake-lock.js';
import { useProbing } from './probing/use-probing.js';
import { SafetyWarning } from '../safe/safety-warning.js';
import { CoverageTable } from './board/coverage.js';
import { Doubtful } from './panels/doubtful.js';
import { ReadTheSame } from './panels/read-the-same.js';
import { WayBackSoFar } from './panels/way-back.js';
import { Lesson } from '../practice/lesson.js';
import { DeclaredParts } from './panels/declared-parts.js';

/** Probing: the handle, the switch, what is known so far, and below them what to do next. */
export function MapPage() {
  const probing = useProbing();
  const outlook = useOutlook(probing);
  const { map, act } = probing;
  // What is known is drawn after the next prompt, for which the hands wait.
  const later = useDeferredValue(map);
  const [inspected, setInspected] = useState<Inspected | null>(null);
  const [help, setHelp] = useState(false);
  const [choosing, setChoosing] = useState(false);
  useMapKeys(probing, { help: () => setHelp(true), approach: () => setChoosing(true) });
  useSpoken(probing);
  const awake = useWakeLock(probing.open);
  const readAgain = useStable((id: ReadingId) => {
    setInspected(null);
    act({ do: 'correct', reading: id });
  });
  if (!probing.open) return <MapShut />;
  const framed = map.structure.terminals.some(({ role }) => role === 'frame');
  return (
    <main className="flex grow flex-col lg:h-[calc(100dvh-7.75rem)] lg:flex-none">
      <h1 className="sr-only">Map</h1>
      <div className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] lg:grid-cols-[17rem_minmax(0,1fr)_24rem]">
        <div className="order-2 lg:order-none lg:min-h-0 lg:overflow-y-auto">
          <HandleRail probing={probing} />
        </div>
        <div className="order-1 flex flex-col border-line lg:order-none lg:min-h-0 lg:border-x-2">
          <MapTools
            probing={probing}
            onHelp={() => setHelp(true)}
            approach={{ open: choosing, onOpenChange: setChoosing }}
          />
          <div className="relative flex h-[40dvh] min-h-0 flex-col px-4 pb-2 lg:h-auto lg:grow">
            <div className="min-h-0 grow">
              <MapDrawing probing={probing} onPick={setInspected} />
            </div>
            {/* Beside the frame there is room; without one it would lie over lugs. */}
            <div className={framed ? 'lg:absolute lg:bottom-0 lg:left-1' : '-mb-2 -ml-3'}>
              <SideSwitch />
            </div>
          </div>
        </div>
        <div className="order-3 flex min-h-0 flex-col gap-4 p-4 lg:order-none lg:overflow-y-auto">
          {inspected && (
            <Inspector
              about={inspected}
              onClose={() => setInspected(null)}
              onReadAgain={readAgain}
              onProbe={({ a, b, setting }) => {
                setInspected(null);
                act({ do: 'ask-pair', red: a, black: b, setting });
              }}
            />
          )}
          <SafetyWarning />
          <Lesson probing={probing} />
          <Contradictions probing={probing} onReadAgain={readAgain} />
          <Doubtful probing={probing} />
          <LookAgainPanel probing={probing} />
          <ReadTheSame probing={probing} />
          <WayBackSoFar probing={probing} />
          <LooksLike probing={probing} outlook={outlook} />
          <WaysOn probing={probing} outlook={outlook} />
          <TableSoFar map={later} at={probing.at} onPick={setInspected} />
          <CoverageTable probing={probing} onPick={setInspected} />
          <DeclaredParts map={map} />
          <ReadingsSoFar map={later} onReadAgain={readAgain} />
          {awake === 'cannot' && (
            <p className="text-small text-quiet">
              The screen may go dark by itself: this browser keeps it on only at a secure address, such as on
              the machine that runs Which Way. Set the device to stay awake.
            </p>
          )}
        </div>
      </div>
      <PromptBar probing={probing} outlook={outlook} />
      <KeysHelp open={help} onOpenChange={setHelp} />
    </main>
  );
}
