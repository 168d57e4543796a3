import { mustShow } from '@which-way/core/path';
import { symptomsOf } from '@which-way/core/log';
import type { SwitchMap } from '@which-way/core/continuity';
import { MUST_SHOW_WORDS, SYMPTOM_WORDS } from '@which-way/words/symptom';

/** What the complaint asks to be shown before it is called mended; nothing here judges it yet. */
export function ToBeShown({ map }: { map: SwitchMap }) {
  const symptoms = symptomsOf(map.log);
  if (symptoms.length === 0) return null;
  return (
    <section id="to-be-shown" aria-label="To be shown" className="border-t border-line pt-3">
      <h2 className="font-bold">
        To be shown, since the complaint was:{' '}
        {symptoms.map((symptom) => SYMPTOM_WORDS[symptom].toLowerCase()).join(', ')}
      </h2>
      <ul className="mt-1 grid gap-1">
        {mustShow(symptoms).map((show) => (
          <li key={show} className="flex gap-3">
            <span className="shrink-0 rounded-part border border-line not-known px-2 text-small">
              not yet
            </span>
            {MUST_SHOW_WORDS[show]}
          </li>
        ))}
      </ul>
    </section>
  );
}
