import { laidPreset, PRESETS, type LaidPreset, type PresetName } from '@which-way/core/match';
import { endWords } from '@which-way/words/machine/loads';
import { PRESET_WORDS } from '@which-way/words/machine/presets';
import { terminalName } from '@which-way/words/terminals';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { readAmount } from '../../../controls/fields/amount.js';
import { Figure, Wrong } from '../strip/figure.js';
import { newOf, presetDeeds, type PresetFigures } from './preset-deeds.js';
import { PRESETS_TEXT } from '@which-way/words/screens/pages/tag/wires/presets';

/** A common arrangement, laid on the terminals by what the switch does: shown first, taken as a whole. */
export function Presets() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const [name, setName] = useState<PresetName | null>(null);
  const laid = useMemo(() => (name ? laidPreset(map, name) : null), [map, name]);
  return (
    <section aria-label={PRESETS_TEXT.commonArrangements} className="grid gap-2">
      <Pick
        quiet
        label={PRESETS_TEXT.aCommonArrangement}
        placeholder={PRESETS_TEXT.layACommonArrangementOn}
        value={name ?? ''}
        options={PRESETS.map((one) => ({ value: one, text: PRESET_WORDS[one] }))}
        onPick={(value) => setName(PRESETS.find((one) => one === value) ?? null)}
      />
      {name && !laid && (
        <p role="alert" className="text-amber-ink">
          {PRESETS_TEXT.thisSwitchDoesNotDo}
        </p>
      )}
      {laid && (
        <Laid
          key={name}
          laid={laid}
          onLay={(figures) => {
            const idAt = (place: number) => map.structure.terminals[place]?.id;
            for (const deed of presetDeeds(laid, map.log, idAt, figures)) session.emit(deed);
            setName(null);
          }}
          onLeave={() => setName(null)}
        />
      )}
    </section>
  );
}

interface LaidProps {
  laid: LaidPreset;
  onLay: (figures: PresetFigures) => void;
  onLeave: () => void;
}

/** An arrangement as it would lie, with the figures that it has a use for. */
function Laid({ laid, onLay, onLeave }: LaidProps) {
  const map = useJobState((state) => state.map);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const { live, loads } = newOf(laid, map.log);
  const label = (terminal: string) => {
    const place = laid.places.get(terminal);
    const id = place === undefined ? undefined : map.structure.terminals[place]?.id;
    return id ? terminalName(map.structure, id) : '?';
  };
  const endText = (end: LaidPreset['preset']['wires'][number]['ends'][number]) => {
    if ('elsewhere' in end) return PRESETS_TEXT.anotherSwitchOrDevice;
    if ('supply' in end) return end.supply;
    const load = laid.preset.loads.find(({ name }) => name === end.load);
    return endWords(load ?? { name: end.load }, end.end);
  };
  const amount = (key: string) => readAmount(typed[key] ?? '');
  const asked = [...(live ? [VOLTS] : []), ...loads];
  const wrong = asked.some((key) => amount(key) === undefined || amount(key) === 0);
  const figure = (key: string, text: string) => (
    <Figure
      key={key}
      label={text}
      value={typed[key] ?? ''}
      onChange={(value) => setTyped({ ...typed, [key]: value })}
    />
  );
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong) return;
        const watts = Object.fromEntries(loads.map((name) => [name, amount(name) ?? null]));
        onLay({ volts: amount(VOLTS) ?? null, watts });
      }}
    >
      <ul className="list-disc pl-5">
        {laid.preset.wires.map(({ terminal, ends }) => (
          <li key={terminal}>
            <strong className="font-mono">{label(terminal)}</strong>: {ends.map(endText).join(' and ')}
          </li>
        ))}
      </ul>
      <p className="text-small text-quiet">{PRESETS_TEXT.byWhatTheSwitchDoes}</p>
      {asked.length > 0 && (
        <div className="flex flex-wrap items-center gap-3">
          {live && figure(VOLTS, PRESETS_TEXT.supplyVolts)}
          {loads.map((name) => figure(name, PRESETS_TEXT.wattsOf(name)))}
          <p className="basis-full text-small text-quiet">{PRESETS_TEXT.figuresOptional}</p>
          {wrong && <Wrong />}
        </div>
      )}
      <div className="flex gap-2">
        <PlainButton type="submit" disabled={wrong}>
          {PRESETS_TEXT.layIt}
        </PlainButton>
        <PlainButton look="quiet" onClick={onLeave}>
          {PRESETS_TEXT.leaveIt}
        </PlainButton>
      </div>
    </form>
  );
}

/** What the figure of the supply is kept under; no load is called nothing. */
const VOLTS = '';
