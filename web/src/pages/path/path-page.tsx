import {
  layPath,
  chained,
  type LooseLink,
  PATH_PRESETS,
  pathVerdict,
  supplyPathOf,
  type PathPreset,
} from '@which-way/core/path';
import type { LinkKind } from '@which-way/core/log';
import { type LinkId, type TestId } from '@which-way/core/switch';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';
import { LINK_WORDS, PATH_PRESET_WORDS } from '@which-way/words/before/path';
import { AddLink } from './add-link.js';
import { Chain } from './chain.js';
import { InPlacePanel } from './in-place-panel.js';
import { JumperTests } from './jumper-tests.js';
import { LinkPanel } from './link-panel.js';
import { PathOutcome } from './path-outcome.js';
import { CordCheck } from './cord-check.js';
import { Proposal, type OnTest } from './proposal.js';
import { TestList } from './test-list.js';
import { PATH_PAGE_TEXT } from '@which-way/words/screens/pages/path/path-page';

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
  const test: OnTest = (links, result, flexed, { way = 'through', by } = {}) => {
    setPicked(null);
    const about = { id: newId<TestId>(), links, way, result, flexed, ohms: null, ...(by && { by }) };
    session.emit({ kind: 'path-tested', test: about });
  };
  const link = path.links.find(({ id }) => id === picked);
  return (
    <main className="grid grow content-start gap-x-6 gap-y-3 p-4 sm:px-6 sm:py-2">
      <h1 className="sr-only">{PATH_PAGE_TEXT.isItTheSwitch}</h1>
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
              <InPlacePanel />
              <PathOutcome path={path} verdict={verdict} />
              <JumperTests />
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
    <section aria-label={PATH_PAGE_TEXT.whatKindOfMachine} className="grid max-w-4xl gap-3">
      <p className="text-large">{PATH_PAGE_TEXT.beforeTheSwitchIsBlamed}</p>
      <div className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        {PRESETS.map((preset) => (
          <button
            key={preset}
            type="button"
            onClick={() => onChoose(preset)}
            className="rounded-part border-2 border-edge bg-sheet px-4 py-3 text-left hover:border-ink"
          >
            <span className="block text-large font-bold">{PATH_PRESET_WORDS[preset]}</span>
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
