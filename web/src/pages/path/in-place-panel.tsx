import { type InPlaceTrial, recordsOf } from '@which-way/core/log';
import { inPlaceStanding, ROUNDS_WANTED } from '@which-way/core/path';
import { POINT_LETTERS, REMARK_LETTERS } from '@which-way/core/schema';
import { IN_PLACE_WORDS } from '@which-way/words/before/in-place';
import { PART_WORDS } from '@which-way/words/tag/wires';
import { terminalName } from '@which-way/words/terminals';
import { useState } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { positionNames } from '../../parts/safety/handle-positions.js';
import { useSafety } from '../../parts/safety/use-safety.js';
import { Choice } from '../../controls/fields/choice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { IN_PLACE_PANEL_TEXT } from '@which-way/words/screens/pages/path/in-place-panel';
import { Field } from '../../controls/fields/field.js';

const FOUND = [
  { value: 'open', text: 'open' },
  { value: 'joined', text: 'joined' },
] as const;
type Found = (typeof FOUND)[number]['value'];

/** For those who test before they take out: a pair that parts and joins with the handle, leads unmoved, three times over. */
export function InPlacePanel() {
  const log = useJobState((state) => state.map.log);
  const safe = useSafety();
  const trials = recordsOf(log, 'tried-in-place');
  const [begun, setBegun] = useState<InPlaceTrial | null>(null);
  return (
    <details className="border-t-2 border-line pt-2" open={trials.length > 0 || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 font-bold">
        {IN_PLACE_PANEL_TEXT.inPlaceTheWiresOn}
      </summary>
      <ul className="grid gap-1">
        {trials.map((trial, at) => (
          <li key={at} className="border-b border-line py-1">
            <strong>
              {trial.between}, {trial.openAt}
              {IN_PLACE_PANEL_TEXT.to}
              {trial.closedAt}, {trial.rounds.length}
              {IN_PLACE_PANEL_TEXT.times}
            </strong>{' '}
            {IN_PLACE_WORDS[inPlaceStanding(trial)]}
            {trial.sharedBy && IN_PLACE_PANEL_TEXT.whatCouldShareThePath(trial.sharedBy)}
          </li>
        ))}
      </ul>
      {!safe.open ? (
        <p>{IN_PLACE_PANEL_TEXT.nothingIsReadInOhms}</p>
      ) : begun ? (
        <Rounds begun={begun} onDone={() => setBegun(null)} />
      ) : (
        <Begin onBegin={setBegun} />
      )}
    </details>
  );
}

/** Between what, and where the handle should part and join it. */
function Begin({ onBegin }: { onBegin: (trial: InPlaceTrial) => void }) {
  const map = useJobState((state) => state.map);
  const names = positionNames(map.structure);
  const shared = [
    ...recordsOf(map.log, 'load-named').map(({ name }) => name),
    ...recordsOf(map.log, 'part-declared')
      .filter(({ on }) => on)
      .map(
        ({ form, terminals }) =>
          `${PART_WORDS[form]} on ${terminals.map((id) => terminalName(map.structure, id)).join('–')}`,
      ),
  ];
  const [typed, setTyped] = useState({
    between: '',
    openAt: names[0] ?? 'OFF',
    closedAt: names[1] ?? 'ON',
    sharedBy: shared.join(', ').slice(0, REMARK_LETTERS),
  });
  const field = (key: keyof typeof typed, label: string, most: number) => (
    <Field
      label={label}
      value={typed[key]}
      maxLength={most}
      onType={(text) => setTyped({ ...typed, [key]: text })}
    />
  );
  const ready = [typed.between, typed.openAt, typed.closedAt].every((text) => text.trim() !== '');
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onBegin({ ...typed, rounds: [] });
      }}
    >
      {field('between', IN_PLACE_PANEL_TEXT.betweenWhichTwoPoints, POINT_LETTERS)}
      <div className="grid grid-cols-2 gap-2">
        {field('openAt', IN_PLACE_PANEL_TEXT.itPartsAt, POINT_LETTERS)}
        {field('closedAt', IN_PLACE_PANEL_TEXT.itJoinsAt, POINT_LETTERS)}
      </div>
      {field('sharedBy', IN_PLACE_PANEL_TEXT.whatElseCouldShareThe, REMARK_LETTERS)}
      <PlainButton type="submit" disabled={!ready}>
        {IN_PLACE_PANEL_TEXT.beginLeadsOnAndLeave}
      </PlainButton>
    </form>
  );
}

/** Round by round; kept after the third, so that nothing is kept that says nothing. */
function Rounds({ begun, onDone }: { begun: InPlaceTrial; onDone: () => void }) {
  const session = useSession();
  const [trial, setTrial] = useState(begun);
  const [open, setOpen] = useState<Found | null>(null);
  const round = trial.rounds.length + 1;
  const say = (found: Found) => {
    if (open === null) return setOpen(found);
    const rounds = [...trial.rounds, { atOpen: open, atClosed: found }];
    setOpen(null);
    if (rounds.length < ROUNDS_WANTED) return setTrial({ ...trial, rounds });
    session.emit({ kind: 'tried-in-place', trial: { ...trial, rounds } });
    onDone();
  };
  return (
    <div className="grid gap-2">
      <p className="text-large font-bold">
        {round}
        {IN_PLACE_PANEL_TEXT.ofText}
        {ROUNDS_WANTED}
        {IN_PLACE_PANEL_TEXT.handleAt}
        {open === null ? trial.openAt : trial.closedAt}, {trial.between} {IN_PLACE_PANEL_TEXT.isText}
      </p>
      <div className="flex flex-wrap gap-2">
        <Choice<Found>
          label={IN_PLACE_PANEL_TEXT.whatTheMeterSays}
          value={null}
          options={FOUND}
          onChoose={say}
        />
        <PlainButton look="quiet" onClick={onDone}>
          {IN_PLACE_PANEL_TEXT.leaveIt}
        </PlainButton>
      </div>
    </div>
  );
}
