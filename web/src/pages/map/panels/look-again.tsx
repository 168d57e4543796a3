import { Pick } from '../../../controls/fields/pick.js';
import type { LookAgain } from '@which-way/core/continuity';
import { proposalsFor, type Proposal } from '@which-way/core/explain';
import { lookedEnough } from '@which-way/core/planner';
import { middleHint, lastCheck } from '@which-way/core/sense';
import { ORDINARY_METER, PART_FORMS, type Explanation, type PartForm } from '@which-way/core/log';
import { type PartId, type TerminalId } from '@which-way/core/switch';
import { useSession } from '../../../job/job-context.js';
import { newId } from '../../../job/new-id.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import {
  becauseWords,
  EXPLANATION_WORDS,
  HINT_WORDS,
  LOOK_AGAIN_ADVICE,
  LOOK_AGAIN_WORDS,
  PART_OR_CONTACT_WORDS,
} from '@which-way/words/map/facts';
import { settingName, terminalName } from '@which-way/words/terminals';
import { PART_WORDS } from '@which-way/words/tag/wires';
import { evidenceWords } from '@which-way/words/quantity';
import type { Probing } from '../probing/use-probing.js';
import { LOOK_AGAIN_TEXT } from '@which-way/words/screens/pages/map/panels/look-again';

/** Readings between closed and open: what each may be and why; a person accepts one, or reads it again. */
export function LookAgainPanel({ probing }: { probing: Probing }) {
  const { map } = probing;
  const session = useSession();
  const items = [...map.settings.values()].flatMap(({ settled }) =>
    settled.lookAgain.map((item) => ({ settled, item })),
  );
  if (items.length === 0) return null;
  return (
    <Notice
      look="amber"
      title={
        items.length === 1 ? LOOK_AGAIN_TEXT.oneToLookAtAgain : LOOK_AGAIN_TEXT.toLookAtAgain(items.length)
      }
    >
      <ul className="grid gap-3">
        {items.slice(0, 6).map(({ settled, item }) => {
          const [a, b] = [settled.terminals[item.a], settled.terminals[item.b]] as [TerminalId, TerminalId];
          const line = map.tape.findLast(({ reading }) => item.readings.includes(reading.id));
          const meter = lastCheck(map.log)?.meter ?? ORDINARY_METER;
          const hint = line?.evidence.quantity ? middleHint(line.evidence.quantity.ohms, meter) : null;
          const proposals = proposalsFor(map, settled.setting, item.a, item.b);
          const accept = (as: Explanation) =>
            session.emit({ kind: 'explained', readings: item.readings, as, note: '' });
          return (
            <li
              key={`${settled.setting} ${a} ${b} ${item.because}`}
              className="border-t border-line pt-2 first:border-0 first:pt-0"
            >
              <p className="font-semibold">
                {terminalName(map.structure, a)}–{terminalName(map.structure, b)}
                {LOOK_AGAIN_TEXT.at} {settingName(map.structure, settled.setting)}:{' '}
                {line && item.because === 'middle'
                  ? evidenceWords(line.evidence)
                  : LOOK_AGAIN_WORDS[item.because]}
                {item.left && LOOK_AGAIN_TEXT.leftNotKnown}
              </p>
              {hint && <p>{HINT_WORDS[hint]}</p>}
              {item.because !== 'middle' && <p>{LOOK_AGAIN_ADVICE[item.because]}</p>}
              {proposals.map((proposal: Proposal) => (
                <p key={proposal.because.code} className="mt-1">
                  {LOOK_AGAIN_TEXT.perhaps}
                  {EXPLANATION_WORDS[proposal.as]}: {becauseWords(proposal.because)}
                </p>
              ))}
              <div className="mt-1 flex flex-wrap gap-2">
                <PlainButton
                  onClick={() => probing.act({ do: 'ask-pair', red: a, black: b, setting: settled.setting })}
                >
                  {LOOK_AGAIN_TEXT.readItAgain}
                </PlainButton>
                {item.because !== 'part-or-contact' && (
                  <DeclareHere
                    ends={`${terminalName(map.structure, a)}–${terminalName(map.structure, b)}`}
                    onDeclare={(form) => {
                      const ohms = line?.evidence.quantity?.ohms ?? null;
                      session.emit(
                        {
                          kind: 'part-declared',
                          part: {
                            id: newId<PartId>(),
                            form,
                            terminals: [a, b],
                            ohms: ohms === null ? null : Math.max(0, ohms),
                            note: '',
                            on: true,
                            removed: false,
                          },
                        },
                        { kind: 'explained', readings: item.readings, as: 'part', note: '' },
                      );
                    }}
                  />
                )}
                {acceptable(item.because, proposals).map((as) => (
                  <PlainButton key={as} onClick={() => accept(as)}>
                    {item.because === 'part-or-contact'
                      ? PART_OR_CONTACT_WORDS[as]
                      : `${LOOK_AGAIN_TEXT.itIs}${EXPLANATION_WORDS[as]}`}
                  </PlainButton>
                ))}
                {lookedEnough(map, settled.setting, item) && !item.left && (
                  <PlainButton look="quiet" onClick={() => accept('not-known')}>
                    {LOOK_AGAIN_TEXT.leaveItNotKnown}
                  </PlainButton>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </Notice>
  );
}

/** What lies across, declared on the spot: the reading is taken for it, and other readings can be explained by it. */
function DeclareHere({ ends, onDeclare }: { ends: string; onDeclare: (form: PartForm) => void }) {
  return (
    <Pick
      quiet
      label={LOOK_AGAIN_TEXT.declareWhatLiesAcross(ends)}
      value=""
      placeholder={LOOK_AGAIN_TEXT.declareWhatLiesThere}
      options={PART_FORMS.map((form) => ({ value: form, text: PART_WORDS[form] }))}
      onPick={(value) => {
        const form = PART_FORMS.find((one) => one === value);
        if (form) onDeclare(form);
      }}
    />
  );
}

/** What speaks for itself first; a part, a leak and a bad contact can always be said; a low reading is one of two. */
function acceptable(because: LookAgain['because'], proposals: readonly Proposal[]): Explanation[] {
  if (because === 'part-or-contact') return ['contact', 'part'];
  return [...new Set<Explanation>([...proposals.map(({ as }) => as), 'part', 'leak', 'contact'])];
}
