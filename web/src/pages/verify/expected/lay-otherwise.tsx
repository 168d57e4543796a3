import type { Relabelling } from '@which-way/core/partition';
import type { ExpectedTable } from '@which-way/core/log';
import { laidOtherwise, type Comparison, type DiagnosisQuestion } from '@which-way/core/verify';
import type { TerminalId } from '@which-way/core/switch';
import { terminalName } from '@which-way/words/terminals';
import { ToggleGroup } from 'radix-ui';
import { useId, useState } from 'react';
import { useJobState } from '../../../job/job-context.js';
import { toast } from '../../../controls/toast.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { diagnosisBeside } from '../likely/diagnosis-beside.js';
import { LAY_OTHERWISE_TEXT } from '@which-way/words/screens/pages/verify/expected/lay-otherwise';

interface LayOtherwiseProps {
  table: ExpectedTable;
  question: DiagnosisQuestion;
  comparison: Comparison;
  onSet: (table: ExpectedTable) => void;
}

/** Numbers of a diagram need not be those on the switch: the way to lay them so that the fewest cells differ, some held fast. */
export function LayOtherwise({ table, question, comparison, onSet }: LayOtherwiseProps) {
  const structure = useJobState((state) => state.map.structure);
  const heading = useId();
  const [certain, setCertain] = useState<string[]>([]);
  const [found, setFound] = useState<{ of: DiagnosisQuestion; best: Relabelling } | null>(null);
  const [busy, setBusy] = useState(false);
  const { terminals } = question;
  const name = (place: number) => terminalName(structure, terminals[place] as TerminalId);
  const now = comparison.count.missing + comparison.count.extra;
  const search = async () => {
    setBusy(true);
    const pins = certain.map((id): [number, number] => {
      const place = terminals.findIndex((one) => one === id);
      return [place, place];
    });
    try {
      setFound({ of: question, best: await relabelled(question, pins) });
    } catch {
      toast.error(LAY_OTHERWISE_TEXT.couldNotBeCalculated);
    } finally {
      setBusy(false);
    }
  };
  const best = found?.of === question ? found.best : null;
  const moved = best?.to.flatMap((place, at) =>
    place === at ? [] : [`its ${name(place)} is ${name(at)} here`],
  );
  return (
    <section aria-labelledby={heading}>
      <p id={heading} className="mt-3 mb-1 font-semibold">
        {LAY_OTHERWISE_TEXT.perhapsItsTerminalsAreNumbered}
      </p>
      <div className="mb-2 flex flex-wrap items-center gap-2">
        {LAY_OTHERWISE_TEXT.certain}
        <ToggleGroup.Root
          type="multiple"
          aria-label={LAY_OTHERWISE_TEXT.terminalsWhoseNumbersAreCertain}
          value={certain}
          onValueChange={setCertain}
          className="flex flex-wrap gap-1"
        >
          {terminals.map((id, at) => (
            <ToggleGroup.Item
              key={id}
              value={id}
              className="min-h-11 min-w-11 rounded-part border-2 border-edge bg-sheet px-2 font-mono data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-sheet"
            >
              {name(at)}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <PlainButton disabled={busy} onClick={() => void search()}>
          {LAY_OTHERWISE_TEXT.findTheBestWay}
        </PlainButton>
      </div>
      {best && moved && (
        <p role="status">
          {moved.length === 0 || best.differs >= now
            ? LAY_OTHERWISE_TEXT.noOtherWayDiffersIn(now, best.exact ? '' : LAY_OTHERWISE_TEXT.asFar)
            : LAY_OTHERWISE_TEXT.differsInInsteadOfIf(
                best.differs,
                now,
                best.exact ? '' : LAY_OTHERWISE_TEXT.bestFound,
                moved.join(', '),
              )}
        </p>
      )}
      {best && best.differs < now && (
        <PlainButton className="mt-1" onClick={() => onSet(laidOtherwise(table, terminals, best.to))}>
          {LAY_OTHERWISE_TEXT.layItSo}
        </PlainButton>
      )}
    </section>
  );
}

/** Searched beside the screen. */
async function relabelled(
  question: DiagnosisQuestion,
  pins: readonly [number, number][],
): Promise<Relabelling> {
  const beside = diagnosisBeside();
  try {
    return await beside.ask((desk) => desk.relabelling(question, pins));
  } finally {
    beside.end();
  }
}
