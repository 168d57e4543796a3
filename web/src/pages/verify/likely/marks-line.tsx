import type { SwitchMap } from '@which-way/core/continuity';
import type { StandingMark } from '@which-way/core/log';
import type { TerminalId } from '@which-way/core/switch';
import { marksOf, marksTell } from '@which-way/core/verify';
import { markWords, marksResultWords } from '@which-way/words/judge/marks';
import { MARKS_LINE_TEXT } from '@which-way/words/screens/pages/verify/likely/marks-line';
import { settingName } from '@which-way/words/terminals';
import { useState } from 'react';
import { Choice } from '../../../controls/fields/choice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { ResultLine } from '../../../controls/result-line.js';
import { useSession } from '../../../job/job-context.js';
import { SideSwitch } from '../../../parts/drawings/side-switch.js';
import { SwitchDrawing } from '../../../parts/drawings/switch-drawing.js';
import { SIDE_WORDS, useViewSide } from '../../../parts/drawings/view-side.js';
import { photoOfLayout } from '../../../parts/photos/photo-url.js';
import type { Diagnosed } from './use-diagnosis.js';

interface MarksLineProps {
  map: SwitchMap;
  diagnosed: Diagnosed;
}

/**
 * Where the flat, key, marked lug or stop lies: asked where readings can't tell causes apart and this would, and shown as long as
 * something was said of it.
 */
export function MarksLine({ map, diagnosed: { diagnosis, ruledOut, noneFits } }: MarksLineProps) {
  const marks = marksOf(map.log);
  const [first] = diagnosis?.classes ?? [];
  if (marks.length === 0 && !(first && marksTell(first.explanations))) return null;
  return (
    <ResultLine
      name={MARKS_LINE_TEXT.marks}
      result={marksResultWords({ said: marks.length, ruledOut, noneFits })}
      act={MARKS_LINE_TEXT.look}
    >
      <ul className="grid gap-1">
        {marks.map((mark) => (
          <Said key={mark.of} map={map} mark={mark} />
        ))}
      </ul>
      <div className="mt-2 grid gap-4">
        <OfContacts map={map} />
        <OfHandle map={map} />
      </div>
    </ResultLine>
  );
}

/** What was said of one mark, and a way to take it back. */
function Said({ map: { structure }, mark }: { map: SwitchMap; mark: StandingMark }) {
  const session = useSession();
  const takesBack = () =>
    session.emit({
      kind: 'mark-seen',
      seen:
        mark.of === 'lug'
          ? { of: 'lug', should: mark.should, is: null }
          : { of: 'position', should: mark.should, is: null },
    });
  return (
    <li className="flex flex-wrap items-center gap-3">
      {markWords(structure, mark)}
      <PlainButton onClick={takesBack}>{MARKS_LINE_TEXT.remove}</PlainButton>
    </li>
  );
}

/** A mark on the contacts: two taps on the drawing, where it should be and where it is. */
function OfContacts({ map }: { map: SwitchMap }) {
  const session = useSession();
  const { side } = useViewSide();
  const [should, setShould] = useState<TerminalId | null>(null);
  const taps = (id: TerminalId) => {
    if (should === null) setShould(id);
    else {
      session.emit({ kind: 'mark-seen', seen: { of: 'lug', should, is: id } });
      setShould(null);
    }
  };
  return (
    <section aria-label={MARKS_LINE_TEXT.onTheContacts}>
      <p className="font-semibold">{MARKS_LINE_TEXT.onTheContacts}</p>
      <p role="status">
        {should === null ? MARKS_LINE_TEXT.tapWhereItShouldBe : MARKS_LINE_TEXT.tapWhereItIs}
      </p>
      <div className="h-56">
        <SwitchDrawing
          {...map.structure}
          side={side}
          photo={photoOfLayout(map)}
          links={[]}
          roleOf={(id) => (id === should ? 'picked' : 'plain')}
          onTerminal={taps}
          caption={MARKS_LINE_TEXT.theSwitch(SIDE_WORDS[side])}
        />
      </div>
      <SideSwitch />
    </section>
  );
}

/** The stop or the flat of the handle: the position at which it should be, and where it is. */
function OfHandle({ map: { structure } }: { map: SwitchMap }) {
  const session = useSession();
  const [should, setShould] = useState<string | null>(null);
  const settings = structure.settings.filter(({ need }) => need === 'required');
  const options = settings.map(({ id }) => ({ value: id as string, text: settingName(structure, id) }));
  const chooses = (value: string) => {
    const [from, to] = [should, value].map((one) => settings.find(({ id }) => id === one)?.id);
    if (!from || !to) return;
    session.emit({ kind: 'mark-seen', seen: { of: 'position', should: from, is: to } });
    setShould(null);
  };
  return (
    <section aria-label={MARKS_LINE_TEXT.onTheHandle} className="grid content-start gap-2">
      <p className="font-semibold">{MARKS_LINE_TEXT.onTheHandle}</p>
      <Choice
        label={MARKS_LINE_TEXT.itShouldBeAt}
        shown
        value={should}
        options={options}
        onChoose={setShould}
      />
      {should !== null && (
        <Choice label={MARKS_LINE_TEXT.itIsAt} shown value={null} options={options} onChoose={chooses} />
      )}
    </section>
  );
}
