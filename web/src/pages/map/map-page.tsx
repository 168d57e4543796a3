import { SidePane } from './side-pane.js';
import { useDeferredValue, useState } from 'react';
import { type Inspected } from '../../parts/facts/inspector.js';
import { SideSwitch } from '../../parts/drawings/side-switch.js';
import { useMeterOfToday } from '../../parts/meters/use-meter-of-today.js';
import { useSpoken } from './prompt/use-spoken.js';
import { useOutlook } from './probing/use-outlook.js';
import { HandleRail } from './board/handle-rail.js';
import { KeysHelp } from './keys/keys-help.js';
import { useMapKeys } from './keys/keys.js';
import { MapDrawing } from './board/map-drawing.js';
import { MapShut } from './map-shut.js';
import { MapTools } from './panels/map-tools.js';
import { PromptBar } from './prompt/prompt-bar.js';
import { useWakeLock } from '../../parts/hands/use-wake-lock.js';
import { useSentToReadAgain } from '../../parts/asking/use-read-again.js';
import { useProbing } from './probing/use-probing.js';
import { MAP_PAGE_TEXT } from '@which-way/words/screens/pages/map/map-page';
import { FittedMain } from '../../controls/frame/fitted-main.js';

/** Probing: the handle, the switch, what is known so far, and below them what to do next. */
export function MapPage() {
  const probing = useProbing();
  const outlook = useOutlook(probing);
  const { map } = probing;
  // What is known is drawn after the next prompt, for which the hands wait.
  const later = useDeferredValue(map);
  const [inspected, setInspected] = useState<Inspected | null>(null);
  const [help, setHelp] = useState(false);
  const [choosing, setChoosing] = useState(false);
  useMapKeys(probing, { help: () => setHelp(true), approach: () => setChoosing(true) });
  useSpoken(probing);
  useMeterOfToday();
  useSentToReadAgain(probing.act);
  const awake = useWakeLock(probing.open);
  if (!probing.open) return <MapShut />;
  const framed = map.structure.terminals.some(({ role }) => role === 'frame');
  return (
    <FittedMain shape="stacked" least={38}>
      <h1 className="sr-only">{MAP_PAGE_TEXT.map}</h1>
      <div className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] lg:grid-cols-[15.5rem_minmax(0,1fr)_25rem]">
        <div className="order-2 lg:order-none lg:min-h-0 lg:overflow-y-auto">
          <HandleRail probing={probing} />
        </div>
        <div className="order-1 flex flex-col border-line lg:order-none lg:min-h-0 lg:border-x-2">
          <MapTools
            probing={probing}
            onHelp={() => setHelp(true)}
            approach={{ open: choosing, onOpenChange: setChoosing }}
          />
          <div className="relative flex min-h-0 flex-col px-4 pb-2 lg:grow">
            {/* On a phone and a tablet no higher than there is room, so that its lower lugs stay above the prompt. */}
            <div className="min-h-0 grow max-lg:[&>svg]:h-auto max-lg:[&>svg]:max-h-[25dvh] max-sm:[&>svg]:max-h-[30dvh]">
              <MapDrawing probing={probing} onPick={setInspected} />
            </div>
            {/* Beside the frame there is room; without one it would lie over lugs. */}
            <div className={`max-sm:hidden ${framed ? 'lg:absolute lg:bottom-0 lg:left-1' : '-mb-2 -ml-3'}`}>
              <SideSwitch />
            </div>
          </div>
        </div>
        <SidePane
          probing={probing}
          outlook={outlook}
          later={later}
          awake={awake}
          inspected={inspected}
          onInspect={setInspected}
        />
      </div>
      <PromptBar probing={probing} outlook={outlook} />
      <KeysHelp open={help} onOpenChange={setHelp} />
    </FittedMain>
  );
}
