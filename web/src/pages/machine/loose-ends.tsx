import { pointKey, systemJoinsOf, type Log, type SystemPoint } from '@which-way/core/log';
import { endsOf, pinsOf, type Machine } from '@which-way/core/machine';
import { pointWords, type MachineNames } from '@which-way/words/machine/places';
import { useSession } from '../../job/job-context.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { LOOSE_ENDS_TEXT } from '@which-way/words/screens/pages/machine/loose-ends';

/** Everything that a loose end may go to, from what is known: other loose ends first. */
function placesOf({ handles, circuit, loose }: Machine): SystemPoint[] {
  const job = handles.flatMap((one) => (one.of === 'switch' && one.map && one.job) || [])[0];
  return [
    ...loose.filter(({ at }) => at === 'wire'),
    ...handles.flatMap((handle): SystemPoint[] =>
      handle.of === 'device'
        ? pinsOf(handle.device).map((pin) => ({ at: 'device', device: handle.device.id, pin }))
        : (handle.map?.structure.terminals ?? []).flatMap(({ id }): SystemPoint[] =>
            handle.job === null ? [] : [{ at: 'terminal', job: handle.job, terminal: id }],
          ),
    ),
    ...(job
      ? [
          ...circuit.supplies.map(({ id }): SystemPoint => ({ at: 'supply', job, supply: id })),
          ...circuit.loads.flatMap((load) =>
            endsOf(load).map((end): SystemPoint => ({ at: 'load', job, load: load.id, end })),
          ),
        ]
      : []),
  ];
}

/** Whose a point is: a wire is not offered the lugs of its own switch, nor a pin those of its own device. */
const ownerOf = (point: SystemPoint): string =>
  point.at === 'device' ? point.device : point.at === 'terminal' || point.at === 'wire' ? point.job : '';

/** Wires and pins of which nobody has said what they go to, and what was said, to be taken back. */
export function LooseEnds({ log, names }: { log: Log; names: MachineNames }) {
  const session = useSession();
  const { machine } = names;
  const places = placesOf(machine);
  const joins = systemJoinsOf(log);
  const say = (from: SystemPoint, to: SystemPoint | null) =>
    session.emit({ kind: 'system-joined', from, to });
  if (machine.loose.length + joins.length === 0) return null;
  return (
    <section aria-label={LOOSE_ENDS_TEXT.whatGoesWhere} className="grid gap-2">
      <h2 className="text-large font-bold">{LOOSE_ENDS_TEXT.whatGoesWhere}</h2>
      {machine.loose.length > 0 && <p className="text-quiet">{LOOSE_ENDS_TEXT.noAnswerRestsOnAn}</p>}
      <ul className="grid gap-1">
        {machine.loose.map((from) => (
          <li key={pointKey(from)} className="flex flex-wrap items-center gap-2">
            <span className="min-w-48 grow">
              {pointWords(from, names)}
              {LOOSE_ENDS_TEXT.goesTo}
            </span>
            <Pick
              quiet
              label={LOOSE_ENDS_TEXT.goesTo2(pointWords(from, names))}
              value=""
              placeholder={LOOSE_ENDS_TEXT.notKnown}
              options={places
                .filter((one) => ownerOf(one) !== ownerOf(from))
                .map((one) => ({ value: pointKey(one), text: pointWords(one, names) }))}
              onPick={(key) => {
                const to = places.find((one) => pointKey(one) === key);
                if (to) say(from, to);
              }}
              className="min-w-56"
            />
          </li>
        ))}
        {joins.map(({ from, to }) => (
          <li key={pointKey(from)} className="flex flex-wrap items-center gap-2 border-b border-line">
            <span className="grow">
              {pointWords(from, names)}
              {LOOSE_ENDS_TEXT.goesTo3}
              <strong>{pointWords(to, names)}</strong>
            </span>
            <PlainButton look="quiet" className="shrink-0 whitespace-nowrap" onClick={() => say(from, null)}>
              {LOOSE_ENDS_TEXT.notSo}
            </PlainButton>
          </li>
        ))}
      </ul>
    </section>
  );
}
