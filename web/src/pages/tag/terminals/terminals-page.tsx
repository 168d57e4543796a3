import {
  addedTerminal,
  contactTerminals,
  describeSwitch,
  newTerminal,
  type PlacedTerminal,
  type Structure,
  type TerminalId,
} from '@which-way/core/switch';
import { useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { spotNear } from '@which-way/drawing/arrangement';
import { freeSpots, unplacedOf } from '@which-way/drawing/free-spots';
import { PlainButton } from '../../../controls/plain-button.js';
import { SideSwitch } from '../../../parts/drawings/side-switch.js';
import { useViewSide } from '../../../parts/drawings/view-side.js';
import { CaseChips } from '../../../parts/identity/case-chips.js';
import { HandleSection } from './handle-section.js';
import { LayoutChoice } from './layout-choice.js';
import { NewSwitchForm } from '../new-switch-form.js';
import { TagDrawing } from './tag-drawing.js';
import { RelabelForm, TerminalPanel } from './terminal-panel.js';
import { TERMINALS_PAGE_TEXT } from '@which-way/words/screens/pages/tag/terminals/terminals-page';

/** How the terminals lie on the part, what is stamped on them, and what the hand moves. */
export function TerminalsPage() {
  const { structure } = useJobState((state) => state.map);
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
        <div className="mt-8">
          <HandleSection />
        </div>
        <div className="mt-8">
          <CaseChips />
        </div>
      </section>
      <div className="grid min-w-0 content-start gap-6">
        {terminal ? (
          <TerminalPanel key={terminal.id} terminal={terminal} onClose={() => setPicked(null)} />
        ) : (
          <AllTerminals structure={structure} />
        )}
        <LayoutChoice />
      </div>
    </main>
  );
}

/** How many there are, one more of them, and all their labels at once. */
function AllTerminals({ structure }: { structure: Structure }) {
  const session = useSession();
  const contacts = contactTerminals(structure);
  const frame = { ...newTerminal('FRAME', newId), role: 'frame' } as const;
  return (
    <section aria-label={TERMINALS_PAGE_TEXT.terminals} className="grid gap-3">
      <h2 className="text-large font-bold">
        {contacts.length}
        {TERMINALS_PAGE_TEXT.terminals2}
      </h2>
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
      <p className="text-small text-quiet">{TERMINALS_PAGE_TEXT.frameIsBushShaftBracket}</p>
      <RelabelForm terminals={contacts} />
    </section>
  );
}
