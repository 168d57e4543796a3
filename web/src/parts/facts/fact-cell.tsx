import type { Cell } from '@which-way/core/table';
import { factWords } from '@which-way/words/map/facts';
import { FACT_CELL_TEXT } from '@which-way/words/screens/parts/facts/fact-cell';

/** A cell of the truth table: X on teal is closed, white is a measured open, hatching is not known, amber wants another look. */
export function FactCell({
  cell,
  onPick,
  label,
  large = false,
  low = false,
  asked = false,
}: {
  cell: Cell;
  onPick: () => void;
  label: string;
  large?: boolean;
  /** Where there are many rows. */
  low?: boolean;
  asked?: boolean;
}) {
  const { fact, lookAgain } = cell;
  const amber = fact.state === 'disputed' || lookAgain;
  const look = amber
    ? 'bg-amber text-lead-black'
    : fact.joined
      ? 'bg-teal text-on-teal'
      : fact.state === 'unknown' || fact.state === 'assumed'
        ? 'not-known bg-paper'
        : 'bg-sheet';
  const mark = amber ? '?' : fact.joined ? (fact.byTone ? '♪' : '×') : fact.state === 'assumed' ? 'a' : '';
  const said = `${label}: ${amber ? (lookAgain ? FACT_CELL_TEXT.lookAgain : 'Disputed') : factWords(fact)}`;
  return (
    <button
      type="button"
      onClick={onPick}
      aria-label={said}
      data-state={
        amber
          ? 'look-again'
          : fact.state === 'unknown' || fact.state === 'assumed'
            ? fact.state
            : fact.joined
              ? 'closed'
              : 'open'
      }
      className={`flex w-full items-center justify-center border border-line font-mono font-bold ${low ? 'h-9 pointer-coarse:h-11' : 'h-12'} ${large && !low ? 'text-large' : 'text-base'} ${look} ${
        asked ? 'ring-3 ring-ink ring-inset' : ''
      } ${fact.state === 'follows' && fact.joined ? 'underline decoration-2 underline-offset-4' : ''}`}
    >
      {mark === '×' ? <Cross /> : mark}
      {fact.state === 'follows' && !fact.joined && !amber && (
        <span aria-hidden="true" className="text-quiet">
          ·
        </span>
      )}
    </button>
  );
}

function Cross() {
  return (
    <svg viewBox="0 0 16 16" className="size-4" aria-hidden="true">
      <path d="M2 2L14 14M14 2L2 14" stroke="currentColor" strokeWidth="3" />
    </svg>
  );
}

/** What the marks of a table mean. */
export function CellKey() {
  const item = 'flex items-center gap-2';
  const box = 'inline-flex size-6 items-center justify-center border border-line font-mono font-bold';
  return (
    <ul
      className="flex flex-wrap gap-x-5 gap-y-1 text-small text-quiet"
      aria-label={FACT_CELL_TEXT.whatTheMarksMean}
    >
      <li className={item}>
        <span className={`${box} bg-teal text-on-teal`}>
          <Cross />
        </span>
        {FACT_CELL_TEXT.closed}
      </li>
      <li className={item}>
        <span className={`${box} bg-teal text-on-teal`}>♪</span>
        {FACT_CELL_TEXT.closedByTone}
      </li>
      <li className={item}>
        <span className={`${box} bg-teal text-on-teal underline underline-offset-4`}>
          <Cross />
        </span>
        {FACT_CELL_TEXT.or}
        <span className={`${box} bg-sheet`}>·</span>
        {FACT_CELL_TEXT.follows}
      </li>
      <li className={item}>
        <span className={`${box} not-known bg-paper`}>{FACT_CELL_TEXT.a}</span>
        {FACT_CELL_TEXT.assumedNotRead}
      </li>
      <li className={item}>
        <span className={`${box} bg-sheet`} />
        {FACT_CELL_TEXT.openMeasured}
      </li>
      <li className={item}>
        <span className={`${box} not-known`} />
        {FACT_CELL_TEXT.notKnown}
      </li>
      <li className={item}>
        <span className={`${box} bg-amber text-lead-black`}>?</span>
        {FACT_CELL_TEXT.lookAgain2}
      </li>
    </ul>
  );
}
