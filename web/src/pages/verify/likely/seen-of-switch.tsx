import { supplyPathOf } from '@which-way/core/path';
import type { SwitchMap } from '@which-way/core/continuity';
import { SIGN_WORDS } from '@which-way/words/before/path';
import { useMemo } from 'react';
import { SEEN_OF_SWITCH_TEXT } from '@which-way/words/screens/pages/verify/likely/seen-of-switch';

/** What was seen of the switch itself while its supply path was looked at: it belongs to its mechanics. */
export function SeenOfSwitch({ map: { log } }: { map: SwitchMap }) {
  const looks = useMemo(() => {
    const path = supplyPathOf(log);
    const switches = new Set(path.links.filter(({ kind }) => kind === 'switch').map(({ id }) => id));
    return path.looks.filter(({ link }) => switches.has(link));
  }, [log]);
  if (looks.length === 0) return null;
  return (
    <section aria-label={SEEN_OF_SWITCH_TEXT.seenOfTheSwitch} className="border-t border-line pt-3">
      <h2 className="font-bold">{SEEN_OF_SWITCH_TEXT.mechanicsWhatWasSeenOf}</h2>
      <ul className="mt-1">
        {looks.map(({ sign, found }) => (
          <li key={sign}>
            {found === 'at-fault' ? (
              <strong className="text-amber-ink">
                {SEEN_OF_SWITCH_TEXT.atFault}
                {SIGN_WORDS[sign].fault}
              </strong>
            ) : (
              SIGN_WORDS[sign].look
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
