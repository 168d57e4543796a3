import { NUMBER_LETTERS } from '@which-way/core/schema';
import {
  expectedOhms,
  likelihoodOf,
  nextStep,
  type Nameplate,
  type PathVerdict,
  type ProposedStep,
  type SupplyPath,
} from '@which-way/core/path';
import type { LinkKind, PathTest, TestResult, TestWay } from '@which-way/core/log';
import type { LinkId } from '@which-way/core/switch';
import { expectedWords, LIKELY_WORDS, linkName, stretchWords } from '@which-way/words/before/path';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSafety } from '../../parts/safety/use-safety.js';
import { readAmount } from '../../controls/fields/amount.js';
import { Notice } from '../../controls/notice.js';
import { Looks } from './looks.js';
import { ResultButtons } from './result-buttons.js';
import { PROPOSAL_TEXT } from '@which-way/words/screens/pages/path/proposal';
import { TextInput } from '../../controls/fields/text-input.js';

/** What a test is written down with. */
export type OnTest = (
  links: LinkId[],
  result: TestResult,
  flexed: boolean,
  more?: { way?: TestWay; by?: PathTest['by'] },
) => void;

interface ProposalProps {
  path: SupplyPath;
  verdict: PathVerdict;
  onTest: OnTest;
}

/** The test or look that splits the remaining suspects best for the least work; nothing before it is made safe. */
export function Proposal({ path, verdict, onTest }: ProposalProps) {
  const safe = useSafety();
  const step = nextStep(path, verdict);
  if (!step) return null;
  if (!safe.open)
    return (
      <Notice look="brick" title={PROPOSAL_TEXT.firstMakeItSafe}>
        {PROPOSAL_TEXT.ohmsAndFingersInsideOnly}{' '}
        <Link to="../../safe" relative="path" className="underline">
          {PROPOSAL_TEXT.toTheSafetyList}
        </Link>
      </Notice>
    );
  if (step.kind === 'look') return <Look step={step} path={path} />;
  return step.kind === 'flexing' ? (
    <Flexing step={step} path={path} onTest={onTest} />
  ) : (
    <Test key={`${step.links.join()} ${step.inOhms}`} step={step} path={path} onTest={onTest} />
  );
}

const minutes = (worth: number): string => `About ${Math.max(1, Math.round(worth))} min`;

function Look({ step, path }: { step: Extract<ProposedStep, { kind: 'look' }>; path: SupplyPath }) {
  const link = path.links.find(({ id }) => id === step.link);
  if (!link) return null;
  return (
    <section aria-label={PROPOSAL_TEXT.lookNext} className="grid gap-3">
      <p className="text-quiet">{PROPOSAL_TEXT.lookNextItTellsMore}</p>
      <p className="text-title leading-tight font-extrabold sm:text-[2.6rem]" data-testid="next-test">
        {PROPOSAL_TEXT.lookAt}
        {linkName(link)}
      </p>
      <p>
        {minutes(step.minutes)}
        {PROPOSAL_TEXT.whatLooksGoodIsNot}
      </p>
      <Looks key={link.id} link={link} path={path} signs={step.signs} />
    </section>
  );
}

/** What passed at rest, and is not cleared before it was bent. */
function Flexing({
  step,
  path,
  onTest,
}: {
  step: Extract<ProposedStep, { kind: 'flexing' }>;
  path: SupplyPath;
  onTest: OnTest;
}) {
  const [first] = step.links;
  if (!first) return null;
  return (
    <section aria-label={PROPOSAL_TEXT.testNext} className="grid gap-3">
      <p className="text-quiet">{PROPOSAL_TEXT.onlyFlexingIsLeft}</p>
      <p className="text-title leading-tight font-extrabold sm:text-[2.6rem]" data-testid="next-test">
        {PROPOSAL_TEXT.bend(stretchWords(path.links, [first]))}
      </p>
      <p>{PROPOSAL_TEXT.whileYouWatch}</p>
      <ResultButtons flex onResult={(result, flexed) => onTest([first], result, flexed)} />
    </section>
  );
}

/** How a stretch of these kinds is tested. */
function howToTest(kinds: readonly LinkKind[]): string {
  if (kinds.includes('electronics')) return PROPOSAL_TEXT.byItselfWhatGoesIn;
  const on = kinds.includes('switch') ? PROPOSAL_TEXT.switchOn : '';
  return PROPOSAL_TEXT.fromTheOneEndTo(on);
}

function Test({
  step,
  path,
  onTest,
}: {
  step: Extract<ProposedStep, { kind: 'test' }>;
  path: SupplyPath;
  onTest: OnTest;
}) {
  const links = path.links.filter(({ id }) => step.links.includes(id));
  const kinds = links.map(({ kind }) => kind);
  const loads = links.filter(({ conductor }) => conductor === 'load').map(({ kind }) => kind);
  return (
    <section aria-label={PROPOSAL_TEXT.testNext} className="grid gap-3">
      <p className="text-quiet">
        {step.inOhms
          ? PROPOSAL_TEXT.itBeepedNowOhms
          : step.whole
            ? PROPOSAL_TEXT.testNextTheWholeMachine
            : PROPOSAL_TEXT.testNextItSplitsThe}
      </p>
      <p className="text-title leading-tight font-extrabold sm:text-[2.6rem]" data-testid="next-test">
        {step.whole ? PROPOSAL_TEXT.pinToPinAtThe : stretchWords(path.links, step.links)}
      </p>
      {kinds.includes('battery') ? (
        <p>
          {PROPOSAL_TEXT.voltsWithALoadOn}{' '}
          <Link to="../../safe" relative="path" className="underline">
            {PROPOSAL_TEXT.liveRecords}
          </Link>
          {PROPOSAL_TEXT.whoMayDoItWrites}
        </p>
      ) : (
        <p>
          {step.whole ? PROPOSAL_TEXT.handleOffOpenHandleOn : howToTest(kinds)}. {minutes(step.minutes)};{' '}
          {LIKELY_WORDS[likelihoodOf(step.passes)]}
          {PROPOSAL_TEXT.byWhatIsUsual}
        </p>
      )}
      {loads.length > 0 && <LoadReads kinds={loads} />}
      <ResultButtons
        flex={step.flex}
        alone={kinds.length === 1 && kinds[0] === 'switch' ? (step.inOhms ? 'ohms' : 'either') : undefined}
        onResult={(result, flexed, by) => onTest(step.links, result, flexed, { by })}
      />
    </section>
  );
}

/** What the load in the stretch should read, by its nameplate where that is typed in. */
function LoadReads({ kinds }: { kinds: readonly LinkKind[] }) {
  const [volts, setVolts] = useState('');
  const [watts, setWatts] = useState('');
  const [atVolts, atWatts] = [readAmount(volts, 10_000), readAmount(watts, 1e5)];
  const nameplate: Nameplate | null = atVolts && atWatts ? { volts: atVolts, watts: atWatts } : null;
  const expected = expectedOhms(kinds, nameplate);
  if (!expected) return <p className="text-quiet">{PROPOSAL_TEXT.whatItShouldReadCannot}</p>;
  const field = (label: string, value: string, set: (typed: string) => void, read: unknown) => (
    <label className="flex items-center gap-2">
      {label}
      <TextInput
        value={value}
        inputMode="decimal"
        maxLength={NUMBER_LETTERS}
        aria-invalid={read === undefined}
        onChange={({ target }) => set(target.value)}
        mono
        className="w-24"
      />
    </label>
  );
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <p className="font-semibold">
        {PROPOSAL_TEXT.theLoad}
        {expectedWords(expected)}
      </p>
      {field(PROPOSAL_TEXT.nameplateVolts, volts, setVolts, atVolts)}
      {field('watts', watts, setWatts, atWatts)}
    </div>
  );
}
