import type { PathVerdict, SupplyPath } from '@which-way/core/path';
import type { LinkId } from '@which-way/core/switch';
import { foundWords, linkName, PATH_OUTCOME_WORDS } from '@which-way/words/before/path';
import { Notice } from '../../controls/notice.js';
import { PATH_OUTCOME_TEXT } from '@which-way/words/screens/pages/path/path-outcome';

/** What the tests say so far: whether it is the switch. */
export function PathOutcome({ path, verdict }: { path: SupplyPath; verdict: PathVerdict }) {
  const { title, about } = PATH_OUTCOME_WORDS[verdict.outcome];
  const names = (ids: readonly LinkId[]) =>
    path.links
      .filter(({ id }) => ids.includes(id))
      .map(linkName)
      .join(', ');
  const cleared = path.links.filter(({ id }) => verdict.states.get(id) === 'pass').map(({ id }) => id);
  const stuck =
    verdict.outcome === 'looking' &&
    verdict.stretches.length > 0 &&
    verdict.suspects.every((id) => testedAlone(path, id));
  const found = foundWords(path.links, verdict);
  return (
    <Notice
      look={verdict.faults.length > 0 ? 'amber' : 'plain'}
      title={
        found.length > 0 && verdict.outcome === 'not-the-switch' ? `${title}: ${found.join('; ')}` : title
      }
    >
      <p>{about}</p>
      {stuck && <p className="mt-1 font-semibold">{PATH_OUTCOME_TEXT.allTestsPassOrFail}</p>}
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {found.length > 0 && <Line term={PATH_OUTCOME_TEXT.found} names={found.join('; ')} />}
        {verdict.faults.length > 0 && <Line term={PATH_OUTCOME_TEXT.atFault} names={names(verdict.faults)} />}
        {verdict.suspects.length > 0 && (
          <Line term={PATH_OUTCOME_TEXT.suspect} names={names(verdict.suspects)} />
        )}
        {cleared.length > 0 && <Line term={PATH_OUTCOME_TEXT.cleared} names={names(cleared)} />}
      </dl>
    </Notice>
  );
}

/** Whether a link was measured by itself. */
const testedAlone = ({ tests }: SupplyPath, id: LinkId): boolean =>
  tests.some(({ way, links }) => way === 'through' && links.length === 1 && links[0] === id);

function Line({ term, names }: { term: string; names: string }) {
  return (
    <>
      <dt className="text-quiet">{term}</dt>
      <dd className="font-semibold">{names}</dd>
    </>
  );
}
