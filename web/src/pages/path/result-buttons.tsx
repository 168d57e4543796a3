import type { TestResult } from '@which-way/core/log';
import { useState } from 'react';
import { PlainButton } from '../../controls/plain-button.js';
import { CheckLine } from '../../controls/fields/check-line.js';
import { RESULT_BUTTONS_TEXT } from '@which-way/words/screens/pages/path/result-buttons';

interface ResultButtonsProps {
  /** It has a cord in it: at rest it proves little. */
  flex: boolean;
  onResult: (result: TestResult, flexed: boolean) => void;
}

/** What a test of a stretch showed. */
export function ResultButtons({ flex, onResult }: ResultButtonsProps) {
  const [flexed, setFlexed] = useState(false);
  const button = (result: TestResult, text: string) => (
    <PlainButton className="min-h-16 grow text-large" onClick={() => onResult(result, flexed)}>
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
        {button('pass', 'Pass')}
        {button('fail', 'Fail')}
        {button('unsteady', RESULT_BUTTONS_TEXT.comesAndGoes)}
      </div>
    </div>
  );
}
