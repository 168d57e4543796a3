import { contactsOfCoil, endsOf } from '@which-way/core/machine';
import { loadTiesOf, type Load, type LoadEnd, type Supply, type WireEnd } from '@which-way/core/log';
import type { LoadId } from '@which-way/core/switch';
import { endWords, supplyAmong } from '@which-way/words/machine/loads';
import { useJobState, useSession } from '../../../job/job-context.js';
import { Pick } from '../../../controls/fields/pick.js';
import { LOAD_ENDS_TEXT } from '@which-way/words/screens/pages/tag/wires/load-ends';

interface LoadEndsProps {
  load: Load;
  loads: readonly Load[];
  supplies: readonly Supply[];
}

const keyOf = (end: WireEnd): string =>
  end.at === 'supply'
    ? `supply ${end.supply}`
    : end.at === 'load'
      ? `load ${end.load} ${end.end}`
      : 'nowhere';

/** Ends of a load that go on without the switch: to a supply, to another load, or nowhere. */
export function LoadEnds({ load, loads, supplies }: LoadEndsProps) {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const ties = loadTiesOf(log);
  const keep = (end: LoadEnd, to: WireEnd | null) =>
    session.emit({ kind: 'load-tied', tie: { load: load.id, end, to } });
  const others = loads.filter((other) => other.id !== load.id && contactsOfCoil(other));
  const targets: { end: WireEnd; text: string }[] = [
    ...supplies.map((supply) => ({
      end: { at: 'supply' as const, supply: supply.id },
      text: `straight to ${supplyAmong(supply, supplies)}`,
    })),
    ...loads.flatMap((other) =>
      endsOf(other).map((end) => ({
        end: { at: 'load' as const, load: other.id, end },
        text: `on to ${endWords(other, end)}`,
      })),
    ),
    { end: { at: 'nowhere' }, text: 'nowhere' },
  ];
  return (
    <div className="flex flex-wrap gap-2 pb-2">
      {endsOf(load).map((end) => {
        const tie = ties.find((one) => one.load === load.id && one.end === end);
        return (
          <span key={end} className="flex items-center gap-1">
            {endWords(load, end)}
            <Pick
              quiet
              label={LOAD_ENDS_TEXT.whereGoesWithoutTheSwitch(endWords(load, end))}
              value={tie ? keyOf(tie.to) : ''}
              options={[
                { value: '', text: 'on a wire of the switch' },
                ...targets
                  .filter(
                    (one) => !(one.end.at === 'load' && one.end.load === load.id && one.end.end === end),
                  )
                  .map((one) => ({ value: keyOf(one.end), text: one.text })),
              ]}
              onPick={(value) => keep(end, targets.find((one) => keyOf(one.end) === value)?.end ?? null)}
            />
          </span>
        );
      })}
      {contactsOfCoil(load) && others.length > 0 && (
        <label className="flex items-center gap-1">
          {LOAD_ENDS_TEXT.mechanicalInterlock}
          <Pick
            quiet
            label={LOAD_ENDS_TEXT.whatIsKeptOutWith(load.name)}
            value={load.interlocked?.[0] ?? ''}
            options={[
              { value: '', text: LOAD_ENDS_TEXT.none },
              ...others.map((other) => ({ value: other.id, text: `with ${other.name}` })),
            ]}
            onPick={(value) =>
              session.emit({
                kind: 'load-named',
                load: { ...load, interlocked: value === '' ? [] : [value as LoadId] },
              })
            }
          />
        </label>
      )}
    </div>
  );
}
