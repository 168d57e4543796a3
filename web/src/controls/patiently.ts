/** Waits before each further try, in milliseconds. */
const WAITS_MS = [300, 1500];

/** Loads a module by its address; passed in where it is tested. */
type ByAddress = (address: string) => Promise<unknown>;

const byAddress: ByAddress = (address) => import(/* @vite-ignore */ address) as Promise<unknown>;

/**
 * A browser keeps a piece that did not come as failed for as long as the page stands (as HTML has it): the next try asks for the
 * same piece under an address of its own, which the failure names. Where it names none it is asked for as before.
 */
async function again<What>(
  load: () => Promise<What>,
  { failure, time, open }: { failure: unknown; time: number; open: ByAddress },
): Promise<What> {
  const [address] = /https?:\/\/\S+\.js/.exec(failure instanceof Error ? failure.message : '') ?? [];
  return address ? ((await open(`${address}?again=${time}`)) as What) : load();
}

/** What is loaded, tried again a little later where it did not come: a network that stumbles once costs nobody a page. */
export async function patiently<What>(
  load: () => Promise<What>,
  waits: readonly number[] = WAITS_MS,
  open: ByAddress = byAddress,
): Promise<What> {
  let tries = load();
  for (const [time, wait] of waits.entries())
    tries = tries.catch(async (failure: unknown) => {
      await new Promise((resolve) => setTimeout(resolve, wait));
      return again(load, { failure, time: time + 1, open });
    });
  return tries;
}

/**
 * What only stands beside a page, tried until it comes: while the server is away a message or a chart is missed, never the page.
 */
export async function untilItComes<What>(
  load: () => Promise<What>,
  wait = 3000,
  open: ByAddress = byAddress,
): Promise<What> {
  let next = load;
  for (let time = 1; ; time += 1)
    try {
      return await next();
    } catch (failure) {
      next = () => again(load, { failure, time, open });
      await new Promise((resolve) => setTimeout(resolve, wait));
    }
}
