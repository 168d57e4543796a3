/** The upgrades of a supply path that was a bare list of links, all of one conductor. */

const LOADS = new Set(['electronics', 'motor', 'brushes', 'element', 'lamp', 'coil']);
const BESIDE = new Set(['suppressor', 'earth']);

interface LinkBefore {
  id: string;
  kind: string;
}

/** The place before a link has the link's own id: nothing else has to be made up, so that every reader makes the same. */
export function laidAsNet(what: Record<string, unknown>): Record<string, unknown> {
  const before = what['links'] as LinkBefore[];
  const series = before.filter(({ kind }) => !BESIDE.has(kind));
  const places = series.map(({ id }) => id);
  // The end of it all: the last link's id with its last figure turned, as no two links end alike.
  const last = ((series.at(-1) ?? before.at(-1))?.id ?? '').replace(/.$/, (figure) =>
    (15 - parseInt(figure, 16)).toString(16),
  );
  const first = places[0] ?? before[0]?.id;
  const all = before.length === 0 ? [] : [...(places.length > 0 ? places : [first]), last];
  const links = before.map((link) => {
    const place = series.indexOf(link);
    return place < 0
      ? { ...link, conductor: 'beside', from: first, to: last }
      : { ...link, conductor: LOADS.has(link.kind) ? 'load' : 'feed', from: all[place], to: all[place + 1] };
  });
  return { ...what, nodes: all.map((id) => ({ id, name: null })), links };
}

export const testedThrough = (what: Record<string, unknown>): Record<string, unknown> => ({
  ...what,
  test: { ...(what['test'] as object), way: 'through' },
});
