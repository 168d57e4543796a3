import { factAt, type Settled, type SwitchMap } from '@which-way/core/continuity';
import type { SettingId, TerminalId } from '@which-way/core/switch';
import { polesWithContacts, type Contact } from '@which-way/core/table';
import { strandOf } from './strand.js';
import type { PictureLink } from './switch-picture.js';

/** A join as it is drawn, and the setting that it holds in. */
export interface Join extends PictureLink {
  setting: SettingId;
}

/**
 * The joins of every setting as lines between terminals, per net as few as span it; those of `at` strong, the others' faint. What is
 * disputed is a line of its own.
 */
export function joinsOf(map: Pick<SwitchMap, 'settings' | 'tape'>, at: SettingId | null): Join[] {
  const drawn: Join[] = [];
  [...map.settings.values()].forEach(({ settled }, index) => {
    const { setting, terminals } = settled;
    const join = (a: number, b: number, disputed: boolean): Join => ({
      setting,
      disputed,
      strand: strandOf(index),
      faint: setting !== at,
      from: terminals[a] as TerminalId,
      to: terminals[b] as TerminalId,
    });
    for (const [a, b] of contactsIn(settled)) drawn.push(join(a, b, false));
    for (const reading of settled.contradictions.flatMap(({ joins }) => joins)) {
      const line = map.tape.find((one) => one.reading.id === reading)?.reading;
      const [a, b] = [line?.red[0], line?.black[0]].map((id) => terminals.indexOf(id as TerminalId)) as [
        number,
        number,
      ];
      if (factAt(settled, a, b).state === 'disputed') drawn.push(join(a, b, true));
    }
  });
  return drawn.sort((one, other) => Number(other.faint) - Number(one.faint));
}

/** As few lines as span each net of a setting; worked out once for each settling. */
function contactsIn(settled: Settled): readonly Contact[] {
  const known = spanning.get(settled);
  if (known) return known;
  const contacts = polesWithContacts([settled.nets]).flatMap((pole) => pole.contacts);
  spanning.set(settled, contacts);
  return contacts;
}

const spanning = new WeakMap<Settled, readonly Contact[]>();
