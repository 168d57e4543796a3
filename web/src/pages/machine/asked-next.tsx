import { placeOfNode, settingOf, standingsAt, type NextTest } from '@which-way/core/machine';
import type { SettingId } from '@which-way/core/switch';
import { handleName, standingName, standingsWords } from '@which-way/words/machine/handles';
import { supplyName } from '@which-way/words/machine/loads';
import { handleAt, placeLabel, probeWords, wireWords } from '@which-way/words/machine/places';
import { NextStep, type HuntNames } from '../../parts/hunt/next-step.js';
import type { HuntedProps, SayLook } from './faults.js';

interface AskedNextProps extends HuntedProps {
  next: NextTest;
  say: SayLook;
}

/** What tells most in the least time, with whose lugs are meant. */
export function AskedNext({ names, combinations, emit, next, say, ways }: AskedNextProps) {
  const { machine, job } = names;
  const { circuit, handles } = machine;
  const combinationAt = (setting: SettingId) =>
    combinations.find((one) => settingOf(machine, one) === setting);
  const handle = 'contact' in next ? handleAt(next.contact[0], names) : undefined;
  const ownJob = handle?.of === 'switch' ? handle.job : undefined;
  const standsAt = (setting: SettingId) => {
    const combination = combinationAt(setting);
    if (!combination) return '?';
    // A reading of one switch is the same however the others stand.
    return handle
      ? standingName(handle, combination[handles.indexOf(handle)] as SettingId)
      : standingsWords(handles, combination, job);
  };
  const words: HuntNames = {
    at: standsAt,
    contact: (_, contact) => {
      const labels = contact.map((place) => placeLabel(place, names)).join('–');
      return handle && handles.length > 1 ? `${labels} of ${handleName(handle, job)}` : labels;
    },
    place: (node) => probeWords(node, names),
    part: (part) => circuit.loads.find(({ id }) => id === part)?.name ?? wireWords(part, names),
    supply: (supply) => circuit.supplies.filter(({ id }) => id === supply).map(supplyName)[0] ?? '?',
  };
  const supply =
    next.kind === 'supply' ? placeOfNode(machine, circuit.supplyNode.get(next.supply) ?? -1) : null;
  return (
    <NextStep
      {...{ next, names: words, loads: circuit.loads }}
      caution={ways.caution}
      onLook={(setting, load, seen) => {
        const combination = combinationAt(setting);
        if (combination) say(combination, load, seen);
      }}
      onProbe={(setting, between, conducts) => {
        const combination = combinationAt(setting);
        const [a, b] = between.map((node) => placeOfNode(machine, node));
        if (combination && a && b)
          emit({ kind: 'machine-read', at: standingsAt(machine, combination), between: [a, b], conducts });
      }}
      onPart={(part, whole) => emit({ kind: 'machine-part-tried', part, whole })}
      toMap={
        next.kind === 'read' && handle?.of === 'switch'
          ? ways.toMap(
              handle.job,
              (combinationAt(next.setting) ?? [])[handles.indexOf(handle)] as SettingId,
              next.contact.flatMap((place) => handle.map?.structure.terminals[place - handle.from]?.id ?? []),
            )
          : null
      }
      toRepeat={ownJob !== undefined && ways.toVerify(ownJob)}
      toPath={supply && ways.toPath(('job' in supply ? supply.job : null) ?? null)}
    />
  );
}
