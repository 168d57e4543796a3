import type { NextTest } from '@which-way/core/machine';
import { CONDUCTS, type Conducts, type Load } from '@which-way/core/log';
import type { LoadId, SettingId, SupplyId, WireId } from '@which-way/core/switch';
import { CONDUCTS_WORDS } from '@which-way/words/machine/seen';
import type { ReactNode } from 'react';
import { PlainButton } from '../../controls/plain-button.js';
import { LoadsSeen, type SeenOfLoad } from './loads-seen.js';
import { NEXT_STEP_TEXT } from '@which-way/words/screens/parts/hunt/next-step';

/** What the places of a machine are called, of one switch or of several. */
export interface HuntNames {
  at: (setting: SettingId) => string;
  contact: (setting: SettingId, contact: readonly [number, number]) => string;
  place: (node: number) => string;
  part: (part: LoadId | WireId) => string;
  supply: (supply: SupplyId) => string;
}

/** What is done with an answer. */
export interface HuntAnswers {
  onLook: (setting: SettingId, load: LoadId, seen: SeenOfLoad) => void;
  onProbe: (setting: SettingId, between: readonly [number, number], conducts: Conducts) => void;
  onPart: (part: LoadId | WireId | SupplyId, whole: boolean) => void;
}

interface NextStepProps extends HuntAnswers {
  /** All loads of the machine. */
  loads: readonly Load[];
  next: NextTest;
  names: HuntNames;
  /** The ways to where a contact is read, where it is worked again and again, and where a supply is seen to. */
  toMap: ReactNode;
  toRepeat: ReactNode;
  toPath: ReactNode;
  /** Stands over everything that wants a dead machine, while it is not made safe. */
  caution?: ReactNode;
}

/** What tells most in the least time, answered here or where such things are done. */
export function NextStep({ caution, ...step }: NextStepProps) {
  const dead = step.next.kind !== 'look' && step.next.kind !== 'supply';
  return (
    <>
      {dead && caution}
      <Asked {...step} />
    </>
  );
}

function Asked({ loads, next, names, toMap, toRepeat, toPath, ...on }: Omit<NextStepProps, 'caution'>) {
  switch (next.kind) {
    case 'look':
      return (
        <Box name={NEXT_STEP_TEXT.lookNext}>
          <p>
            {NEXT_STEP_TEXT.next}
            {next.seconds}
            {NEXT_STEP_TEXT.sBringItTo}
            <strong>{names.at(next.setting)}</strong>.
          </p>
          <LoadsSeen
            loads={loads.filter(({ id }) => next.loads.includes(id))}
            onSay={(load, seen) => on.onLook(next.setting, load, seen)}
          />
        </Box>
      );
    case 'read':
      return (
        <Box name={NEXT_STEP_TEXT.readNext}>
          <p>
            {NEXT_STEP_TEXT.nextAbout}
            {next.seconds}
            {NEXT_STEP_TEXT.sOnceItIsSafe} <strong>{names.contact(next.setting, next.contact)}</strong>
            {NEXT_STEP_TEXT.joinAt} <strong>{names.at(next.setting)}</strong>?
          </p>
          {toMap}
        </Box>
      );
    case 'work':
      return (
        <Box name={NEXT_STEP_TEXT.workNext}>
          <p>
            {NEXT_STEP_TEXT.itComesAndGoesOne}
            {next.seconds}
            {NEXT_STEP_TEXT.sOnceItIsSafe2} <strong>{names.contact(next.setting, next.contact)}</strong>
            {NEXT_STEP_TEXT.againAndAgainClosedAt} <strong>{names.at(next.setting)}</strong>.
          </p>
          {toRepeat}
        </Box>
      );
    case 'probe':
      return <Probe {...{ next, names }} onProbe={on.onProbe} />;
    case 'try':
      return (
        <Box name={NEXT_STEP_TEXT.tryNext}>
          <p>
            {NEXT_STEP_TEXT.nextAbout}
            {next.seconds}
            {NEXT_STEP_TEXT.sDeadAndProvedSo} <strong>{names.part(next.part)}</strong>
            {NEXT_STEP_TEXT.andReadOhmsFromEnd}
          </p>
          <Two
            yes={NEXT_STEP_TEXT.itConducts}
            no={NEXT_STEP_TEXT.itIsOpen}
            onSay={(whole) => on.onPart(next.part, whole)}
          />
        </Box>
      );
    case 'supply':
      return (
        <Box name={NEXT_STEP_TEXT.supplyNext}>
          <p>
            {NEXT_STEP_TEXT.nextAbout}
            {next.seconds}
            {NEXT_STEP_TEXT.sDoes}
            <strong>{names.supply(next.supply)}</strong>
            {NEXT_STEP_TEXT.comeAsFarAsHere}
            <em>{NEXT_STEP_TEXT.isItTheSwitch}</em>
            {NEXT_STEP_TEXT.voltsOnALiveMachine}
          </p>
          {toPath}
          <Two
            yes={NEXT_STEP_TEXT.itIsThere}
            no={NEXT_STEP_TEXT.itIsMissing}
            onSay={(there) => on.onPart(next.supply, there)}
          />
        </Box>
      );
  }
}

function Probe({
  next,
  names,
  onProbe,
}: {
  next: Extract<NextTest, { kind: 'probe' }>;
  names: HuntNames;
  onProbe: HuntAnswers['onProbe'];
}) {
  const [red, black] = next.between;
  return (
    <Box name={NEXT_STEP_TEXT.probeNext}>
      <p>
        {NEXT_STEP_TEXT.nextAbout}
        {next.seconds}
        {NEXT_STEP_TEXT.sUnpluggedAndProvedDead} <strong>{names.at(next.setting)}</strong>
        {NEXT_STEP_TEXT.oneProbeOn}
        <strong>{names.place(red)}</strong>
        {NEXT_STEP_TEXT.theOtherOn}
        <strong>{names.place(black)}</strong>
        {NEXT_STEP_TEXT.readTheOhmsByEar}
      </p>
      <div className="flex flex-wrap gap-2">
        {CONDUCTS.map((one) => (
          <PlainButton key={one} onClick={() => onProbe(next.setting, next.between, one)}>
            {CONDUCTS_WORDS[one]}
          </PlainButton>
        ))}
      </div>
    </Box>
  );
}

function Box({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div
      className="grid gap-2 rounded-part border-2 border-brass bg-sheet p-3"
      role="group"
      aria-label={name}
    >
      {children}
    </div>
  );
}

function Two({ yes, no, onSay }: { yes: string; no: string; onSay: (whole: boolean) => void }) {
  return (
    <div className="flex flex-wrap gap-2">
      <PlainButton onClick={() => onSay(true)}>{yes}</PlainButton>
      <PlainButton onClick={() => onSay(false)}>{no}</PlainButton>
    </div>
  );
}
