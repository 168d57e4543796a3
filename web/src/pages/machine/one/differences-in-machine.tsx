import {
  contactsAsMapped,
  contactsAsTable,
  inEverySetting,
  switchInMachine,
  type Machine,
} from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { loadsSeenOf } from '@which-way/core/log';
import { expectedOf } from '@which-way/core/verify';
import { DOES_WORDS, SEEN_WORDS } from '@which-way/words/machine/machine';
import { settingName } from '@which-way/words/terminals';
import { useMemo } from 'react';
import { DIFFERENCES_IN_MACHINE_TEXT } from '@which-way/words/screens/pages/machine/one/differences-in-machine';

/** What the switch's own differences do in the machine, and whether they explain the complaint. */
export function DifferencesInMachine({ map, machine }: { map: SwitchMap; machine: Machine }) {
  const found = useMemo(() => {
    const table = expectedOf(map);
    if (!table) return null;
    const mapped = inEverySetting(map, machine, (setting) => contactsAsMapped(map, setting));
    const should = inEverySetting(map, machine, (setting) => contactsAsTable(map, table, setting), null);
    return switchInMachine(mapped.settings, should.settings, loadsSeenOf(map.log));
  }, [map, machine]);
  if (!found || found.otherwise.length === 0) return null;
  const load = (id: string) => machine.loads.find((one) => one.id === id)?.name ?? '';
  const { otherwise, explained, left } = found;
  const seen = explained.length + left.length;
  return (
    <section
      aria-label={DIFFERENCES_IN_MACHINE_TEXT.whatTheSwitchDoesOtherwise}
      className="border-t-2 border-line pt-2"
    >
      <h2 className="text-large font-bold">{DIFFERENCES_IN_MACHINE_TEXT.withTheSwitchAsIt}</h2>
      <ul className="list-disc pl-5">
        {otherwise.map((one) => (
          <li key={`${one.setting} ${one.load}`}>
            {DIFFERENCES_IN_MACHINE_TEXT.at}
            {settingName(map.structure, one.setting)} {load(one.load)}
            {DIFFERENCES_IN_MACHINE_TEXT.isText} <strong>{DOES_WORDS[one.does]}</strong>
            {DIFFERENCES_IN_MACHINE_TEXT.andShouldBe}
            {DOES_WORDS[one.should]}.
          </li>
        ))}
      </ul>
      {seen > 0 && left.length === 0 && (
        <p className="font-semibold">{DIFFERENCES_IN_MACHINE_TEXT.thatExplainsTheComplaint}</p>
      )}
      {left.length > 0 && (
        <p className="text-amber-ink">
          {DIFFERENCES_IN_MACHINE_TEXT.itDoesNotExplain}{' '}
          {left
            .map(
              (one) =>
                `${load(one.load)} ${SEEN_WORDS[one.seen]} at ${settingName(map.structure, one.setting)}`,
            )
            .join('; ')}
          .
        </p>
      )}
    </section>
  );
}
