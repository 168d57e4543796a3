import {
  addedTerminal,
  contactTerminals,
  describeSwitch,
  newTerminal,
  type PlacedTerminal,
  type Structure,
  type TerminalId,
} from '@which-way/core/switch';
import { recordsOf } from '@which-way/core/log';
import { CASE_WORDS } from '@which-way/words/before/cases';
import { useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { spotNear } from '@which-way/drawing/arrangement';
import { freeSpots, unplacedOf } from '@which-way/drawing/free-spots';
import { PlainButton } from '../../../controls/plain-button.js';
import { SideSwitch } from '../../../parts/drawings/side-switch.js';
import { useViewSide } from '../../../parts/drawings/view-side.js';
import { SpringsAsked } from '../../../parts/springs/springs-asked.js';
import { ResultLine } from '../../../controls/result-line.js';
import { CaseChips } from '../../../parts/identity/case-chips.js';
import { HandleSection } from './handle-section.js';
import { LayoutChoice } from './layout-choice.js';
import { NewSwitchForm } from '../new-switch-form.js';
import { TagDrawing } from './tag-drawing.js';
import { RelabelForm, TerminalPanel } from './terminal-panel.js';
import { TERMINALS_PAGE_TEXT } from '@which-way/words/screens/pages/tag/terminals/terminals-page';

/** How the terminals lie on the part, what is stamped on them, and what the hand moves. */
export function TerminalsPage() {
  const { structure, log } = useJobState((state) => state.map);
  const session = useSession();
  const { side } = useViewSide();
  const [picked, setPicked] = useState<TerminalId | null>(null);
  const { layout, terminals } = structure;
  if (terminals.length === 0) {
    return (
      <main className="p-4 sm:p-6">
        <NewSwitchForm
          onDescribe={(count, positions, labels) => {
            const layout = count <= 16 ? 'two-rows' : 'list';
            const fresh = { terminals: count, positions, labels, form: 'rotary', layout } as const;
            session.restructure(describeSwitch(fresh, newId));
          }}
        />
      </main>
    );
  }
  const features = recordsOf(log, 'case-noted').flatMap(({ what, position }) =>
    position === null ? [CASE_WORDS[what].name] : [],
  );
  const terminal = terminals.find(({ id }) => id === picked) ?? null;
  const put = (spots: PlacedTerminal[]) => session.restructure({ change: 'placed', spots });
  const placeable = layout.kind === 'wafers' || layout.kind === 'grid' || layout.kind === 'photo';
  const unplaced = unplacedOf(structure);
  const next = terminal ?? unplaced[0] ?? null;
  return (
    <main className="grid grow content-start gap-x-8 gap-y-6 p-4 sm:p-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-label={TERMINALS_PAGE_TEXT.theSwitch} className="min-w-0">
        <h1 className="sr-only">{TERMINALS_PAGE_TEXT.terminalsAndHandle}</h1>
        <div className="flex flex-wrap items-center gap-2">
          <SideSwitch />
          {placeable && (
            <p className="grow text-right text-quiet" role="status">
              {next ? (
                <>
                  {TERMINALS_PAGE_TEXT.tapWhere}
                  <strong className="font-mono text-ink">{next.label}</strong>
                  {TERMINALS_PAGE_TEXT.lies}
                </>
              ) : (
                TERMINALS_PAGE_TEXT.tapATerminalThenWhere
              )}
            </p>
          )}
        </div>
        <div className="mt-2 [&>svg]:max-h-[68dvh]">
          <TagDrawing
            picked={picked}
            onTerminal={(id) => setPicked(id === picked ? null : id)}
            {...(placeable && next
              ? {
                  onGround: (place, height) => {
                    const spot = spotNear(layout, side, place, height);
                    if (spot) put([{ terminal: next.id, spot }]);
                    setPicked(null);
                  },
                }
              : {})}
          />
        </div>
        {(layout.kind === 'wafers' || layout.kind === 'grid') && unplaced.length > 0 && (
          <PlainButton
            className="mt-3"
            onClick={() => {
              const free = freeSpots(structure);
              put(
                unplaced.flatMap(({ id }, index) =>
                  free[index] ? [{ terminal: id, spot: free[index] }] : [],
                ),
              );
            }}
          >
            {TERMINALS_PAGE_TEXT.fillTheFreePlacesIn}
          </PlainButton>
        )}
      </section>
      <div className="min-w-0">
        {terminal && <TerminalPanel key={terminal.id} terminal={terminal} onClose={() => setPicked(null)} />}
        <SpringsAsked />
        <AllTerminals structure={structure} open={!terminal} />
        <LayoutChoice />
        <HandleSection />
        <ResultLine
          group="terminals"
          name={TERMINALS_PAGE_TEXT.features}
          result={features.length > 0 ? features.join(', ') : TERMINALS_PAGE_TEXT.none}
          act={TERMINALS_PAGE_TEXT.edit}
        >
          <CaseChips />
        </ResultLine>
      </div>
    </main>
  );
}

/** How many there are, one more of them, and all their labels at once. */
function AllTerminals({ structure, open }: { structure: Structure; open: boolean }) {
  const session = useSession();
  const contacts = contactTerminals(structure);
  const frame = { ...newTerminal('FRAME', newId), role: 'frame' } as const;
  return (
    <ResultLine
      group="terminals"
      name={TERMINALS_PAGE_TEXT.terminals}
      result={TERMINALS_PAGE_TEXT.count(contacts.length)}
      act={TERMINALS_PAGE_TEXT.edit}
      open={open}
    >
      <div className="flex flex-wrap gap-2">
        <PlainButton onClick={() => session.restructure(addedTerminal(structure, newId))}>
          {TERMINALS_PAGE_TEXT.oneMoreLug}
        </PlainButton>
        {structure.terminals.every(({ role }) => role !== 'frame') && (
          <PlainButton onClick={() => session.restructure({ change: 'terminal-added', terminal: frame })}>
            {TERMINALS_PAGE_TEXT.addTheFrame}
          </PlainButton>
        )}
      </div>
      <p className="my-3 text-small text-quiet">{TERMINALS_PAGE_TEXT.frameIsBushShaftBracket}</p>
      <RelabelForm terminals={contacts} />
    </ResultLine>
  );
}
