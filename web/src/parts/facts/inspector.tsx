import type { ReactNode } from 'react';
import { factAt, prove } from '@which-way/core/continuity';
import type { TapeLine } from '@which-way/core/sense';
import type { ReadingId, SettingId, TerminalId } from '@which-way/core/switch';
import { useJobState, useSession } from '../../job/job-context.js';
import { factWords, LOOK_AGAIN_ADVICE, LOOK_AGAIN_WORDS, STANDING_WORDS } from '@which-way/words/map/facts';
import { evidenceWords } from '@which-way/words/quantity';
import { settingName, terminalName } from '@which-way/words/terminals';
import { PlainButton } from '../../controls/plain-button.js';
import { INSPECTOR_TEXT } from '@which-way/words/screens/parts/facts/inspector';

/** A pair in a setting that a person wants to know more about. */
export interface Inspected {
  setting: SettingId;
  a: TerminalId;
  b: TerminalId;
}

interface InspectorProps {
  about: Inspected;
  onClose: () => void;
  /** Begins a new reading of the pair; absent where nothing can be probed. */
  onProbe?: ((about: Inspected) => void) | undefined;
  onReadAgain?: ((reading: ReadingId) => void) | undefined;
}

/** How it is known whether two terminals join: the readings that prove it, and what can be done about them. */
export function Inspector({ about, onClose, onProbe, onReadAgain }: InspectorProps) {
  const map = useJobState((state) => state.map);
  const settled = map.settings.get(about.setting)?.settled;
  if (!settled) return null;
  const [a, b] = [settled.terminals.indexOf(about.a), settled.terminals.indexOf(about.b)];
  const fact = factAt(settled, a, b);
  const proof = prove(settled, a, b);
  const again = settled.lookAgain.find(
    (item) => (item.a === a && item.b === b) || (item.a === b && item.b === a),
  );
  const disputes =
    fact.state === 'disputed'
      ? settled.contradictions.flatMap(({ opens, joins }) => [...opens, ...joins])
      : [];
  const wanted = [...(proof?.readings ?? []), ...(again?.readings ?? []), ...disputes];
  const lines = wanted.flatMap((id) => map.tape.find(({ reading }) => reading.id === id) ?? []);
  const name = (id: TerminalId) => terminalName(map.structure, id);
  return (
    <section
      aria-label={INSPECTOR_TEXT.howItIsKnown}
      className="rounded-part border-2 border-brass bg-sheet p-4"
      data-testid="inspector"
    >
      <div className="flex items-start justify-between gap-3">
        <h2 className="text-large font-bold">
          {name(about.a)}–{name(about.b)}
          {INSPECTOR_TEXT.at}
          {settingName(map.structure, about.setting)}
        </h2>
        <PlainButton look="quiet" className="!px-2" onClick={onClose}>
          {INSPECTOR_TEXT.close}
        </PlainButton>
      </div>
      <p className="font-semibold">{factWords(fact)}</p>
      {again && (
        <p className="text-amber-ink">
          {INSPECTOR_TEXT.thePair}
          {LOOK_AGAIN_WORDS[again.because]}. {LOOK_AGAIN_ADVICE[again.because]}
        </p>
      )}
      {proof && proof.readings.length > 1 && (
        <p className="text-quiet">
          {INSPECTOR_TEXT.byWayOf}
          {proof.via.map(name).join(' – ')}:{' '}
          {proof.joined ? INSPECTOR_TEXT.whatJoinsOneJoinsAll : INSPECTOR_TEXT.whatPartsOnePartsIts}.
        </p>
      )}
      {lines.length > 0 && (
        <ul className="mt-2 grid gap-1">
          {lines.map((line) => (
            <ReadingLine key={line.reading.id} line={line} onReadAgain={onReadAgain} />
          ))}
        </ul>
      )}
      {onProbe && (
        <PlainButton className="mt-3" onClick={() => onProbe(about)}>
          {INSPECTOR_TEXT.readThisPair}
        </PlainButton>
      )}
    </section>
  );
}

/** One reading, and the two things that a person may decide about it. */
export function ReadingLine({
  line,
  onReadAgain,
  children,
}: {
  line: TapeLine;
  onReadAgain?: ((reading: ReadingId) => void) | undefined;
  /** What else there is to say of it. */
  children?: ReactNode;
}) {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const { reading, evidence, standing, event, meter } = line;
  // Which meter it was is said where there were several.
  const several = new Set(map.tape.map((one) => one.meter?.name)).size > 1;
  const lead = (ids: readonly TerminalId[]) => ids.map((id) => terminalName(map.structure, id)).join('+');
  return (
    <li
      className="flex flex-wrap items-center gap-x-3 border-b border-line py-1 font-mono text-base"
      data-testid="reading"
    >
      <span className="font-bold">
        {lead(reading.red)}
        {INSPECTOR_TEXT.to}
        {lead(reading.black)}
      </span>
      <span className={standing === 'counts' ? '' : 'line-through'}>{evidenceWords(evidence)}</span>
      {several && meter && <span className="font-sans text-small text-quiet">{meter.name}</span>}
      {STANDING_WORDS[standing] && <span className="text-quiet">{STANDING_WORDS[standing]}</span>}
      {children && <span className="font-sans text-small text-quiet">{children}</span>}
      <span className="ml-auto flex font-sans">
        {standing === 'counts' && onReadAgain && (
          <PlainButton look="quiet" className="!px-2" onClick={() => onReadAgain(reading.id)}>
            {INSPECTOR_TEXT.readAgain}
          </PlainButton>
        )}
        {standing === 'counts' && (
          <PlainButton
            look="quiet"
            className="!px-2"
            onClick={() =>
              session.emit({ kind: 'superseded', reading: reading.id, replacement: null, source: 'typed' })
            }
          >
            {INSPECTOR_TEXT.takeOut}
          </PlainButton>
        )}
        {standing === 'aside' && event.what.kind === 'answered' && (
          <PlainButton
            look="quiet"
            className="!px-2"
            onClick={() => event.what.kind === 'answered' && session.emit({ ...event.what, prompt: null })}
          >
            {INSPECTOR_TEXT.countIt}
          </PlainButton>
        )}
      </span>
    </li>
  );
}
