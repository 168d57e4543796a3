import { CheckLine } from '../../../controls/fields/check-line.js';
import { RadioLines } from '../../../controls/fields/radio-lines.js';
import { approachOf, costsOf, holdsItself, namedPairs, ORDINARY_HANDS } from '@which-way/core/planner';
import { MOST_NAMED_PAIRS } from '@which-way/core/schema';
import { asAnswered, PLAIN_APPROACH, type Approach, type HandSeconds } from '@which-way/core/log';
import { wrongPairWords } from '@which-way/words/probing/messages';
import { useId, useState } from 'react';
import { useSession } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { readPairs } from '@which-way/core/probing';
import { KeyCap } from '../keys/panel-keys.js';
import { MeterRange } from './meter-range.js';
import { TypedNumber } from './typed-number.js';
import type { Probing } from '../probing/use-probing.js';
import { AT_HAND_TEXT } from '@which-way/words/screens/pages/map/panels/at-hand';
import { TextInput } from '../../../controls/fields/text-input.js';

/** What is at hand: a meter that sounds or shows, a clamp, clips, hands with a pace of their own; and a quick check. */
export function AtHand({ probing, onBegun }: { probing: Probing; onBegun: () => void }) {
  return (
    <>
      <Sensing probing={probing} />
      <MeterRange probing={probing} />
      <HoldAid probing={probing} />
      <QuickCheck probing={probing} onBegun={onBegun} />
      <Clips probing={probing} />
      <Hands probing={probing} />
    </>
  );
}

/** Changes how it is mapped, from the next prompt on. */
const approaches = ({ act }: Probing, change: Partial<Approach>) => act({ do: 'approach', change });

/** By ear or by the display. */
function Sensing({ probing: { hands, act } }: { probing: Probing }) {
  return (
    <RadioLines
      label={AT_HAND_TEXT.readBy}
      name={AT_HAND_TEXT.howItIsRead}
      inRow
      className="mt-3 border-t border-line pt-1"
      value={hands.sense}
      options={(['tone', 'ohms'] as const).map((one) => ({
        value: one,
        shortcut: one.charAt(0),
        text: (
          <span>
            {one === 'tone' ? AT_HAND_TEXT.tone : AT_HAND_TEXT.ohmsOnTheDisplay} <KeyCap of={one.charAt(0)} />
          </span>
        ),
      }))}
      onChoose={(sense) => act({ do: 'sense', sense })}
    />
  );
}

/** A clamp or tape that holds a sprung handle leaves both hands for the leads. */
function HoldAid({ probing }: { probing: Probing }) {
  const { map } = probing;
  const sprung = asAnswered(map.structure, map.log, 'found').actuators.some(({ positions }) =>
    positions.some(({ rests }) => rests === 'momentary'),
  );
  if (!sprung) return null;
  const { moveLead, moveBoth, turn, read, clip } = costsOf(map, approachOf(map));
  const aided = holdsItself(map);
  return (
    <CheckLine
      shortcut="h"
      checked={aided}
      onChange={() =>
        approaches(probing, {
          hands: {
            moveLead,
            moveBoth,
            turn,
            read,
            clip,
            holdMomentary: aided ? ORDINARY_HANDS.holdMomentary : 0,
          },
        })
      }
    >
      {AT_HAND_TEXT.aClampOrTapeHolds}
      <KeyCap of="h" />
    </CheckLine>
  );
}

/** A quick check reads only the pairs that are named here. */
function QuickCheck({ probing, onBegun }: { probing: Probing; onBegun: () => void }) {
  const { map } = probing;
  const session = useSession();
  const [text, setText] = useState(() =>
    namedPairs(map)
      .map((pair) => pair.map((place) => map.structure.terminals[place]?.label).join('-'))
      .join(', '),
  );
  const [message, setMessage] = useState('');
  const begin = () => {
    const read = readPairs(text, map.structure);
    if (!read.ok) return setMessage(wrongPairWords(read.wrong));
    if (read.pairs.length > MOST_NAMED_PAIRS)
      return setMessage(AT_HAND_TEXT.thatIsPairsAQuick(read.pairs.length, MOST_NAMED_PAIRS));
    setMessage('');
    session.emit({ kind: 'pairs-named', pairs: read.pairs });
    approaches(probing, { extent: 'named-pairs' });
    onBegun();
  };
  return (
    <form
      className="mt-3 border-t border-line pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        begin();
      }}
    >
      <label className="block font-semibold">
        {AT_HAND_TEXT.quickCheckOnlyThesePairs}
        <KeyCap of="q" />
        <span className="flex gap-2">
          <TextInput
            value={text}
            onChange={(event) => setText(event.target.value)}
            placeholder="1-2, 3-4"
            aria-keyshortcuts="q"
            mono
            className="grow font-normal"
          />
          <PlainButton type="submit">{AT_HAND_TEXT.checkThese}</PlainButton>
        </span>
      </label>
      <p className="text-small text-quiet">{AT_HAND_TEXT.itProvesLittleWhatIs}</p>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
    </form>
  );
}

function Clips({ probing }: { probing: Probing }) {
  const { clips } = approachOf(probing.map);
  return (
    <div className="mt-3 border-t border-line pt-3 font-semibold">
      <TypedNumber
        label={AT_HAND_TEXT.clipsAtHand}
        value={clips}
        shortcut="c"
        read={(text) =>
          /^\d{1,2}$/.test(text.trim()) && Number(text) <= 64 ? Number(text) : AT_HAND_TEXT.notClips(text)
        }
        onGiven={(given) => approaches(probing, { clips: given })}
      >
        <KeyCap of="c" />
      </TypedNumber>
    </div>
  );
}

const HAND_WORDS: readonly [keyof HandSeconds, string][] = [
  ['moveLead', AT_HAND_TEXT.moveOneLead],
  ['moveBoth', AT_HAND_TEXT.moveBothLeads],
  ['turn', AT_HAND_TEXT.turnToAnotherPosition],
  ['read', AT_HAND_TEXT.readTheMeter],
  ['holdMomentary', AT_HAND_TEXT.holdASprungHandleMore],
  ['clip', AT_HAND_TEXT.oneClipOnOrOff],
];

const readSeconds = (text: string): number | string => {
  const seconds = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && seconds >= 0 && seconds <= 120
    ? seconds
    : AT_HAND_TEXT.isNoTimeTypeSeconds(text);
};

/** Seconds of these hands: learnt from the job, or typed in. */
function Hands({ probing }: { probing: Probing }) {
  const heading = useId();
  const now = approachOf(probing.map);
  const costs = costsOf(probing.map, now);
  const { moveLead, moveBoth, turn, read, holdMomentary, clip } = costs;
  const hands: HandSeconds = { moveLead, moveBoth, turn, read, holdMomentary, clip };
  return (
    <section aria-labelledby={heading} className="mt-3 border-t border-line pt-3">
      <p id={heading} className="font-semibold">
        {AT_HAND_TEXT.secondsOfYourHands}
        {now.hands ? AT_HAND_TEXT.asTypedIn : AT_HAND_TEXT.learntFromThisJob} <KeyCap of="s" />
      </p>
      <div className="grid gap-x-6 sm:grid-cols-2">
        {HAND_WORDS.map(([field, words], place) => (
          <div key={field}>
            <TypedNumber
              label={words}
              value={costs[field]}
              shortcut={place === 0 ? 's' : undefined}
              read={readSeconds}
              onGiven={(seconds) => approaches(probing, { hands: { ...hands, [field]: seconds } })}
            />
          </div>
        ))}
      </div>
      {now.hands && (
        <PlainButton
          className="mt-2 w-full"
          onClick={() => approaches(probing, { hands: PLAIN_APPROACH.hands })}
        >
          {AT_HAND_TEXT.learnThemFromThisJob}
        </PlainButton>
      )}
    </section>
  );
}
