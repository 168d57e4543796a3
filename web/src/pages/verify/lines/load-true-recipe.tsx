import type { ContactLimit, MeterProfile } from '@which-way/core/log';
import { loadTrue } from '@which-way/core/verify';
import { LOAD_TRUE_TEXT } from '@which-way/words/screens/pages/verify/lines/load-true-recipe';

interface LoadTrueRecipeProps {
  limit: ContactLimit;
  meter: MeterProfile;
  /** Its contacts were said to be gold. */
  isGold: boolean;
}

/** How to try a contact at its own current, step by step in the order of the hand, with the figures of this load. */
export function LoadTrueRecipe({ limit, meter, isGold }: LoadTrueRecipeProps) {
  const recipe = loadTrue(limit, isGold);
  const { testMilliamps } = meter;
  if (recipe.refused !== null)
    return recipe.refused === 'signal' ? <p className="mt-1">{LOAD_TRUE_TEXT.refused}</p> : null;
  return (
    <details className="mt-2">
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{LOAD_TRUE_TEXT.title(recipe)}</summary>
      {testMilliamps !== null && (
        <p>{LOAD_TRUE_TEXT.testCurrent(testMilliamps, limit.school === 'load' ? limit.amps : recipe.amps)}</p>
      )}
      <ol className="ml-5 grid list-decimal gap-1">
        {LOAD_TRUE_TEXT.steps(recipe).map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <p className="mt-1 text-small text-quiet">{LOAD_TRUE_TEXT.cautions}</p>
    </details>
  );
}
