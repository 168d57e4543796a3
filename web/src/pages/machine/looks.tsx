import {
  seenBefore,
  settingOf,
  withHandleAt,
  type Combination,
  type Observation,
} from '@which-way/core/machine';
import { LOAD_SEEN } from '@which-way/core/log';
import type { LoadId, SettingId } from '@which-way/core/switch';
import { handleName, standingName, standingsWords } from '@which-way/words/machine/handles';
import { SEEN_WORDS } from '@which-way/words/machine/seen';
import { LOOKS_TEXT } from '@which-way/words/screens/pages/machine/looks';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { LoadsSeen } from '../../parts/hunt/loads-seen.js';
import type { HuntedProps, SayLook } from './faults.js';

interface LooksProps extends HuntedProps {
  seen: readonly Observation[];
  seenAt: (setting: SettingId, load: LoadId) => Observation['seen'] | null;
  say: SayLook;
}

/** What each load did: of one switch in a table of its settings, of several as the handles stand, with a list of what was said. */
export function Looks(props: LooksProps) {
  return props.names.machine.handles.length > 1 ? (
    <>
      <AsItStands {...props} />
      <SeenList {...props} />
      <Before {...props} />
    </>
  ) : (
    <SeenTable {...props} />
  );
}

function AsItStands({ names, standing, seenAt, say }: LooksProps) {
  const { machine } = names;
  return (
    <div role="group" aria-label={LOOKS_TEXT.whatItDidSo} className="grid gap-2">
      <p>
        {LOOKS_TEXT.turnTheHandlesAboveTo}{' '}
        <strong>{standingsWords(machine.handles, standing, names.job)}</strong>
        {LOOKS_TEXT.whatDidItDo}
      </p>
      <LoadsSeen
        loads={machine.circuit.loads}
        said={(load) => seenAt(settingOf(machine, standing), load)}
        onSay={(load, what) => say(standing, load, what)}
      />
    </div>
  );
}

/** What was seen, each to be taken back. */
function SeenList({ names, combinations, seen, say }: LooksProps) {
  const { machine } = names;
  if (seen.length === 0) return null;
  return (
    <ul aria-label={LOOKS_TEXT.seen} className="max-h-64 overflow-auto">
      {seen.map(({ setting, load, seen: what }) => {
        const combination = combinations.find((one) => settingOf(machine, one) === setting);
        if (!combination) return null;
        const where = standingsWords(machine.handles, combination, names.job);
        const name = machine.circuit.loads.find(({ id }) => id === load)?.name ?? '';
        return (
          <li key={`${setting} ${load}`} className="flex items-center gap-2 border-b border-line">
            <span className="grow">
              {where}: {name} {SEEN_WORDS[what]}
            </span>
            <PlainButton
              look="quiet"
              className="shrink-0 whitespace-nowrap"
              aria-label={LOOKS_TEXT.notSo(where, name)}
              onClick={() => say(combination, load, null)}
            >
              {LOOKS_TEXT.notSo2}
            </PlainButton>
          </li>
        );
      })}
    </ul>
  );
}

/** What was seen in the job of one switch before it was joined: it counts once it is confirmed. */
function Before({ log, names, standing, say }: LooksProps) {
  const { machine, job } = names;
  const before = seenBefore(log, machine);
  if (before.length === 0) return null;
  return (
    <section aria-label={LOOKS_TEXT.seenBeforeJoining}>
      <h3 className="font-semibold">{LOOKS_TEXT.seenBeforeJoining}</h3>
      <p className="text-quiet">{LOOKS_TEXT.itCountsOnce}</p>
      <ul>
        {before.map(({ handle, setting, load, seen }) => {
          const where = `${handleName(handle, job)} at ${standingName(handle, setting)}`;
          const name = machine.circuit.loads.find(({ id }) => id === load)?.name ?? '';
          return (
            <li key={`${setting} ${load}`} className="flex items-center gap-2 border-b border-line">
              <span className="grow">
                {where}: {name} {SEEN_WORDS[seen]}
              </span>
              <PlainButton
                aria-label={LOOKS_TEXT.stillSo(where, name)}
                onClick={() => say(withHandleAt(machine, standing, handle, setting), load, seen)}
              >
                {LOOKS_TEXT.stillSo2}
              </PlainButton>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function SeenTable({ names, combinations, seenAt, say }: LooksProps) {
  const { machine, job } = names;
  const nameOf = (at: Combination) => standingsWords(machine.handles, at, job);
  return (
    <div className="overflow-x-auto">
      <table aria-label={LOOKS_TEXT.whatTheLoadsDid} className="w-full">
        <tbody>
          {combinations.map((at) => (
            <tr key={at.join()} className="border-b border-line">
              <th scope="row" className="pr-2 text-left font-mono">
                {nameOf(at)}
              </th>
              {machine.circuit.loads.map((load) => (
                <td key={load.id} className="p-1">
                  <Pick
                    quiet
                    label={LOOKS_TEXT.at(load.name, nameOf(at))}
                    value={seenAt(settingOf(machine, at), load.id) ?? ''}
                    options={[
                      { value: '', text: `${load.name}: –` },
                      ...LOAD_SEEN.map((one) => ({ value: one, text: SEEN_WORDS[one] })),
                    ]}
                    onPick={(value) => say(at, load.id, LOAD_SEEN.find((one) => one === value) ?? null)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
