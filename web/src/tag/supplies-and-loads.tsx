import {
  ampsOf,
  LOAD_KINDS,
  loadsOf,
  POTENTIALS,
  suppliesOf,
  type Load,
  type Supply,
} from '@which-way/core/log';
import { LINK_NAME_LETTERS } from '@which-way/core/schema';
import type { LoadId, SupplyId } from '@which-way/core/switch';
import { LOAD_WORDS, loadWords, POTENTIAL_WORDS, supplyWords } from '@which-way/words/supplies-and-loads';
import { useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { readAmount } from '../shared/controls/amount.js';
import { Choice } from '../shared/controls/choice.js';
import { Pick } from '../shared/controls/pick.js';
import { PlainButton } from '../shared/controls/plain-button.js';

const CURRENT = [
  { value: 'AC', text: 'AC' },
  { value: 'DC', text: 'DC' },
] as const;

/** What the machine is fed with and what it feeds: named once here, for contacts, the replacement and the wires’ ends. */
export function SuppliesAndLoads() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const [supplies, loads] = [suppliesOf(log), loadsOf(log)];
  return (
    <section aria-label="Supplies and loads" className="grid gap-3 border-t-2 border-line pt-3">
      <h2 className="text-large font-bold">Supplies and loads</h2>
      <ul>
        {supplies.map((supply) => (
          <Line
            key={supply.id}
            words={supplyWords(supply)}
            onRemove={() => session.emit({ kind: 'supply-named', supply: { ...supply, removed: true } })}
          />
        ))}
        {loads.map((load) => (
          <Line
            key={load.id}
            words={loadWords(load, ampsOf(load))}
            onRemove={() => session.emit({ kind: 'load-named', load: { ...load, removed: true } })}
          />
        ))}
      </ul>
      <NewSupply onAdd={(supply) => session.emit({ kind: 'supply-named', supply })} />
      <NewLoad onAdd={(load) => session.emit({ kind: 'load-named', load })} />
    </section>
  );
}

function Line({ words, onRemove }: { words: string; onRemove: () => void }) {
  return (
    <li className="flex items-center gap-3 border-b border-line">
      <span className="min-w-0 grow">{words}</span>
      <PlainButton look="quiet" className="!px-2" aria-label={`Remove ${words}`} onClick={onRemove}>
        Remove
      </PlainButton>
    </li>
  );
}

interface FigureProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
}

function Figure({ label, value, onChange }: FigureProps) {
  return (
    <label className="flex items-center gap-1">
      <input
        aria-label={label}
        value={value}
        inputMode="decimal"
        maxLength={9}
        onChange={({ target }) => onChange(target.value)}
        className="min-h-12 w-20 rounded-part border-2 border-line bg-sheet px-2 font-mono"
      />
      {label}
    </label>
  );
}

const Wrong = () => (
  <p role="alert" className="basis-full text-brick">
    Numbers above 0, such as 1500 or 0,5. 1,500 may be either.
  </p>
);

function NewSupply({ onAdd }: { onAdd: (supply: Supply) => void }) {
  const [kind, setKind] = useState<Supply['kind']>('L');
  const [volts, setVolts] = useState('');
  const [current, setCurrent] = useState<Supply['current']>('AC');
  const read = readAmount(volts);
  const wrong = read === undefined || read === 0;
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong) return;
        onAdd({ id: newId<SupplyId>(), name: '', kind, volts: read, current, removed: false });
        setVolts('');
      }}
    >
      <Pick
        quiet
        label="Which supply"
        value={kind}
        options={POTENTIALS.map((one) => ({ value: one, text: POTENTIAL_WORDS[one] }))}
        onPick={(chosen) => setKind(POTENTIALS.find((one) => one === chosen) ?? 'L')}
      />
      <Figure label="V" value={volts} onChange={setVolts} />
      <Choice label="Kind of current of the supply" value={current} options={CURRENT} onChoose={setCurrent} />
      {wrong && <Wrong />}
      <PlainButton type="submit" disabled={wrong}>
        Add the supply
      </PlainButton>
    </form>
  );
}

const NOTHING_TYPED = { name: '', amps: '', watts: '', volts: '', start: '', constant: '' };

function NewLoad({ onAdd }: { onAdd: (load: Load) => void }) {
  const [typed, setTyped] = useState(NOTHING_TYPED);
  const [kind, setKind] = useState<Load['kind']>('resistive');
  const [current, setCurrent] = useState<Load['current']>('AC');
  const [amps, watts, volts] = [
    readAmount(typed.amps, 10_000),
    readAmount(typed.watts),
    readAmount(typed.volts),
  ];
  const [start, constant] = [readAmount(typed.start, 1e5), readAmount(typed.constant, 1e5)];
  const wrong = [amps, watts, volts, start, constant].some((one) => one === undefined || one === 0);
  const set = (key: keyof typeof typed) => (value: string) => setTyped({ ...typed, [key]: value });
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (wrong || typed.name.trim() === '') return;
        const more = {
          ...(kind === 'motor' && start && { startAmps: start }),
          ...(kind === 'motor' && current === 'DC' && constant && { timeConstant: constant }),
        };
        const figures = { amps: amps ?? null, watts: watts ?? null, volts: volts ?? null };
        onAdd({
          id: newId<LoadId>(),
          name: typed.name.trim(),
          kind,
          ...figures,
          current,
          ...more,
          removed: false,
        });
        setTyped(NOTHING_TYPED);
      }}
    >
      <input
        aria-label="What the load is"
        placeholder="Load, such as heater"
        value={typed.name}
        maxLength={LINK_NAME_LETTERS}
        onChange={({ target }) => set('name')(target.value)}
        className="min-h-12 min-w-0 grow rounded-part border-2 border-line bg-sheet px-2 placeholder:text-quiet"
      />
      <Pick
        quiet
        label="Kind of load"
        value={kind}
        options={LOAD_KINDS.map((one) => ({ value: one, text: LOAD_WORDS[one] }))}
        onPick={(chosen) => setKind(LOAD_KINDS.find((one) => one === chosen) ?? 'resistive')}
      />
      <Figure label="A" value={typed.amps} onChange={set('amps')} />
      <Figure label="W" value={typed.watts} onChange={set('watts')} />
      <Figure label="V at the load" value={typed.volts} onChange={set('volts')} />
      {kind === 'motor' && <Figure label="A at the start" value={typed.start} onChange={set('start')} />}
      {kind === 'motor' && current === 'DC' && (
        <Figure label="L/R, ms" value={typed.constant} onChange={set('constant')} />
      )}
      <Choice label="Kind of current of the load" value={current} options={CURRENT} onChoose={setCurrent} />
      {wrong && <Wrong />}
      <PlainButton type="submit" disabled={wrong || typed.name.trim() === ''}>
        Add the load
      </PlainButton>
    </form>
  );
}
