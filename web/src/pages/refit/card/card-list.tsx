import { isTicked, wayOf, type CardLine, type TransferCard } from '@which-way/core/refit';
import { cardLineWords, REFIT_WAY_WORDS } from '@which-way/words/refit';
import { Check, Printer } from 'lucide-react';
import { useJobState } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { WireCasing } from '../../../parts/identity/wire-casing.js';
import { PrintedLink } from './printed-link.js';
import { CARD_LIST_TEXT } from '@which-way/words/screens/pages/refit/card/card-list';

interface CardProps {
  card: TransferCard;
  at: string;
  onGo: (key: string) => void;
  onTick: (line: CardLine, done: boolean) => void;
}

/** The whole card, to be ticked in any order and printed. */
export function CardList({ card, at, onGo, onTick }: CardProps) {
  const job = useJobState((state) => state.job);
  const way = useJobState((state) => wayOf(state.map));
  if (card.lines.length === 0) return null;
  return (
    <section aria-label={CARD_LIST_TEXT.transferCard}>
      <div className="flex items-center gap-2">
        <h2 className="grow text-large font-bold">
          {CARD_LIST_TEXT.transferCard2}
          {card.lines.length - card.left}
          {CARD_LIST_TEXT.ofText}
          {card.lines.length}
          {CARD_LIST_TEXT.done}
        </h2>
        <PlainButton look="quiet" className="no-print" onClick={() => window.print()}>
          <Printer size={18} className="mr-2 inline" aria-hidden="true" />
          {CARD_LIST_TEXT.print}
        </PlainButton>
      </div>
      {job && (
        <p className="hidden font-bold print:block">
          {CARD_LIST_TEXT.job}
          {job.number}: {job.title}
          {CARD_LIST_TEXT.backGoes}
          {REFIT_WAY_WORDS[way].name}.
        </p>
      )}
      {job && <PrintedLink job={job.id} />}
      <ol className="mt-2 border-t-2 border-line">
        {card.lines.map((line) => {
          const done = isTicked(card, line);
          return (
            <li
              key={line.key}
              aria-current={line.key === at || undefined}
              className={`flex items-center gap-2 border-b border-line ${line.key === at ? 'bg-sheet' : ''}`}
            >
              <button
                type="button"
                role="checkbox"
                aria-checked={done}
                aria-label={cardLineWords(line)}
                onClick={() => onTick(line, !done)}
                className="grid size-12 shrink-0 place-items-center"
              >
                <span
                  className={`grid size-7 place-items-center rounded-part border-2 border-ink [print-color-adjust:exact] ${done ? 'bg-teal text-on-teal' : 'bg-sheet'}`}
                >
                  {done && <Check size={20} strokeWidth={3} aria-hidden="true" />}
                </span>
              </button>
              <button
                type="button"
                onClick={() => onGo(line.key)}
                className={`min-h-12 min-w-0 grow text-left ${done ? 'text-quiet' : 'font-semibold'}`}
              >
                {cardLineWords(line)}
              </button>
              {line.kind === 'wire' && <WireCasing wire={line.wire} />}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
