import {
  AS_MAPPED,
  AS_SHOULD,
  combinationsOf,
  evidenceOf,
  inEverySetting,
  switchInMachine,
  type Machine,
} from '@which-way/core/machine';
import type { SwitchMap } from '@which-way/core/continuity';
import { expectedOf } from '@which-way/core/verify';
import { stateWords } from '@which-way/words/machine/loads';
import { SEEN_WORDS } from '@which-way/words/machine/seen';
import { settingName } from '@which-way/words/terminals';
import { useMemo } from 'react';
import { DIFFERENCES_IN_MACHINE_TEXT } from '@which-way/words/screens/pages/machine/differences-in-machine';

/** What the switch's own differences do in the machine, and whether they explain the complaint. */
export function DifferencesInMachine({ map, machine }: { map: SwitchMap; machine: Machine }) {
  const found = useMemo(() => {
    if (!expectedOf(map)) return null;
    const [mapped, should] = [AS_MAPPED, AS_SHOULD].map((one) => inEverySetting(machine, one).settings);
    const { seen } = evidenceOf(map.log, machine, combinationsOf(machine) ?? []);
    return switchInMachine(mapped ?? [], should ?? [], seen);
  }, [map, machine]);
  if (!found || found.otherwise.length === 0) return null;
  const load = (id: string) => machine.circuit.loads.find((one) => one.id === id)?.name ?? '';
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
            {DIFFERENCES_IN_MACHINE_TEXT.isText} <strong>{stateWords(one.is, machine.circuit.loads)}</strong>
            {DIFFERENCES_IN_MACHINE_TEXT.andShouldBe}
            {stateWords(one.should, machine.circuit.loads)}.
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
