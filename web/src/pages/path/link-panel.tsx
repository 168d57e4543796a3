import type { LooseLink, PathVerdict, SupplyPath } from '@which-way/core/path';
import type { PathLink } from '@which-way/core/log';
import { inSeries } from '@which-way/core/path';
import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { PlainButton } from '../../controls/plain-button.js';
import { linkName, STATE_WORDS } from '@which-way/words/before/path';
import { Looks } from './looks.js';
import type { OnTest } from './proposal.js';
import { ResultButtons } from './result-buttons.js';
import { LINK_PANEL_TEXT } from '@which-way/words/screens/pages/path/link-panel';

interface LinkPanelProps {
  path: SupplyPath;
  verdict: PathVerdict;
  onTest: OnTest;
  link: PathLink;
  onLay: (links: readonly LooseLink[]) => void;
  onClose: () => void;
}

/** One link of the path: its tests, its place, and the way out. */
export function LinkPanel({ link, path, verdict, onTest, onLay, onClose }: LinkPanelProps) {
  const index = path.links.indexOf(link);
  const move = (by: number) => {
    const others = path.links.filter((one) => one !== link);
    onLay([...others.slice(0, index + by), link, ...others.slice(index + by)]);
  };
  return (
    <section aria-label={linkName(link)} className="grid gap-2">
      <p className="text-title leading-tight font-extrabold">
        {linkName(link)}
        {LINK_PANEL_TEXT.alone}
      </p>
      <p>
        {STATE_WORDS[verdict.states.get(link.id) ?? 'not-tested']}
        {!inSeries(link) && LINK_PANEL_TEXT.besideThePathNotIn}
      </p>
      <ResultButtons
        flex={link.kind === 'cord'}
        alone={link.kind === 'switch' ? 'either' : undefined}
        onResult={(result, flexed, by) => onTest([link.id], result, flexed, { by })}
      />
      <Insulated link={link} path={path} onTest={onTest} />
      <Looks link={link} path={path} />
      <div className="flex flex-wrap gap-2 border-t border-line pt-3">
        <PlainButton
          disabled={index === 0}
          onClick={() => move(-1)}
          aria-label={LINK_PANEL_TEXT.moveItTowardsTheSupply}
        >
          <ArrowLeft size={18} aria-hidden="true" />
        </PlainButton>
        <PlainButton
          disabled={index === path.links.length - 1}
          onClick={() => move(1)}
          aria-label={LINK_PANEL_TEXT.moveItTowardsTheLoad}
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
          {LINK_PANEL_TEXT.notInThisMachine}
        </PlainButton>
        <PlainButton look="quiet" onClick={onClose}>
          {LINK_PANEL_TEXT.backToTheNextTest}
        </PlainButton>
      </div>
    </section>
  );
}

const WAY_HOW = {
  across: LINK_PANEL_TEXT.toTheOtherConductorFar,
  'to-earth': LINK_PANEL_TEXT.toEarthOrTheFrame,
} as const;

/** Measurements where open is right: to the other conductor and to earth. */
function Insulated({ link, path, onTest }: Pick<LinkPanelProps, 'link' | 'path' | 'onTest'>) {
  const rows = (['across', 'to-earth'] as const).map((way) => {
    const last = path.tests.findLast((one) => one.way === way && one.links.includes(link.id));
    return (
      <div key={way} className="flex flex-wrap items-center gap-2">
        <span className="sm:min-w-52">{WAY_HOW[way]}</span>
        <PlainButton
          aria-pressed={last?.result === 'pass'}
          onClick={() => onTest([link.id], 'pass', false, { way })}
        >
          {LINK_PANEL_TEXT.open}
        </PlainButton>
        <PlainButton
          aria-pressed={last?.result === 'fail'}
          onClick={() => onTest([link.id], 'fail', false, { way })}
        >
          {LINK_PANEL_TEXT.notOpen}
        </PlainButton>
        {last && (
          <span className="text-quiet">
            {last.result === 'pass' ? LINK_PANEL_TEXT.open2 : LINK_PANEL_TEXT.notOpen2}
          </span>
        )}
      </div>
    );
  });
  return (
    <section aria-label={LINK_PANEL_TEXT.besideIt} className="grid gap-1 border-t border-line pt-2">
      {rows}
    </section>
  );
}
