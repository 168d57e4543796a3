import type { PathTest, TestResult } from '@which-way/core/log';
import { useState } from 'react';
import { PlainButton } from '../../controls/plain-button.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { RESULT_BUTTONS_TEXT } from '@which-way/words/screens/pages/path/result-buttons';

/** What a test showed; of what passed, by what. */
export type OnResult = (result: TestResult, flexed: boolean, by?: PathTest['by']) => void;

interface ResultButtonsProps {
  /** It has a cord in it: at rest it proves little. */
  flex: boolean;
  /** It is a switch by itself: a tone does not clear it. `ohms`: it beeped before. */
  alone?: 'either' | 'ohms' | undefined;
  onResult: OnResult;
}

/** What a test of a stretch showed. */
export function ResultButtons({ flex, alone, onResult }: ResultButtonsProps) {
  const [flexed, setFlexed] = useState(false);
  const button = (result: TestResult, text: string, by?: PathTest['by']) => (
    <PlainButton className="min-h-16 grow text-large" onClick={() => onResult(result, flexed, by)}>
      {text}
    </PlainButton>
  );
  return (
    <div className="grid gap-2">
      <CheckLine checked={flexed} onChange={setFlexed}>
        {RESULT_BUTTONS_TEXT.flexedWhileItWasMeasured}
        {flex ? RESULT_BUTTONS_TEXT.aCordAtBothEnds : ''}
      </CheckLine>
      <div className="flex flex-wrap gap-2">
        {!alone && button('pass', RESULT_BUTTONS_TEXT.pass)}
        {alone && button('pass', RESULT_BUTTONS_TEXT.readsLow, 'ohms')}
        {alone === 'either' && button('pass', RESULT_BUTTONS_TEXT.beeps, 'tone')}
        {button('fail', RESULT_BUTTONS_TEXT.fail)}
        {button('unsteady', RESULT_BUTTONS_TEXT.comesAndGoes)}
      </div>
    </div>
  );
}
