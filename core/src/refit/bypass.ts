import {
  circuitOf,
  GUARDING_CASES,
  isNote,
  contactsOfNets,
  guarding,
  healthyOf,
  inSetting,
} from '../machine/index.js';
import type { SwitchMap } from '../continuity/index.js';
import { asAnswered, type Case, recordsOf, restsUnsaid, wireEndsOf } from '../log/index.js';
import { blocks, discrete } from '../partition/index.js';
import type { LoadId, SettingId, SupplyId, TerminalId, WireId } from '../switch/index.js';

/** Why wires may not be joined to stand in for a setting. */
export type BypassRefusal =
  | { because: 'not-known' }
  | { because: 'nothing-joins' }
  | { because: 'end-not-known'; wires: WireId[] }
  | { because: 'supplies-meet'; supplies: SupplyId[] }
  | { because: 'brake'; loads: LoadId[] }
  | { because: 'guard'; case: Case }
  /** It springs open when it is let go or disturbed: a door, a lid, a dead-man, a START, a STOP. */
  | { because: 'springs'; loads: LoadId[] };

/** Wires to be joined so as to stand in for a setting, or why not. */
export type Bypass = { setting: SettingId } &
  /** `ask`: first a person has to say that the contact stops and guards nothing. */
  ({ allowed: true; ask: boolean; joined: TerminalId[][] } | { allowed: false; refusal: BypassRefusal });

/** For every setting in which wires join: which wires to join instead of the switch, or why that is refused. */
export function bypasses(map: SwitchMap): Bypass[] {
  const healthy = healthyOf(map);
  const { structure, log } = map;
  const circuit = circuitOf(map);
  if (!healthy) return [];
  const wires = recordsOf(log, 'wire-tagged');
  const ends = wireEndsOf(log);
  const answered = asAnswered(structure, log);
  const unsaid = restsUnsaid(structure, log);
  const guard = recordsOf(log, 'case-noted').find(({ what }) => GUARDING_CASES.includes(what))?.what;
  return healthy.map(({ setting, nets }): Bypass => {
    const refuse = (refusal: BypassRefusal): Bypass => ({ setting, allowed: false, refusal });
    const wired = new Set(wires.flatMap(({ terminal }) => terminal ?? []));
    const joined = blocks(nets)
      .map((net) =>
        net.map((place) => structure.terminals[place]?.id as TerminalId).filter((id) => wired.has(id)),
      )
      .filter((net) => net.length > 1);
    if (joined.length === 0) return refuse({ because: 'nothing-joins' });
    if (guard) return refuse({ because: 'guard', case: guard });
    const touched = new Set(joined.flat());
    const open = wires.filter(
      ({ id, terminal }) =>
        terminal &&
        touched.has(terminal) &&
        (ends.get(id) ?? [{ at: 'elsewhere' as const }]).some(({ at }) => at === 'elsewhere'),
    );
    if (!circuit || open.length > 0)
      return refuse({ because: 'end-not-known', wires: open.map(({ id }) => id) });
    const { shorts, maybeShorts, met, loads } = inSetting(circuit, setting, contactsOfNets(nets));
    const hurts = met.filter(({ how }) => !isNote(how)).map(({ supplies }) => supplies);
    const short = [...shorts, ...maybeShorts, ...hurts][0];
    if (short) return refuse({ because: 'supplies-meet', supplies: short });
    // Without the switch nothing would brake or stop it but the plug: what brakes in another setting is lost.
    const rest = inSetting(circuit, setting, contactsOfNets(discrete(nets.length))).loads;
    const braked = circuit.loads
      .map(({ id }) => id)
      .filter(
        (id) =>
          loads.get(id)?.does === 'braked' ||
          (rest.get(id)?.does !== 'braked' &&
            healthy.some(
              (one) =>
                inSetting(circuit, one.setting, contactsOfNets(one.nets)).loads.get(id)?.does === 'braked',
            )),
      );
    if (braked.length > 0) return refuse({ because: 'brake', loads: braked });
    const stands = structure.settings.find(({ id }) => id === setting);
    const guards = stands ? guarding(answered, stands, { loads }, circuit.loads, unsaid) : 'guard';
    if (guards === 'guard') {
      const fed = circuit.loads.map(({ id }) => id).filter((id) => loads.get(id)?.does !== 'off');
      return refuse({ because: 'springs', loads: fed });
    }
    return { setting, allowed: true, ask: guards === 'ask', joined };
  });
}
