import type { Recognised } from '@which-way/core/match';
import { approachOf } from '@which-way/core/planner';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { recognisedWords } from '@which-way/words/map/approach';
import { time } from '@which-way/words/time';
import type { OutlookView } from '../probing/use-outlook.js';
import type { Probing } from '../probing/use-probing.js';
import { LOOKS_LIKE_TEXT } from '@which-way/words/screens/pages/map/panels/looks-like';

/** What the switch looks like so far, and what it would take to prove it. It is a supposition, and says so. */
export function LooksLike({ probing, outlook }: { probing: Probing; outlook: OutlookView }) {
  const { recognised, proving } = outlook;
  const [first, ...others] = recognised;
  if (!first || probing.map.complete) return null;
  const proves = approachOf(probing.map).order === 'expected';
  return (
    <Notice look="plain" title={LOOKS_LIKE_TEXT.looksLike(recognisedWords(first))}>
      {others.length > 0 && (
        <p>
          {LOOKS_LIKE_TEXT.itMayAlsoBe}
          {others.map((one: Recognised) => recognisedWords(one)).join('; ')}.
        </p>
      )}
      <p>
        {LOOKS_LIKE_TEXT.notProvedYet}{' '}
        {proving && LOOKS_LIKE_TEXT.toProveItTouchesAbout(proving.touches, time(proving.seconds))}
      </p>
      {proves ? (
        <p className="font-semibold">{LOOKS_LIKE_TEXT.thePromptsNowProveIt}</p>
      ) : (
        <PlainButton
          className="mt-2"
          onClick={() => probing.act({ do: 'approach', change: { order: 'expected', extent: 'everything' } })}
        >
          {LOOKS_LIKE_TEXT.proveIt}
        </PlainButton>
      )}
    </Notice>
  );
}
