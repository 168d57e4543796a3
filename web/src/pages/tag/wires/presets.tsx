import { laidPreset, PRESETS, type LaidPreset, type PresetName } from '@which-way/core/match';
import { type Deed, type Load, newWire, recordsOf, type Supply, type WireEnd } from '@which-way/core/log';
import type { LoadId, SupplyId, TerminalId } from '@which-way/core/switch';
import { endWords } from '@which-way/words/machine/loads';
import { PRESET_WORDS } from '@which-way/words/machine/presets';
import { terminalName } from '@which-way/words/terminals';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { nextTag } from './next-tag.js';
import { PRESETS_TEXT } from '@which-way/words/screens/pages/tag/wires/presets';

/** A common arrangement, laid on the terminals by what the switch does: shown first, taken as a whole. */
export function Presets() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const [name, setName] = useState<PresetName | null>(null);
  const laid = useMemo(() => (name ? laidPreset(map, name) : null), [map, name]);
  const label = (terminal: string) => {
    const place = laid?.places.get(terminal);
    const id = place === undefined ? undefined : map.structure.terminals[place]?.id;
    return id ? terminalName(map.structure, id) : '?';
  };
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
        <>
          <ul className="list-disc pl-5">
            {laid.preset.wires.map(({ terminal, ends }) => (
              <li key={terminal}>
                <strong className="font-mono">{label(terminal)}</strong>:{' '}
                {ends
                  .map((end) =>
                    'elsewhere' in end
                      ? 'another switch or device'
                      : 'supply' in end
                        ? end.supply
                        : endWords({ name: end.load }, end.end),
                  )
                  .join(' and ')}
              </li>
            ))}
          </ul>
          <p className="text-small text-quiet">{PRESETS_TEXT.byWhatTheSwitchDoes}</p>
          <div className="flex gap-2">
            <PlainButton
              onClick={() => {
                for (const deed of deedsOf(laid, map.log, (place) => map.structure.terminals[place]?.id))
                  session.emit(deed);
                setName(null);
              }}
            >
              {PRESETS_TEXT.layIt}
            </PlainButton>
            <PlainButton look="quiet" onClick={() => setName(null)}>
              {PRESETS_TEXT.leaveIt}
            </PlainButton>
          </div>
        </>
      )}
    </section>
  );
}

type Log = Parameters<typeof recordsOf>[0];

/** Supplies and loads that are missing, a wire on each terminal that has none, and where each ends. */
function deedsOf(
  { preset, places }: LaidPreset,
  log: Log,
  idAt: (place: number) => TerminalId | undefined,
): Deed[] {
  const [supplies, loads, wires] = [
    recordsOf(log, 'supply-named'),
    recordsOf(log, 'load-named'),
    [...recordsOf(log, 'wire-tagged')],
  ];
  const current = preset.loads[0]?.current ?? 'AC';
  const deeds: Deed[] = [];
  const supplyIds = new Map(
    preset.supplies.map((kind) => {
      const there = supplies.find((one) => one.kind === kind);
      const supply: Supply = there ?? {
        id: newId<SupplyId>(),
        name: '',
        kind,
        volts: null,
        current,
        removed: false,
      };
      if (!there) deeds.push({ kind: 'supply-named', supply });
      return [kind as string, supply.id] as const;
    }),
  );
  const loadIds = new Map(
    preset.loads.map((one) => {
      const there = loads.find(({ name }) => name.toLowerCase() === one.name.toLowerCase());
      const load: Load = there ?? {
        id: newId<LoadId>(),
        amps: null,
        watts: null,
        volts: null,
        removed: false,
        ...one,
      };
      if (!there) deeds.push({ kind: 'load-named', load });
      return [one.name, load.id] as const;
    }),
  );
  for (const { terminal, ends } of preset.wires) {
    const id = idAt(places.get(terminal) ?? -1);
    if (!id) continue;
    const there = wires.find((wire) => wire.terminal === id);
    const wire = there ?? { ...newWire(nextTag(wires), newId), terminal: id };
    if (!there) {
      wires.push(wire);
      deeds.push({ kind: 'wire-tagged', wire });
    }
    const all = ends.map((end): WireEnd =>
      'elsewhere' in end
        ? { at: 'elsewhere' }
        : 'supply' in end
          ? { at: 'supply', supply: supplyIds.get(end.supply) as SupplyId }
          : { at: 'load', load: loadIds.get(end.load) as LoadId, end: end.end },
    );
    deeds.push({ kind: 'wire-ended', wire: wire.id, ends: all });
  }
  return deeds;
}
