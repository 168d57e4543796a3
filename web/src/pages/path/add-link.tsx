import type { LooseLink, SupplyPath } from '@which-way/core/path';
import { LINK_KINDS, type LinkKind, type PathLink } from '@which-way/core/log';
import type { LinkId } from '@which-way/core/switch';
import { LINK_WORDS } from '@which-way/words/before/path';
import { newId } from '../../job/new-id.js';
import { PlainButton } from '../../controls/plain-button.js';
import { ADD_LINK_TEXT } from '@which-way/words/screens/pages/path/add-link';

/** Taps in what else lies in the path. */
export function AddLink({
  path,
  after,
  onLay,
}: {
  path: SupplyPath;
  after: LinkId | null;
  onLay: (links: readonly LooseLink[]) => void;
}) {
  const add = (kind: LinkKind) => {
    const conductor = path.links.find(({ id }) => id === after)?.conductor ?? usualConductor(kind);
    const same = path.links.filter((one) => one.kind === kind && one.conductor === conductor).length;
    const fresh: LooseLink = {
      id: newId<LinkId>(),
      kind,
      name: same === 0 ? null : `${LINK_WORDS[kind]} ${same + 1}`,
      conductor,
    };
    const at = path.links.findIndex(({ id }) => id === after);
    const place = at < 0 ? usualPlace(path.links, kind) : at + 1;
    onLay([...path.links.slice(0, place), fresh, ...path.links.slice(place)]);
  };
  return (
    <section aria-label={ADD_LINK_TEXT.addALink}>
      <h2 className="mb-1 font-semibold text-quiet">
        {ADD_LINK_TEXT.tapInWhatElseIs}
        {after ? ADD_LINK_TEXT.afterTheChosenLink : ''}
      </h2>
      <div className="flex flex-wrap gap-1.5">
        {LINK_KINDS.map((kind) => (
          <PlainButton key={kind} className="!px-3" onClick={() => add(kind)}>
            {LINK_WORDS[kind]}
          </PlainButton>
        ))}
      </div>
    </section>
  );
}

const LOADS: ReadonlySet<LinkKind> = new Set(['electronics', 'motor', 'brushes', 'element', 'lamp', 'coil']);
const usualConductor = (kind: LinkKind): PathLink['conductor'] =>
  kind === 'suppressor' || kind === 'earth' ? 'beside' : LOADS.has(kind) ? 'load' : 'feed';

/** Where a kind of link usually lies: after the last one on the way to the load that comes before it. */
function usualPlace(links: readonly PathLink[], kind: LinkKind): number {
  const rank = LINK_KINDS.indexOf(kind);
  return (
    links.findLastIndex((link) => link.conductor !== 'return' && LINK_KINDS.indexOf(link.kind) <= rank) + 1
  );
}
