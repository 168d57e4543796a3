import {
  inSeries,
  layPath,
  chained,
  type LooseLink,
  PATH_PRESETS,
  pathVerdict,
  supplyPathOf,
  type PathPreset,
  type PathVerdict,
  type SupplyPath,
} from '@which-way/core/path';
import { LINK_KINDS, type LinkKind, type PathLink } from '@which-way/core/log';
import { type LinkId, type TestId } from '@which-way/core/switch';
import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { newId } from '../job/new-id.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import {
  LINK_WORDS,
  foundWords,
  linkName,
  OUTCOME_WORDS,
  PRESET_WORDS,
  STATE_WORDS,
} from '@which-way/words/path';
import { Chain } from './chain.js';
import { CordCheck } from './cord-check.js';
import { Looks } from './looks.js';
import { Proposal, type OnTest } from './proposal.js';
import { ResultButtons } from './result-buttons.js';
import { TestList } from './test-list.js';

const PRESETS = Object.keys(PATH_PRESETS) as PathPreset[];

/** Is it the switch? The supply path as a chain, and the tests that clear it link by link. */
export function PathPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const path = useMemo(() => supplyPathOf(log), [log]);
  const verdict = useMemo(() => pathVerdict(path), [path]);
  const [picked, setPicked] = useState<LinkId | null>(null);
  const lay = (links: readonly LooseLink[]) =>
    session.emit({ kind: 'path-laid', ...chained(links, path.nodes, newId) });
  const test: OnTest = (links, result, flexed, way = 'through') => {
    setPicked(null);
    const about = { id: newId<TestId>(), links, way, result, flexed, ohms: null };
    session.emit({ kind: 'path-tested', test: about });
  };
  const link = path.links.find(({ id }) => id === picked);
  return (
    <main className="grid grow content-start gap-6 p-4 sm:p-6">
      <h1 className="sr-only">Is it the switch?</h1>
      {path.links.length === 0 ? (
        <Presets onChoose={(preset) => session.emit({ kind: 'path-laid', ...layPath(preset, newId) })} />
      ) : (
        <>
          <Chain
            path={path}
            verdict={verdict}
            picked={picked}
            onPick={(id) => setPicked(id === picked ? null : id)}
          />
          <div className="grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
            <div className="grid content-start gap-5">
              {link ? (
                <LinkPanel
                  key={link.id}
                  {...{ link, path, verdict }}
                  onTest={test}
                  onLay={lay}
                  onClose={() => setPicked(null)}
                />
              ) : (
                <Proposal {...{ path, verdict }} onTest={test} />
              )}
              <AddLink path={path} after={picked} onLay={lay} />
            </div>
            <div className="grid content-start gap-5">
              <Outcome path={path} verdict={verdict} />
              <CordCheck />
              <TestList path={path} />
            </div>
          </div>
        </>
      )}
    </main>
  );
}

function Presets({ onChoose }: { onChoose: (preset: PathPreset) => void }) {
  return (
    <section aria-label="What kind of machine" className="grid max-w-4xl gap-3">
      <p className="text-large">
        Before the switch is blamed: what lies between the supply and the load? Take the nearest, then tap
        links in and out.
      </p>
      <div className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        {PRESETS.map((preset) => (
          <button
            key={preset}
            type="button"
            onClick={() => onChoose(preset)}
            className="rounded-part border-2 border-line bg-sheet px-4 py-3 text-left hover:border-ink"
          >
            <span className="block text-large font-bold">{PRESET_WORDS[preset]}</span>
            <span className="block text-small text-quiet">
              {kindsOf(preset)
                .map((kind) => LINK_WORDS[kind])
                .join(' – ')}
            </span>
          </button>
        ))}
      </div>
    </section>
  );
}

/** What a preset is made of, there and back. */
const kindsOf = (preset: PathPreset): LinkKind[] => {
  const { feed, load, back } = PATH_PRESETS[preset];
  return [...feed, ...load, ...back];
};

interface Testing {
  path: SupplyPath;
  verdict: PathVerdict;
  onTest: OnTest;
}

interface LinkPanelProps extends Testing {
  link: PathLink;
  onLay: (links: readonly LooseLink[]) => void;
  onClose: () => void;
}

function LinkPanel({ link, path, verdict, onTest, onLay, onClose }: LinkPanelProps) {
  const index = path.links.indexOf(link);
  const move = (by: number) => {
    const others = path.links.filter((one) => one !== link);
    onLay([...others.slice(0, index + by), link, ...others.slice(index + by)]);
  };
  return (
    <section aria-label={linkName(link)} className="grid gap-3">
      <p className="text-title leading-tight font-extrabold sm:text-[2.6rem]">{linkName(link)} alone</p>
      <p>
        {STATE_WORDS[verdict.states.get(link.id) ?? 'not-tested']}
        {!inSeries(link) && '; beside the path, not in it'}
      </p>
      <ResultButtons
        flex={link.kind === 'cord'}
        onResult={(result, flexed) => onTest([link.id], result, flexed)}
      />
      <Insulated link={link} path={path} onTest={onTest} />
      <Looks link={link} path={path} />
      <div className="flex flex-wrap gap-2 border-t border-line pt-3">
        <PlainButton disabled={index === 0} onClick={() => move(-1)} aria-label="Move it towards the supply">
          <ArrowLeft size={18} aria-hidden="true" />
        </PlainButton>
        <PlainButton
          disabled={index === path.links.length - 1}
          onClick={() => move(1)}
          aria-label="Move it towards the load"
        >
          <ArrowRight size={18} aria-hidden="true" />
        </PlainButton>
        <PlainButton
          onClick={() => {
            onLay(path.links.filter((one) => one !== link));
            onClose();
          }}
        >
          <Trash2 size={18} className="mr-2 inline" aria-hidden="true" />
          Not in this machine
        </PlainButton>
        <PlainButton look="quiet" onClick={onClose}>
          Back to the next test
        </PlainButton>
      </div>
    </section>
  );
}

function AddLink({
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
    <section aria-label="Add a link">
      <h2 className="mb-1 font-semibold text-quiet">
        Tap in what else is there{after ? ', after the chosen link' : ''}
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

/** Measurements where open is right: to the other conductor and to earth. */
function Insulated({ link, path, onTest }: Pick<LinkPanelProps, 'link' | 'path' | 'onTest'>) {
  const rows = (['across', 'to-earth'] as const).map((way) => {
    const last = path.tests.findLast((one) => one.way === way && one.links.includes(link.id));
    return (
      <div key={way} className="flex flex-wrap items-center gap-2">
        <span className="sm:min-w-52">{WAY_HOW[way]}</span>
        <PlainButton
          aria-pressed={last?.result === 'pass'}
          onClick={() => onTest([link.id], 'pass', false, way)}
        >
          Open
        </PlainButton>
        <PlainButton
          aria-pressed={last?.result === 'fail'}
          onClick={() => onTest([link.id], 'fail', false, way)}
        >
          Not open
        </PlainButton>
        {last && <span className="text-quiet">{last.result === 'pass' ? 'open' : 'not open'}</span>}
      </div>
    );
  });
  return (
    <section aria-label="Beside it" className="grid gap-1 border-t border-line pt-2">
      {rows}
    </section>
  );
}

const WAY_HOW = {
  across: 'To the other conductor, far end open:',
  'to-earth': 'To earth or the frame:',
} as const;

function Outcome({ path, verdict }: { path: SupplyPath; verdict: PathVerdict }) {
  const { title, about } = OUTCOME_WORDS[verdict.outcome];
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
      {stuck && (
        <p className="mt-1 font-semibold">
          All tests pass or fail in turn: it comes and goes. Flex and turn each link while you measure it, and
          test it warm.
        </p>
      )}
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {found.length > 0 && <Line term="Found" names={found.join('; ')} />}
        {verdict.faults.length > 0 && <Line term="At fault" names={names(verdict.faults)} />}
        {verdict.suspects.length > 0 && <Line term="Suspect" names={names(verdict.suspects)} />}
        {cleared.length > 0 && <Line term="Cleared" names={names(cleared)} />}
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
