import { factAt, type Fact } from '@which-way/core/continuity';
import { mostLeftIn } from '@which-way/core/planner';
import type { SettingId, TerminalId } from '@which-way/core/switch';
import type { Inspected } from '../../../parts/facts/inspector.js';
import { factWords } from '@which-way/words/map/facts';
import { nameOfSetting, terminalName } from '@which-way/words/terminals';
import { time } from '@which-way/words/time';
import type { Probing } from '../probing/use-probing.js';
import { COVERAGE_TEXT } from '@which-way/words/screens/pages/map/board/coverage';

/** How far every position is, what is missing and what it would cost; and the pairs of one position, each to be tapped. */
export function CoverageTable({ probing, onPick }: { probing: Probing; onPick: (about: Inspected) => void }) {
  const { map, at } = probing;
  const rows = map.structure.settings.map((setting, index) => ({
    id: setting.id,
    name: nameOfSetting(map.structure, setting, index),
    coverage: map.settings.get(setting.id)?.coverage,
    left: mostLeftIn(map, setting.id),
  }));
  return (
    <>
      <table className="w-full text-right font-mono text-small [&_td]:pl-2 [&_td]:align-top [&_td]:whitespace-nowrap [&_th]:align-bottom [&_th+th]:pl-2 [&_tbody_th]:align-top">
        <thead className="text-quiet">
          <tr>
            <th className="text-left font-semibold">{COVERAGE_TEXT.position}</th>
            <th className="font-semibold">{COVERAGE_TEXT.measured}</th>
            <th className="font-semibold">{COVERAGE_TEXT.follows}</th>
            <th className="font-semibold">{COVERAGE_TEXT.notKnown}</th>
            <th className="font-semibold">{COVERAGE_TEXT.wouldTake}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, name, coverage, left }) => (
            <tr key={id} className={`border-t border-line ${id === at ? 'font-bold' : ''}`}>
              <th className="max-w-28 text-left font-sans font-semibold">{name}</th>
              <td>{coverage?.measured}</td>
              <td>{coverage?.follows}</td>
              <td>
                {[
                  coverage?.unknown ? String(coverage.unknown) : '',
                  coverage?.assumed ? `${coverage.assumed} assumed` : '',
                  coverage?.disputed ? `${coverage.disputed} disputed` : '',
                ]
                  .filter(Boolean)
                  .join(', ') || '0'}
              </td>
              <td>
                {left.readings > 0 ? left.readings : '–'}
                {left.readings > 0 && <span className="block">{time(left.seconds)}</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {at && <PairMatrix probing={probing} setting={at} onPick={onPick} />}
    </>
  );
}

const LOOKS: Record<string, string> = {
  joined: 'bg-teal text-on-teal',
  apart: 'bg-sheet',
  disputed: 'bg-amber text-lead-black',
  unknown: 'not-known bg-paper',
};

function lookOf({ state, joined }: Fact): string {
  if (state === 'disputed') return 'disputed';
  if (state === 'unknown' || state === 'assumed') return 'unknown';
  return joined ? 'joined' : 'apart';
}

/** Every pair of a position: a dot for what follows, an a for what was only assumed. */
function PairMatrix({
  probing: { map },
  setting,
  onPick,
}: {
  probing: Probing;
  setting: SettingId;
  onPick: (about: Inspected) => void;
}) {
  const settled = map.settings.get(setting)?.settled;
  if (!settled) return null;
  const label = (place: number) => terminalName(map.structure, settled.terminals[place] as TerminalId);
  return (
    <div className="mt-2 overflow-x-auto" role="group" aria-label={COVERAGE_TEXT.everyPairOfThisPosition}>
      <div
        className="grid w-max gap-px font-mono text-small"
        style={{ gridTemplateColumns: `auto repeat(${map.contacts.length}, 3rem)` }}
      >
        <span />
        {map.contacts.map((b) => (
          <span key={b} className="overflow-hidden text-center text-quiet">
            {label(b)}
          </span>
        ))}
        {map.contacts.map((a) => (
          <Row key={a} name={label(a)}>
            {map.contacts.map((b) => {
              if (b <= a) return <span key={b} />;
              const fact = factAt(settled, a, b);
              return (
                <button
                  key={b}
                  type="button"
                  aria-label={COVERAGE_TEXT.and(label(a), label(b), factWords(fact))}
                  onClick={() =>
                    onPick({
                      setting,
                      a: settled.terminals[a] as TerminalId,
                      b: settled.terminals[b] as TerminalId,
                    })
                  }
                  className={`size-12 border border-line ${LOOKS[lookOf(fact)]}`}
                >
                  {fact.state === 'follows' ? '·' : fact.state === 'assumed' ? 'a' : ''}
                </button>
              );
            })}
          </Row>
        ))}
      </div>
    </div>
  );
}

function Row({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <>
      <span className="self-center pr-1 text-right text-quiet">{name}</span>
      {children}
    </>
  );
}
