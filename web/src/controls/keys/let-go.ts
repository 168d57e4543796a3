import { useEffect } from 'react';

/** After a tap or a click nothing keeps the focus, so that the next key answers the prompt and not the last button. */
function letGo({ detail }: MouseEvent): void {
  const { activeElement } = document;
  const byPointer = detail > 0;
  if (!byPointer || !(activeElement instanceof HTMLElement || activeElement instanceof SVGElement)) return;
  if (activeElement.closest('input, textarea, [role=dialog]')) return;
  if (activeElement.matches('button, [role=button]')) activeElement.blur();
}

/** The link that was tapped to come here must not take the first key. */
function letGoOfLink(): void {
  const { activeElement } = document;
  if (activeElement instanceof HTMLElement && activeElement.matches('a:not(:focus-visible)'))
    activeElement.blur();
}

/** On a screen that is worked by keys, nothing that was tapped keeps the focus. */
export function useLetGo(): void {
  useEffect(() => {
    letGoOfLink();
    window.addEventListener('click', letGo);
    return () => window.removeEventListener('click', letGo);
  }, []);
}
