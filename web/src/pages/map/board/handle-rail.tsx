import { Hint } from '../../../controls/hint.js';
import { isComplete } from '@which-way/core/continuity';
import type { Value } from '@which-way/core/log';
import { tellTaleOf } from '@which-way/core/planner';
import { type SettingId } from '@which-way/core/switch';
import { POSITION_NAME_LETTERS } from '@which-way/core/schema';
import { Check, Trash2 } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useSession } from '../../../job/job-context.js';
import { turnWords } from '@which-way/words/tag/handles';
import { WhatItIs } from '../panels/what-it-is.js';
import { ActuatorDrawing } from '../../../parts/drawings/actuator-drawing.js';
import { Breakable } from '../../../controls/breakable.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { StrandSample } from '../../../parts/drawings/strand-sample.js';
import { strandOf } from '@which-way/drawing/strand';
import { useViewSide } from '../../../parts/drawings/view-side.js';
import { nameOfSetting } from '@which-way/words/terminals';
import { valueWords } from '@which-way/words/quantity';
import { isHeldAsk, isJoin } from '@which-way/core/probing';
import { lastCheck } from '@which-way/core/sense';
import type { Probing } from '../probing/use-probing.js';
import { HANDLE_RAIL_TEXT } from '@which-way/words/screens/pages/map/board/handle-rail';
import { TextInput } from '../../../controls/fields/text-input.js';

/** The handle and its positions: where it should be now, and how far each position is. */
export function HandleRail({ probing }: { probing: Probing }) {
  const { map, at, many, found } = probing;
  const asked = many && isHeldAsk(many) ? many.settings : [];
  const { structure } = map;
  const [naming, setNaming] = useState<SettingId | null>(null);
  const closed = structure.actuators[0]?.closed ?? null;
  // With many positions each has less room, and only the present one says by what it is known.
  const crowded = structure.settings.length > 4;
  // Worked out when the answer is on the screen: it may wait.
  const later = useDeferredValue(map);
  const tells = useMemo(() => tellTaleWords(later), [later]);
  return (
    <section aria-label={HANDLE_RAIL_TEXT.handle} className="flex flex-col gap-1 px-4 py-2">
      <h2 className="font-semibold text-quiet">
        {structure.actuators.length > 1 ? HANDLE_RAIL_TEXT.handles : HANDLE_RAIL_TEXT.handle}
      </h2>
      <HandleDrawings probing={probing} />
      <ol className="relative">
        {structure.settings.map((setting, index) => {
          const name = nameOfSetting(structure, setting, index);
          const coverage = map.settings.get(setting.id)?.coverage;
          const here = setting.id === at;
          const wanted = asked.includes(setting.id);
          const value = wanted ? found.get(setting.id) : undefined;
          const settled = coverage ? coverage.measured + coverage.follows : 0;
          return (
            <li key={setting.id} className="relative pl-9">
              <Stop
                first={index === 0}
                last={index === structure.settings.length - 1 && closed !== null}
                here={here}
              />
              <div
                className={`rounded-part border-2 px-2 ${crowded ? '' : 'py-1'} ${
                  wanted ? 'border-ink bg-sheet' : here ? 'border-brass bg-sheet' : 'border-transparent'
                }`}
              >
                {naming === setting.id ? (
                  <NameForm probing={probing} index={index} onDone={() => setNaming(null)} />
                ) : (
                  <>
                    <button
                      type="button"
                      aria-current={here ? 'step' : undefined}
                      className={`flex w-full items-center gap-2 text-left ${crowded ? 'min-h-10' : 'min-h-12'}`}
                      onClick={() => {
                        if (here && !wanted) setNaming(setting.id);
                        else probing.act({ do: 'turn-to', setting: setting.id });
                      }}
                      aria-pressed={wanted ? value !== undefined : undefined}
                      aria-description={
                        wanted
                          ? HANDLE_RAIL_TEXT.itBeepedHere
                          : here
                            ? HANDLE_RAIL_TEXT.giveItAName
                            : HANDLE_RAIL_TEXT.probeHere
                      }
                    >
                      <StrandSample strand={strandOf(index)} width={30} />
                      <span className="min-w-0 grow">
                        <span
                          className={`line-clamp-2 leading-tight break-words ${here ? 'font-extrabold' : 'font-semibold'}`}
                        >
                          <Breakable name={name} />
                        </span>
                        {wanted && <FoundHere probing={probing} setting={setting.id} value={value} />}
                      </span>
                      {wanted ? null : coverage && isComplete(coverage) ? (
                        <Check className="text-teal" aria-label={HANDLE_RAIL_TEXT.settled} />
                      ) : (
                        <span className="font-mono text-small text-quiet">
                          {share(settled, coverage?.pairs ?? 0)}
                        </span>
                      )}
                    </button>
                    {tells.has(setting.id) && (here || !crowded) && (
                      <p className="pb-1 text-small text-quiet">{tells.get(setting.id)}</p>
                    )}
                  </>
                )}
              </div>
            </li>
          );
        })}
        {closed === null && (
          <li className="relative pl-9 text-quiet">
            <Stop first={false} last={false} here={false} open />
            <p className="px-3 py-2">{HANDLE_RAIL_TEXT.morePerhaps}</p>
          </li>
        )}
      </ol>
    </section>
  );
}

/** What was found in a position of a held pair so far; teal where it joins. */
function FoundHere({
  probing: { map, stepAt, hands },
  setting,
  value,
}: {
  probing: Probing;
  setting: SettingId;
  value: Value | undefined;
}) {
  if (!value) {
    // In ohms a value is typed for the position that is asked now.
    const later = hands.sense === 'ohms' ? '–' : HANDLE_RAIL_TEXT.tapIfItSounds;
    return <span className="block text-quiet">{stepAt === setting ? HANDLE_RAIL_TEXT.now : later}</span>;
  }
  const joins = isJoin(value, lastCheck(map.log));
  return <span className={`block font-bold ${joins ? 'text-teal' : ''}`}>{valueWords(value)}</span>;
}

/** What was found in a position. */
/** By what reading positions without names are known, such as '1–3 closed'; those that have names need none. */
function tellTaleWords(map: Probing['map']): Map<SettingId, string> {
  const { structure } = map;
  const nameless = structure.settings.filter(({ at }) =>
    structure.actuators.every(
      ({ id, positions }) => positions.find((one) => one.id === at[id])?.name === null,
    ),
  );
  if (map.structure.settings.length < 2) return new Map();
  return new Map(
    nameless.flatMap(({ id }): [SettingId, string][] => {
      const told = tellTaleOf(map, id);
      if (!told) return [];
      const [a, b] = [told.a, told.b].map((place) => structure.terminals[place]?.label);
      const alone = told.others === structure.settings.length - 1 ? HANDLE_RAIL_TEXT.onlyHere : '';
      return [[id, `${a}–${b} ${told.joined ? 'closed' : 'open'}${alone}`]];
    }),
  );
}

/** Where every handle should be now, drawn from the same side as the lugs. */
function HandleDrawings({ probing: { map, at } }: { probing: Probing }) {
  const { side } = useViewSide();
  const setting = map.structure.settings.find(({ id }) => id === at);
  return map.structure.actuators.map((actuator) => (
    <div key={actuator.id} className="mx-auto max-w-44 [&_svg]:max-h-28">
      <ActuatorDrawing actuator={actuator} at={setting?.at[actuator.id] ?? null} side={side} />
      <p className="text-center text-small text-quiet">{turnWords(actuator, side)}</p>
      {actuator.form === 'unsaid' && <WhatItIs actuator={actuator} />}
    </div>
  ));
}

/** So many of so many; as a share where the numbers are long. Never 100 % before the last one. */
function share(settled: number, pairs: number): string {
  return pairs < 300 ? `${settled}/${pairs}` : `${Math.floor((100 * settled) / pairs)} %`;
}

function Stop({
  first,
  last,
  here,
  open = false,
}: {
  first: boolean;
  last: boolean;
  here: boolean;
  open?: boolean;
}) {
  const line = 'absolute left-4 w-0 -translate-x-1/2 border-l-4 border-brass';
  return (
    <div aria-hidden="true">
      {!first && <span className={`${line} top-0 h-1/2 ${open ? 'border-dashed' : ''}`} />}
      {!last && !open && <span className={`${line} top-1/2 h-1/2`} />}
      <span
        className={`absolute top-1/2 left-4 -translate-1/2 rounded-full border-4 border-brass ${here ? 'size-6 bg-brass' : 'size-4 bg-paper'}`}
      />
    </div>
  );
}

function NameForm({ probing, index, onDone }: { probing: Probing; index: number; onDone: () => void }) {
  const { structure } = probing.map;
  const session = useSession();
  const actuator = structure.actuators[0];
  const setting = structure.settings[index];
  const position = actuator?.positions.find(({ id }) => id === setting?.at[actuator.id]);
  const [name, setName] = useState(position?.name ?? '');
  return (
    <form
      className="flex flex-wrap gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const given = name.trim();
        if (position && given !== (position.name ?? '')) {
          session.restructure({
            change: 'position-renamed',
            position: position.id,
            name: given === '' ? null : given,
          });
        }
        onDone();
      }}
    >
      <TextInput
        autoFocus
        aria-label={HANDLE_RAIL_TEXT.nameOfThePosition}
        maxLength={POSITION_NAME_LETTERS}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && onDone()}
        className="w-full"
      />
      <PlainButton type="submit">{HANDLE_RAIL_TEXT.name}</PlainButton>
      {structure.settings.length > 1 && position && (
        <Hint text={HANDLE_RAIL_TEXT.notAPositionAfterAll}>
          <PlainButton
            aria-label={HANDLE_RAIL_TEXT.removeThisPosition}
            onClick={() => {
              session.restructure({ change: 'position-retired', position: position.id });
              onDone();
            }}
          >
            <Trash2 size={18} aria-hidden="true" />
          </PlainButton>
        </Hint>
      )}
    </form>
  );
}
