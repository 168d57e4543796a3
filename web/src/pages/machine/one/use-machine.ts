import {
  contactsAsMapped,
  contactsAsTable,
  contactsWithPart,
  inEverySetting,
  laidPart,
  machineOf,
  type InEverySetting,
  type Machine,
} from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { liveEvents } from '@which-way/core/log';
import { expectedOf } from '@which-way/core/verify';
import { useMemo } from 'react';

/** Whose contacts stand in the machine. */
export type InPlace = 'as-mapped' | 'should-be' | 'chosen';

/** What is in place, with its name, where there is such a thing. */
export function inPlaceOf(map: SwitchMap): { value: InPlace; text: string }[] {
  const chosen = liveEvents(map.log, 'chosen').at(-1)?.what.replacement ?? null;
  return [
    { value: 'as-mapped', text: 'as mapped' },
    ...(expectedOf(map) ? [{ value: 'should-be' as const, text: 'as it should be' }] : []),
    ...(chosen?.part ? [{ value: 'chosen' as const, text: `with ${chosen.name}` }] : []),
  ];
}

/** The machine of a job and what it does in every setting with what is in place; null while no wire leads to a load. */
export function useMachine(
  map: SwitchMap,
  place: InPlace,
): { machine: Machine; does: InEverySetting } | null {
  return useMemo(() => {
    const machine = machineOf(map);
    if (!machine) return null;
    const table = expectedOf(map);
    const chosen = liveEvents(map.log, 'chosen').at(-1)?.what.replacement ?? null;
    const laid = place === 'chosen' && chosen ? laidPart(map, chosen) : null;
    const does = laid
      ? inEverySetting(
          map,
          machine,
          (setting) => contactsWithPart(map, laid, setting),
          laid.part.facts?.makesBeforeBreaks ?? null,
        )
      : place === 'should-be' && table
        ? inEverySetting(map, machine, (setting) => contactsAsTable(map, table, setting), null)
        : inEverySetting(map, machine, (setting) => contactsAsMapped(map, setting));
    return { machine, does };
  }, [map, place]);
}
