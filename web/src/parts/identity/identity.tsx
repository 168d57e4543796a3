import { identify, type SwitchIdentity } from '@which-way/core/table';
import type { SwitchMap } from '@which-way/core/continuity';
import { identityLines, identityTitle } from '@which-way/words/table/identity';

/** What it is, first and biggest; below it what the name does not say. */
export function Identity({ map, heading = true }: { map: SwitchMap; heading?: boolean }) {
  const identity: SwitchIdentity = identify(map);
  const title = identityTitle(map.structure, identity);
  return (
    <div className="grow">
      {heading ? (
        <h1 className="text-large leading-tight font-bold sm:text-title">{title}</h1>
      ) : (
        <p className="text-large leading-tight font-bold">{title}</p>
      )}
      {identityLines(map.structure, identity).map((line) => (
        <p key={line}>{line}</p>
      ))}
    </div>
  );
}
