import { RadioLines } from '../../../controls/fields/radio-lines.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PLAIN_LAYOUTS } from '@which-way/core/switch';
import { LABEL_LETTERS } from '@which-way/core/schema';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { PopoverPanel } from '../../../controls/popover-panel.js';
import { LAYOUT_WORDS } from '@which-way/words/tag/layouts';
import { ApproachPanel } from './approach-panel.js';
import { CaseChips } from '../../../parts/identity/case-chips.js';
import { SideSwitch } from '../../../parts/drawings/side-switch.js';
import { WorkedOn } from './worked-on.js';
import { WafersApart } from './wafers-apart.js';
import type { Probing } from '../probing/use-probing.js';
import { MAP_TOOLS_TEXT } from '@which-way/words/screens/pages/map/panels/map-tools';
import { TextInput } from '../../../controls/fields/text-input.js';

/** What is needed now and then: how it sounds or reads, another pair, one more lug, the layout. */
export function MapTools({
  probing,
  onHelp,
  approach,
}: {
  probing: Probing;
  onHelp: () => void;
  approach: { open: boolean; onOpenChange: (open: boolean) => void };
}) {
  const { map, act } = probing;
  const { sense, picking } = probing.hands;
  const session = useSession();
  return (
    <div className="flex flex-wrap items-center justify-end gap-1 px-2 py-2 [&>button]:px-2.5">
      <div role="group" aria-label={MAP_TOOLS_TEXT.howItIsRead} className="flex">
        {(['tone', 'ohms'] as const).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={sense === one}
            onClick={() => act({ do: 'sense', sense: one })}
            className={`min-h-12 border-2 px-3 font-semibold first:rounded-l-part last:-ml-0.5 last:rounded-r-part ${
              sense === one ? 'z-10 border-ink bg-ink text-sheet' : 'border-edge bg-sheet'
            }`}
          >
            {one === 'tone' ? MAP_TOOLS_TEXT.tone : MAP_TOOLS_TEXT.ohms}
          </button>
        ))}
      </div>
      <ApproachPanel probing={probing} {...approach} />
      <PlainButton className="px-3" aria-pressed={picking} onClick={() => act({ do: 'pick-pair' })}>
        {MAP_TOOLS_TEXT.anotherPair}
      </PlainButton>
      {/* On a phone what lies under the drawing would lie under the prompt. */}
      <div className="grow basis-0 leading-tight sm:hidden">
        <SideSwitch />
      </div>
      <Popover.Root>
        <Popover.Trigger asChild>
          <PlainButton className="px-3">{MAP_TOOLS_TEXT.theSwitch}</PlainButton>
        </Popover.Trigger>
        <PopoverPanel label={MAP_TOOLS_TEXT.theSwitch} align="end" className="w-80 p-4">
          <WorkedOn />
          <RadioLines
            label={MAP_TOOLS_TEXT.howTheTerminalsLie}
            value={PLAIN_LAYOUTS.find((layout) => layout === map.structure.layout.kind) ?? null}
            options={PLAIN_LAYOUTS.map((layout) => ({ value: layout, text: LAYOUT_WORDS[layout] }))}
            onChoose={(layout) => session.restructure({ change: 'laid-out', layout: { kind: layout } })}
          />
          <Link to="../tag" relative="path" className="block py-1 underline">
            {MAP_TOOLS_TEXT.wafersAConnectorAPhoto}
          </Link>
          <PlainButton className="my-2 w-full" onClick={() => act({ do: 'add-lug' })}>
            {MAP_TOOLS_TEXT.oneMoreLug}
            <kbd className="ml-2 font-mono text-small text-quiet">+</kbd>
          </PlainButton>
          <CaseChips />
          <WafersApart probing={probing} />
          <Renaming probing={probing} />
        </PopoverPanel>
      </Popover.Root>
      <PlainButton className="min-w-11 px-3" aria-label={MAP_TOOLS_TEXT.keys} onClick={onHelp}>
        ?
      </PlainButton>
    </div>
  );
}

function Renaming({ probing: { map } }: { probing: Probing }) {
  const session = useSession();
  const [id, setId] = useState('');
  const [label, setLabel] = useState('');
  const [message, setMessage] = useState('');
  const { terminals } = map.structure;
  const rename = () => {
    const terminal = terminals.find((one) => one.id === id);
    const wanted = label.trim();
    if (!terminal) return setMessage(MAP_TOOLS_TEXT.chooseATerminalFirst);
    if (wanted === '' || /[=\s]/.test(wanted)) return setMessage(MAP_TOOLS_TEXT.aLabelHasNoSpace);
    if (terminals.some((one) => one.id !== id && one.label.toLowerCase() === wanted.toLowerCase())) {
      return setMessage(MAP_TOOLS_TEXT.thereIsATerminalAlready(wanted));
    }
    setMessage('');
    setLabel('');
    session.restructure({
      change: 'terminal-renamed',
      terminal: terminal.id,
      label: wanted,
      marking: terminal.marking,
    });
  };
  return (
    <form
      className="border-t border-line pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        rename();
      }}
    >
      <p className="font-bold">{MAP_TOOLS_TEXT.callATerminalSomethingElse}</p>
      <div className="mt-1 flex gap-2">
        <Pick
          quiet
          label={MAP_TOOLS_TEXT.terminal}
          value={id}
          placeholder={MAP_TOOLS_TEXT.which}
          options={terminals.map((terminal) => ({ value: terminal.id, text: terminal.label }))}
          onPick={setId}
        />
        <TextInput
          aria-label={MAP_TOOLS_TEXT.newLabel}
          value={label}
          maxLength={LABEL_LETTERS}
          onChange={(event) => setLabel(event.target.value)}
          mono
          className="w-full"
        />
        <PlainButton type="submit">{MAP_TOOLS_TEXT.rename}</PlainButton>
      </div>
      <PlainButton
        className="mt-2 w-full"
        onClick={() => {
          const terminal = terminals.find((one) => one.id === id);
          if (!terminal) return setMessage(MAP_TOOLS_TEXT.chooseTerminal);
          if (terminals.length <= 2) return setMessage(MAP_TOOLS_TEXT.twoAtLeast);
          setMessage(MAP_TOOLS_TEXT.removed(terminal.label));
          setId('');
          session.restructure({ change: 'terminal-retired', terminal: terminal.id });
        }}
      >
        {MAP_TOOLS_TEXT.itIsNoTerminalRemove}
      </PlainButton>
      {message && (
        <p role="status" className="mt-1 text-brick">
          {message}
        </p>
      )}
    </form>
  );
}
