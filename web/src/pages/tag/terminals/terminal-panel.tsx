import { LOOK_WORDS, ROLE_ABOUT, ROLE_WORDS } from '@which-way/words/tag/terminal-roles';
import {
  inPattern,
  readLabels,
  TERMINAL_LOOKS,
  TERMINAL_ROLES,
  type LabelList,
  type Terminal,
} from '@which-way/core/switch';
import { looksOf } from '@which-way/core/log';
import { LABEL_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { Choice } from '../../../controls/fields/choice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { TERMINAL_PANEL_TEXT } from '@which-way/words/screens/pages/tag/terminals/terminal-panel';
import { TextInput } from '../../../controls/fields/text-input.js';
import { Field } from '../../../controls/fields/field.js';

/** One terminal: what it is called, what is stamped on it, and what it is. */
export function TerminalPanel({ terminal, onClose }: { terminal: Terminal; onClose: () => void }) {
  const { terminals } = useJobState((state) => state.map.structure);
  const session = useSession();
  const [label, setLabel] = useState(terminal.label);
  const [marking, setMarking] = useState(terminal.marking ?? '');
  const [message, setMessage] = useState('');
  const counting = terminals.filter(inPattern).length;
  const last = counting <= 2 && inPattern(terminal);
  const rename = () => {
    const wanted = label.trim();
    const taken = terminals.some(
      ({ id, label: other }) => id !== terminal.id && other.toLowerCase() === wanted.toLowerCase(),
    );
    if (wanted === '' || /[=\s]/.test(wanted)) return setMessage(TERMINAL_PANEL_TEXT.aLabelHasNoSpace);
    if (taken) return setMessage(TERMINAL_PANEL_TEXT.thereIsATerminalAlready(wanted));
    setMessage('');
    session.restructure({
      change: 'terminal-renamed',
      terminal: terminal.id,
      label: wanted,
      marking: marking.trim() === '' ? null : marking.trim(),
    });
  };
  return (
    <section
      aria-label={TERMINAL_PANEL_TEXT.terminal(terminal.label)}
      className="grid gap-3 rounded-part border-2 border-brass bg-sheet p-4"
    >
      <div className="flex items-center justify-between">
        <h2 className="font-mono text-large font-bold">{terminal.label}</h2>
        <PlainButton look="quiet" className="!px-2" onClick={onClose}>
          {TERMINAL_PANEL_TEXT.close}
        </PlainButton>
      </div>
      <form
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          rename();
        }}
      >
        <Field
          label={TERMINAL_PANEL_TEXT.youCallIt}
          value={label}
          maxLength={LABEL_LETTERS}
          onType={setLabel}
          mono
        />
        <Field
          label={TERMINAL_PANEL_TEXT.stampedOnIt}
          value={marking}
          maxLength={LABEL_LETTERS}
          placeholder={TERMINAL_PANEL_TEXT.nothing}
          onType={setMarking}
          mono
        />
        <PlainButton type="submit">{TERMINAL_PANEL_TEXT.keep}</PlainButton>
      </form>
      <Choice
        label={TERMINAL_PANEL_TEXT.whatItIs}
        value={terminal.role}
        options={TERMINAL_ROLES.map((value) => ({ value, text: ROLE_WORDS[value] }))}
        onChoose={(role) => {
          if (!inPattern({ role }) && last) return setMessage(TERMINAL_PANEL_TEXT.twoAtLeast);
          setMessage('');
          return session.restructure({ change: 'terminal-role', terminal: terminal.id, role });
        }}
      />
      {ROLE_ABOUT[terminal.role] && <p className="text-small text-quiet">{ROLE_ABOUT[terminal.role]}</p>}
      {inPattern(terminal) && <Looks terminal={terminal} />}
      <PlainButton
        className="justify-self-start"
        onClick={() => {
          if (last) return setMessage(TERMINAL_PANEL_TEXT.twoAtLeast);
          session.restructure({ change: 'terminal-retired', terminal: terminal.id });
          return onClose();
        }}
      >
        {TERMINAL_PANEL_TEXT.itIsNoTerminalRemove}
      </PlainButton>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
    </section>
  );
}

/** What it looks like: a hint at the common, which counts for nothing. */
function Looks({ terminal }: { terminal: Terminal }) {
  const log = useJobState(({ map }) => map.log);
  const session = useSession();
  const looks = looksOf(log).get(terminal.id) ?? [];
  return (
    <div className="grid gap-1">
      <p className="font-semibold">{TERMINAL_PANEL_TEXT.whatItLooksLike}</p>
      <div className="flex flex-wrap gap-1">
        {TERMINAL_LOOKS.map((look) => (
          <PlainButton
            key={look}
            className="!px-3"
            aria-pressed={looks.includes(look)}
            look={looks.includes(look) ? 'strong' : 'plain'}
            onClick={() =>
              session.emit({
                kind: 'terminal-looked',
                terminal: terminal.id,
                looks: looks.includes(look) ? looks.filter((one) => one !== look) : [...looks, look],
              })
            }
          >
            {LOOK_WORDS[look]}
          </PlainButton>
        ))}
      </div>
      {looks.length > 0 && (
        <p className="text-small text-quiet">{TERMINAL_PANEL_TEXT.perhapsTheCommonItIs}</p>
      )}
    </div>
  );
}

function labelTrouble(list: Extract<LabelList, { ok: false }>): string {
  switch (list.code) {
    case 'not-a-label':
      return TERMINAL_PANEL_TEXT.isNotALabelGive(list.at);
    case 'twice':
      return TERMINAL_PANEL_TEXT.isThereTwiceEachLabel(list.at);
    case 'run-backwards':
      return TERMINAL_PANEL_TEXT.runsBackwardsBeginWithThe(list.at);
    case 'too-many':
      return TERMINAL_PANEL_TEXT.isMoreThanTerminals(list.at);
  }
}

/** All labels at once, as they stand on the part: markings may skip numbers. */
export function RelabelForm({ terminals }: { terminals: readonly Terminal[] }) {
  const session = useSession();
  const [typed, setTyped] = useState('');
  const [message, setMessage] = useState('');
  const apply = () => {
    const read = readLabels(typed);
    if (!read.ok) return setMessage(labelTrouble(read));
    if (read.labels.length !== terminals.length)
      return setMessage(TERMINAL_PANEL_TEXT.thatIsLabelsForTerminals(read.labels.length, terminals.length));
    setMessage('');
    setTyped('');
    const labels = terminals.map(({ id }, index) => {
      const label = read.labels[index] ?? '';
      return { terminal: id, label, marking: label };
    });
    return session.restructure({ change: 'relabelled', labels });
  };
  return (
    <form
      className="grid gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        apply();
      }}
    >
      <label className="font-semibold" htmlFor="relabel">
        {TERMINAL_PANEL_TEXT.labelsAsTheyStandOn}
      </label>
      <div className="flex gap-2">
        <TextInput
          id="relabel"
          value={typed}
          placeholder="1-5, 7-11"
          onChange={({ target }) => setTyped(target.value)}
          mono
          className="mt-1 w-full"
        />
        <PlainButton type="submit" disabled={typed.trim() === ''}>
          {TERMINAL_PANEL_TEXT.relabel}
        </PlainButton>
      </div>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
    </form>
  );
}
