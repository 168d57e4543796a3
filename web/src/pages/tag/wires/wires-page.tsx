import { newWire, recordsOf, type Wire } from '@which-way/core/log';
import { type TerminalId, type WireId } from '@which-way/core/switch';
import { FileDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { toast } from '../../../controls/toast.js';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { SideSwitch } from '../../../parts/drawings/side-switch.js';
import { terminalName } from '@which-way/words/terminals';
import { colorWords } from '@which-way/words/tag/wires';
import { nextTag } from './next-tag.js';
import { PartsSection } from './parts-section.js';
import { Presets } from './presets.js';
import { SuppliesAndLoads } from './supplies-and-loads.js';
import { TagDrawing } from '../terminals/tag-drawing.js';
import { WireForm } from './wire-form.js';
import { WireCasing } from '../../../parts/identity/wire-casing.js';
import { WIRES_PAGE_TEXT } from '@which-way/words/screens/pages/tag/wires/wires-page';

/** Every wire with its own tag, where it sat, and what bridges the switch from outside. */
export function WiresPage() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const wires = useMemo(() => recordsOf(map.log, 'wire-tagged'), [map.log]);
  const parts = useMemo(() => recordsOf(map.log, 'part-declared'), [map.log]);
  const [picked, setPicked] = useState<WireId | null>(null);
  /** Terminals tapped for a part: the first of two, then both. */
  const [ends, setEnds] = useState<TerminalId[]>([]);
  const wire = wires.find(({ id }) => id === picked) ?? null;
  const keep = (changed: Wire) => session.emit({ kind: 'wire-tagged', wire: changed });
  const add = (terminal: TerminalId | null) => {
    const fresh = { ...newWire(nextTag(wires), newId), terminal };
    keep(fresh);
    setEnds([]);
    setPicked(fresh.id);
  };
  const tap = (id: TerminalId) => {
    if (wire) return keep({ ...wire, terminal: wire.terminal === id ? null : id });
    setEnds((now) => (now.includes(id) ? now.filter((one) => one !== id) : [...now, id].slice(-2)));
  };
  if (map.structure.terminals.length === 0)
    return <p className="p-6">{WIRES_PAGE_TEXT.firstSayHowManyTerminals}</p>;
  return (
    <main className="grid grow content-start gap-x-8 gap-y-6 p-4 sm:p-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <section aria-label={WIRES_PAGE_TEXT.theSwitch} className="min-w-0 self-start lg:sticky lg:top-3">
        <h1 className="sr-only">{WIRES_PAGE_TEXT.wiresAndJumpers}</h1>
        <div className="flex flex-wrap items-center gap-2">
          <SideSwitch />
          <p className="grow text-right text-quiet" role="status">
            {wire ? (
              <>
                {WIRES_PAGE_TEXT.tapWhereTag}
                <strong className="font-mono text-ink">{wire.tag}</strong>
                {WIRES_PAGE_TEXT.sits}
              </>
            ) : (
              WIRES_PAGE_TEXT.tapOneTerminalToPut
            )}
          </p>
        </div>
        <div className="mt-2 [&>svg]:max-h-[68dvh]">
          <TagDrawing picked={wire ? wire.terminal : (ends.at(-1) ?? null)} onTerminal={tap} />
        </div>
      </section>
      <div className="grid min-w-0 content-start gap-6">
        <section aria-label={WIRES_PAGE_TEXT.wires} className="grid gap-3">
          <div className="flex flex-wrap items-center gap-2">
            <h2 className="grow text-large font-bold">{WIRES_PAGE_TEXT.wires}</h2>
            <PlainButton look="strong" onClick={() => add(ends.length === 1 ? (ends[0] ?? null) : null)}>
              {ends.length === 1
                ? WIRES_PAGE_TEXT.aWireOn(terminalName(map.structure, ends[0] as TerminalId))
                : WIRES_PAGE_TEXT.oneMoreWire}
            </PlainButton>
          </div>
          {wires.length === 0 && <p className="text-quiet">{WIRES_PAGE_TEXT.putANumberedTagOn}</p>}
          <ul>
            {wires.map((one) => (
              <li key={one.id} className="border-b border-line">
                {one.id === picked ? (
                  <WireForm wire={one} wires={wires} onKeep={keep} onClose={() => setPicked(null)} />
                ) : (
                  <WireLine
                    wire={one}
                    onPick={() => {
                      setEnds([]);
                      setPicked(one.id);
                    }}
                  />
                )}
              </li>
            ))}
          </ul>
          <Splices wires={wires} />
        </section>
        <PartsSection parts={parts} ends={ends} onEnds={setEnds} />
        <SuppliesAndLoads />
        <Presets />
        <Prints wires={wires} />
      </div>
    </main>
  );
}

/** Tags to cut out, and a map for the switch's own box. */
function Prints({ wires }: { wires: readonly Wire[] }) {
  const map = useJobState((state) => state.map);
  const job = useJobState((state) => state.job);
  const print = async (what: 'tags' | 'sticker') => {
    if (!job) return;
    try {
      const pdf = await import('./pdf.js');
      await (what === 'tags' ? pdf.saveTags(job, map, wires) : pdf.saveSticker(job, map, wires));
    } catch (error) {
      toast.error(WIRES_PAGE_TEXT.thePdfCouldNotBe(error instanceof Error ? error.message : String(error)));
    }
  };
  return (
    <section aria-label={WIRES_PAGE_TEXT.print} className="grid gap-2 border-t-2 border-line pt-3">
      <div className="flex flex-wrap gap-2">
        <PlainButton disabled={wires.length === 0} onClick={() => void print('tags')}>
          <FileDown size={18} className="mr-2 inline" aria-hidden="true" />
          {WIRES_PAGE_TEXT.tagLabelsPdf}
        </PlainButton>
        <PlainButton onClick={() => void print('sticker')}>
          <FileDown size={18} className="mr-2 inline" aria-hidden="true" />
          {WIRES_PAGE_TEXT.mapOnAStickerPdf}
        </PlainButton>
      </div>
    </section>
  );
}

/** A wire in the list: its casing, where it sits and goes. */
function WireLine({ wire, onPick }: { wire: Wire; onPick: () => void }) {
  const { structure } = useJobState((state) => state.map);
  return (
    <button
      type="button"
      onClick={onPick}
      className="flex min-h-12 w-full flex-wrap items-center gap-x-3 px-1 py-1 text-left hover:bg-sheet"
    >
      <WireCasing wire={wire} />
      <span className="font-mono font-bold">
        {wire.terminal
          ? WIRES_PAGE_TEXT.on(terminalName(structure, wire.terminal))
          : WIRES_PAGE_TEXT.notPutOnATerminal}
      </span>
      <span className="text-quiet">
        {[wire.size, wire.goesTo && `to ${wire.goesTo}`].filter(Boolean).join(', ')}
      </span>
      {wire.liveThough && (
        <strong className="text-brick">
          {WIRES_PAGE_TEXT.liveThough}
          {colorWords(wire.color)}
          {WIRES_PAGE_TEXT.reMark}
        </strong>
      )}
    </button>
  );
}

/** Wires that share a lug without a contact rely on it: a replacement must join them too. */
function Splices({ wires }: { wires: readonly Wire[] }) {
  const { structure } = useJobState((state) => state.map);
  const shared = structure.terminals.flatMap(({ id, label, role }) => {
    const tags = wires.filter(({ terminal }) => terminal === id).map(({ tag }) => tag);
    return tags.length < 2 ? [] : [{ label, role, tags }];
  });
  if (shared.length === 0) return null;
  return (
    <ul className="text-small">
      {shared.map(({ label, role, tags }) => (
        <li key={label}>
          <strong className="font-mono">{label}</strong>
          {WIRES_PAGE_TEXT.holdsTags}
          {tags.join(' and ')}
          {role === 'dummy' ? WIRES_PAGE_TEXT.aTieLugUsedAs : '.'}
        </li>
      ))}
    </ul>
  );
}
