/** Waits before each further try, in milliseconds. */
const WAITS_MS = [300, 1500];

/** What is loaded, tried again a little later where it did not come: a network that stumbles once costs nobody a page. */
export async function patiently<What>(
  load: () => Promise<What>,
  waits: readonly number[] = WAITS_MS,
): Promise<What> {
  for (const wait of waits) {
    try {
      return await load();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, wait));
    }
  }
  return load();
}

/**
 * What only stands beside a page, tried until it comes: while the server is away a message or a chart is missed, never the page.
 */
export async function untilItComes<What>(load: () => Promise<What>, wait = 3000): Promise<What> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, wait));
    }
  }
}
