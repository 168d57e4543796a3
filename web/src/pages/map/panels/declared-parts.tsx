import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf } from '@which-way/core/log';
import { ohms } from '@which-way/words/quantity';
import { terminalName } from '@which-way/words/terminals';
import { PART_WORDS } from '@which-way/words/tag/wires';
import { DECLARED_PARTS_TEXT } from '@which-way/words/screens/pages/map/panels/declared-parts';

/** Foreign paths and jumpers as they were declared: what may answer instead of a contact. */
export function DeclaredParts({ map }: { map: SwitchMap }) {
  const parts = recordsOf(map.log, 'part-declared');
  if (parts.length === 0) return null;
  return (
    <section aria-label={DECLARED_PARTS_TEXT.declaredPaths}>
      <h2 className="font-semibold text-quiet">{DECLARED_PARTS_TEXT.declaredPathsMayAnswerInstead}</h2>
      <ul>
        {parts.map(({ id, form, terminals: [a, b], ohms: value, note, on }) => (
          <li key={id} className="border-b border-line py-1">
            <strong className="font-mono">
              {terminalName(map.structure, a)}–{terminalName(map.structure, b)}
            </strong>{' '}
            {PART_WORDS[form]}
            {value === null ? '' : `, ${ohms(value)}`}
            {note && `, ${note}`}
            <span className={on ? ' font-semibold text-amber-ink' : ' text-quiet'}>
              {on ? DECLARED_PARTS_TEXT.stillOn : DECLARED_PARTS_TEXT.takenOff}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
