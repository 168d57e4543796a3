import type { Recognised } from '@which-way/core/match';
import { approachOf } from '@which-way/core/planner';
import { Notice } from '../../shared/controls/notice.js';
import { PlainButton } from '../../shared/controls/plain-button.js';
import { recognisedWords } from '@which-way/words/map/approach';
import { time } from '@which-way/words/time';
import type { OutlookView } from '../probing/use-outlook.js';
import type { Probing } from '../probing/use-probing.js';

/** What the switch looks like so far, and what it would take to prove it. It is a supposition, and says so. */
export function LooksLike({ probing, outlook }: { probing: Probing; outlook: OutlookView }) {
  const { recognised, proving } = outlook;
  const [first, ...others] = recognised;
  if (!first || probing.map.complete) return null;
  const proves = approachOf(probing.map).order === 'expected';
  return (
    <Notice look="plain" title={`Looks like: ${recognisedWords(first)}`}>
      {others.length > 0 && (
        <p>It may also be: {others.map((one: Recognised) => recognisedWords(one)).join('; ')}.</p>
      )}
      <p>
        Not proved yet.{' '}
        {proving && `To prove it: ${proving.touches} touches, about ${time(proving.seconds)}.`}
      </p>
      {proves ? (
        <p className="font-semibold">The prompts now prove it, joins first.</p>
      ) : (
        <PlainButton
          className="mt-2"
          onClick={() => probing.act({ do: 'approach', change: { order: 'expected', extent: 'everything' } })}
        >
          Prove it
        </PlainButton>
      )}
    </Notice>
  );
}
