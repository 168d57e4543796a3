/** Ways to ask whether something would be lost if this page were closed now. */
const holders = new Set<() => boolean>();

/** Somebody holds work that may be in this open page alone; the returned function says that they hold it no more. */
export function holdsWork(wouldLose: () => boolean): () => void {
  holders.add(wouldLose);
  return () => void holders.delete(wouldLose);
}

/** Whether something is in this open page alone. */
const somethingOnlyHere = (): boolean => [...holders].some((wouldLose) => wouldLose());

/** Asks before the page is left, as long as something would be lost by it. */
export function askBeforeLeaving(): void {
  window.addEventListener('beforeunload', (event) => {
    if (somethingOnlyHere()) event.preventDefault();
  });
}
