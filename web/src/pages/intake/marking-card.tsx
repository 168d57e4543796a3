import { decodeTranscription } from '@which-way/core/rating';
import {
  runsOf,
  SURENESS,
  surenessOf,
  type Marking,
  type Photo,
  type PhotoBox,
  type Sureness,
} from '@which-way/core/log';
import { MARKING_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { MarkingIs } from './part-identity.js';
import { photoUrl } from '../../parts/photos/photo-url.js';
import { PlainButton } from '../../controls/plain-button.js';
import { designationWords, pieceWords } from '@which-way/words/before/rating';
import { MARKING_CARD_TEXT } from '@which-way/words/screens/pages/intake/marking-card';
import { TextInput } from '../../controls/fields/text-input.js';
import { useUnits } from '../../parts/units/units.js';

const LOOKS: Record<Sureness, string> = {
  certain: 'border-line bg-sheet',
  guess: 'border-amber bg-amber-wash text-amber-ink border-dashed',
  unreadable: 'border-line not-known text-quiet',
};

const textOf = ({ runs }: Marking) => runs.map(({ text }) => text).join('');

interface MarkingCardProps {
  marking: Marking;
  /** The photo that it was boxed on. */
  photo: Photo | null;
  onChange: (marking: Marking) => void;
}

/** One marking: its characters, each certain, a guess or unreadable, and what it says. */
export function MarkingCard({ marking, photo, onChange }: MarkingCardProps) {
  const kept = textOf(marking);
  const [typed, setTyped] = useState(kept);
  const sureness = surenessOf(marking);
  const keep = () => {
    if (typed !== kept) onChange({ ...marking, runs: runsOf(typed, carryOver(kept, sureness, typed)) });
  };
  const turn = (index: number) => {
    const next = sureness.map((sure, at) =>
      at === index ? (SURENESS[(SURENESS.indexOf(sure) + 1) % SURENESS.length] ?? 'certain') : sure,
    );
    onChange({ ...marking, runs: runsOf(kept, next) });
  };
  return (
    <li className="grid gap-3 border-b-2 border-line pb-5">
      {photo && marking.box && <Clipping photo={photo} box={marking.box} />}
      <div className="flex flex-wrap gap-2">
        <TextInput
          id={`marking-${marking.id}`}
          aria-label={MARKING_CARD_TEXT.markingAsRead}
          value={typed}
          maxLength={MARKING_LETTERS}
          autoComplete="off"
          spellCheck={false}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => event.key === 'Enter' && keep()}
          mono
          className="grow text-large"
        />
        <PlainButton onClick={() => onChange({ ...marking, runs: [], box: null })}>
          {MARKING_CARD_TEXT.remove}
        </PlainButton>
      </div>
      {kept !== '' && (
        <>
          <div
            className="flex flex-wrap gap-1"
            role="group"
            aria-label={MARKING_CARD_TEXT.howSureEachCharacterIs}
          >
            {[...kept].map((character, index) => {
              const sure = sureness[index] ?? 'certain';
              return (
                <button
                  key={index}
                  type="button"
                  onClick={() => turn(index)}
                  aria-label={`${character === ' ' ? MARKING_CARD_TEXT.space : character}: ${sure}`}
                  className={`flex h-12 min-w-9 items-center justify-center rounded-part border-2 font-mono text-large font-bold ${LOOKS[sure]}`}
                >
                  {sure === 'unreadable' ? '?' : character}
                </button>
              );
            })}
          </div>
          <p className="text-small text-quiet">{MARKING_CARD_TEXT.tapACharacterCertainA}</p>
          {/* What could not be read is no identity. */}
          {sureness.every((sure) => sure !== 'unreadable') && <MarkingIs text={kept} />}
          <Decoded marking={marking} />
        </>
      )}
    </li>
  );
}

/** The boxed part of the photo, so that what is typed stands below what is stamped. */
function Clipping({ photo, box }: { photo: Photo; box: PhotoBox }) {
  const { width, height } = photo;
  const view = [box.x * width, box.y * height, box.width * width, box.height * height];
  return (
    <svg
      viewBox={view.join(' ')}
      role="img"
      aria-label={MARKING_CARD_TEXT.theMarkingOnThePhoto}
      className="max-h-28 w-full rounded-part border-2 border-brass bg-lead-black"
    >
      <image href={photoUrl(photo.id)} width={width} height={height} />
    </svg>
  );
}

/** How sure characters stay where the text before and after them did not change. */
function carryOver(before: string, sureness: readonly Sureness[], after: string): Sureness[] {
  let start = 0;
  while (start < before.length && start < after.length && before[start] === after[start]) start += 1;
  let end = 0;
  while (
    end < before.length - start &&
    end < after.length - start &&
    before.at(-1 - end) === after.at(-1 - end)
  )
    end += 1;
  const fresh = Array.from({ length: after.length - start - end }, (): Sureness => 'certain');
  return [...sureness.slice(0, start), ...fresh, ...sureness.slice(sureness.length - end)];
}

function Decoded({ marking }: { marking: Marking }) {
  const units = useUnits();
  const decoded = decodeTranscription(marking);
  const told = decoded.pieces.filter(({ code }) => code !== 'separator');
  const unknown = [
    decoded.currents.length + decoded.powers.length + decoded.designations.length === 0 ? 'current' : '',
    decoded.currents.some(({ volts }) => volts === null) ? 'voltage' : '',
    decoded.currents.some(({ supply }) => supply === null) ? 'alternating or direct' : '',
    decoded.currents.length > 0 && !decoded.currents.some(({ load }) => load === 'motor') ? 'motor load' : '',
    decoded.currents.length > 0 && !decoded.currents.some(({ load }) => load === 'lamp') ? 'lamp load' : '',
    decoded.operations === null ? 'operations' : '',
    decoded.disconnection === null ? 'kind of disconnection' : '',
  ].filter(Boolean);
  return (
    <div>
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5" aria-label={MARKING_CARD_TEXT.whatItSays}>
        {told.map((piece) => (
          <div key={piece.from} className="contents">
            <dt
              className={`font-mono font-bold ${piece.code === 'not-read' ? 'bg-amber-wash text-amber-ink' : ''}`}
            >
              {piece.text.replace(/\uFFFD/g, '?')}
            </dt>
            <dd>
              {pieceWords(piece, units)}
              {piece.guessed && (
                <em className="ml-2 rounded-part bg-amber-wash px-2 text-amber-ink not-italic">
                  {MARKING_CARD_TEXT.restsOnAGuess}
                </em>
              )}
            </dd>
          </div>
        ))}
      </dl>
      {decoded.designations.map((designation) => (
        <ul key={designation.letter} className="mt-2 text-quiet">
          {designationWords(designation).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ))}
      <p className="mt-2 text-quiet">
        {MARKING_CARD_TEXT.notStatedSoNotKnown}
        {unknown.join(', ') || MARKING_CARD_TEXT.nothingOfTheUsual}.
      </p>
    </div>
  );
}
