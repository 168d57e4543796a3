import { endsOf } from '@which-way/core/machine';
import { looksOf, recordsOf, type WireEnd, wireEndsOf } from '@which-way/core/log';
import type { WireId } from '@which-way/core/switch';
import { endWords, supplyAmong } from '@which-way/words/machine/loads';
import { useJobState, useSession } from '../../../job/job-context.js';
import { guessedEnd } from './guessed-end.js';
import type { Wire } from '@which-way/core/log';
import { WIRE_ENDS_TEXT } from '@which-way/words/screens/pages/tag/wires/wire-ends';

const keyOf = (end: WireEnd): string =>
  end.at === 'supply' ? end.supply : end.at === 'load' ? `${end.load} ${end.end}` : end.at;

/** Where a wire ends, in one tap from what the job already knows; a guess counts for nothing until it is taken. */
export function WireEnds({ wire }: { wire: Wire }) {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const [supplies, loads] = [recordsOf(log, 'supply-named'), recordsOf(log, 'load-named')];
  const ends = wireEndsOf(log).get(wire.id) ?? [];
  const chosen = new Set(ends.map(keyOf));
  const options: { end: WireEnd; text: string }[] = [
    ...supplies.map((supply) => ({
      end: { at: 'supply' as const, supply: supply.id },
      text: supplyAmong(supply, supplies),
    })),
    ...loads.flatMap((load) =>
      endsOf(load).map((end) => ({
        end: { at: 'load' as const, load: load.id, end },
        text: endWords(load, end),
      })),
    ),
    { end: { at: 'elsewhere' }, text: 'another switch or device' },
    { end: { at: 'nowhere' }, text: 'nowhere: capped' },
  ];
  const looksCommon = wire.terminal !== null && (looksOf(log).get(wire.terminal) ?? []).length > 0;
  const guess = ends.length === 0 ? guessedEnd(wire, supplies, loads, looksCommon) : null;
  const guessText = options.find(({ end }) => guess !== null && keyOf(end) === keyOf(guess))?.text;
  const keep = (all: WireEnd[]) => session.emit({ kind: 'wire-ended', wire: wire.id as WireId, ends: all });
  return (
    <fieldset>
      <legend className="font-semibold">
        {WIRE_ENDS_TEXT.itsFarEnd}{' '}
        <span className="font-normal text-quiet">
          {ends.length === 0 ? WIRE_ENDS_TEXT.notSaidSeveralWhereIt : ''}
        </span>
      </legend>
      {options.length === 2 && <p className="text-quiet">{WIRE_ENDS_TEXT.nameSuppliesAndLoadsBelow}</p>}
      <div className="mt-1 flex flex-wrap gap-1.5">
        {guess && guessText && (
          <button
            type="button"
            className="min-h-12 rounded-part border-2 border-dashed border-quiet px-3"
            onClick={() => keep([guess])}
          >
            {WIRE_ENDS_TEXT.aGuess}
            {guessText}
            {WIRE_ENDS_TEXT.takeIt}
          </button>
        )}
        {options.map(({ end, text }) => {
          const on = chosen.has(keyOf(end));
          const others = ends.filter((one) => keyOf(one) !== keyOf(end) && one.at !== 'nowhere');
          return (
            <button
              key={keyOf(end)}
              type="button"
              aria-pressed={on}
              className={`min-h-12 rounded-part border-2 px-3 ${on ? 'border-ink bg-ink text-paper' : 'border-edge bg-sheet'}`}
              onClick={() => keep(on ? others : end.at === 'nowhere' ? [end] : [...others, end])}
            >
              {text}
            </button>
          );
        })}
      </div>
    </fieldset>
  );
}
