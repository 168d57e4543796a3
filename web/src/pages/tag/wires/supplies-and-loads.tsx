import { LINK_NAME_LETTERS } from '@which-way/core/schema';
import { ampsOf, POTENTIALS, recordsOf, type Supply } from '@which-way/core/log';
import type { SupplyId } from '@which-way/core/switch';
import { loadWords, POTENTIAL_WORDS, supplyWords } from '@which-way/words/tag/supplies-and-loads';
import { useState, type ReactNode } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { readAmount } from '../../../controls/fields/amount.js';
import { TextInput } from '../../../controls/fields/text-input.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Pick } from '../../../controls/fields/pick.js';
import { CURRENT, Figure, Wrong } from '../strip/figure.js';
import { SourcesAsked } from '../../../parts/sources/sources-asked.js';
import { LoadEnds } from './load-ends.js';
import { NewLoad } from './new-load.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { SUPPLIES_AND_LOADS_TEXT } from '@which-way/words/screens/pages/tag/wires/supplies-and-loads';

/** What the machine is fed with and what it feeds: named once here, for contacts, the replacement and the wires’ ends. */
export function SuppliesAndLoads() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const [supplies, loads] = [recordsOf(log, 'supply-named'), recordsOf(log, 'load-named')];
  return (
    <section
      aria-label={SUPPLIES_AND_LOADS_TEXT.suppliesAndLoads}
      className="grid gap-3 border-t-2 border-line pt-3"
    >
      <h2 className="text-large font-bold">{SUPPLIES_AND_LOADS_TEXT.suppliesAndLoads}</h2>
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
          >
            <LoadEnds {...{ load, loads, supplies }} />
          </Line>
        ))}
      </ul>
      <SourcesAsked
        supplies={supplies}
        named={recordsOf(log, 'source-named')}
        emit={(deed) => session.emit(deed)}
      />
      <NewSupply onAdd={(supply) => session.emit({ kind: 'supply-named', supply })} />
      <NewLoad onAdd={(load) => session.emit({ kind: 'load-named', load })} />
    </section>
  );
}

function Line({ words, onRemove, children }: { words: string; onRemove: () => void; children?: ReactNode }) {
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-line">
      <span className="min-w-0 grow">{words}</span>
      <PlainButton
        look="quiet"
        className="!px-2"
        aria-label={SUPPLIES_AND_LOADS_TEXT.remove(words)}
        onClick={onRemove}
      >
        {SUPPLIES_AND_LOADS_TEXT.remove2}
      </PlainButton>
      {children && <div className="basis-full">{children}</div>}
    </li>
  );
}

function NewSupply({ onAdd }: { onAdd: (supply: Supply) => void }) {
  const [kind, setKind] = useState<Supply['kind']>('L');
  const [name, setName] = useState('');
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
        onAdd({ id: newId<SupplyId>(), name: name.trim(), kind, volts: read, current, removed: false });
        setVolts('');
        setName('');
      }}
    >
      <Pick
        quiet
        label={SUPPLIES_AND_LOADS_TEXT.whichSupply}
        value={kind}
        options={POTENTIALS.map((one) => ({ value: one, text: POTENTIAL_WORDS[one] }))}
        onPick={(chosen) => setKind(POTENTIALS.find((one) => one === chosen) ?? 'L')}
      />
      <TextInput
        aria-label={SUPPLIES_AND_LOADS_TEXT.nameOfTheSupply}
        placeholder={SUPPLIES_AND_LOADS_TEXT.name}
        value={name}
        maxLength={LINK_NAME_LETTERS}
        onChange={({ target }) => setName(target.value)}
      />
      <Figure label="V" value={volts} onChange={setVolts} />
      <Choice
        label={SUPPLIES_AND_LOADS_TEXT.kindOfCurrentOfThe}
        value={current}
        options={CURRENT}
        onChoose={setCurrent}
      />
      {wrong && <Wrong />}
      <PlainButton type="submit" disabled={wrong}>
        {SUPPLIES_AND_LOADS_TEXT.addTheSupply}
      </PlainButton>
    </form>
  );
}
