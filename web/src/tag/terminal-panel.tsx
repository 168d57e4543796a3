import {
  readLabels,
  TERMINAL_ROLES,
  type LabelList,
  type Terminal,
  type TerminalRole,
} from '@which-way/core/switch';
import { LABEL_LETTERS } from '@which-way/core/schema';
import { useState } from 'react';
import { useJobState, useSession } from '../job/job-context.js';
import { Choice } from '../shared/controls/choice.js';
import { PlainButton } from '../shared/controls/plain-button.js';

const ROLE_WORDS: Record<TerminalRole, string> = { contact: 'Terminal', dummy: 'Dummy lug', frame: 'FRAME' };

const INPUT = 'mt-1 min-h-12 w-full min-w-0 rounded-part border-2 border-line bg-sheet px-3 font-mono';

/** One terminal: what it is called, what is stamped on it, and what it is. */
export function TerminalPanel({ terminal, onClose }: { terminal: Terminal; onClose: () => void }) {
  const { terminals } = useJobState((state) => state.map.structure);
  const session = useSession();
  const [label, setLabel] = useState(terminal.label);
  const [marking, setMarking] = useState(terminal.marking ?? '');
  const [message, setMessage] = useState('');
  const counting = terminals.filter(({ role }) => role !== 'frame').length;
  const last = counting <= 2 && terminal.role !== 'frame';
  const rename = () => {
    const wanted = label.trim();
    const taken = terminals.some(
      ({ id, label: other }) => id !== terminal.id && other.toLowerCase() === wanted.toLowerCase(),
    );
    if (wanted === '' || /[=\s]/.test(wanted))
      return setMessage('A label has no space and no = in it, and is not empty.');
    if (taken) return setMessage(`There is a terminal ${wanted} already.`);
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
      aria-label={`Terminal ${terminal.label}`}
      className="grid gap-3 rounded-part border-2 border-brass bg-sheet p-4"
    >
      <div className="flex items-center justify-between">
        <h2 className="font-mono text-large font-bold">{terminal.label}</h2>
        <PlainButton look="quiet" className="!px-2" onClick={onClose}>
          Close
        </PlainButton>
      </div>
      <form
        className="grid grid-cols-[1fr_1fr_auto] items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          rename();
        }}
      >
        <label>
          You call it
          <input
            value={label}
            maxLength={LABEL_LETTERS}
            onChange={({ target }) => setLabel(target.value)}
            className={INPUT}
          />
        </label>
        <label>
          Stamped on it
          <input
            value={marking}
            maxLength={LABEL_LETTERS}
            placeholder="nothing"
            onChange={({ target }) => setMarking(target.value)}
            className={`${INPUT} placeholder:text-quiet`}
          />
        </label>
        <PlainButton type="submit">Keep</PlainButton>
      </form>
      <Choice
        label="What it is"
        value={terminal.role}
        options={TERMINAL_ROLES.map((value) => ({ value, text: ROLE_WORDS[value] }))}
        onChoose={(role) => {
          if (role === 'frame' && last) return setMessage('A switch needs two terminals at least.');
          setMessage('');
          return session.restructure({ change: 'terminal-role', terminal: terminal.id, role });
        }}
      />
      {terminal.role === 'dummy' && (
        <p className="text-small text-quiet">
          Said to have no contact behind it. It is probed all the same; two wires on it may rely on it as a
          splice.
        </p>
      )}
      <PlainButton
        className="justify-self-start"
        onClick={() => {
          if (last) return setMessage('A switch needs two terminals at least.');
          session.restructure({ change: 'terminal-retired', terminal: terminal.id });
          return onClose();
        }}
      >
        It is no terminal: remove it
      </PlainButton>
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
    </section>
  );
}

function labelTrouble(list: Extract<LabelList, { ok: false }>): string {
  switch (list.code) {
    case 'not-a-label':
      return `“${list.at}” is not a label. Give runs such as 1-5, and single labels.`;
    case 'twice':
      return `“${list.at}” is there twice. Each label is used once.`;
    case 'run-backwards':
      return `“${list.at}” runs backwards. Begin with the lower number.`;
    case 'too-many':
      return `“${list.at}” is more than 96 terminals.`;
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
      return setMessage(`That is ${read.labels.length} labels for ${terminals.length} terminals.`);
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
        Labels as they stand on the part, in order
      </label>
      <div className="flex gap-2">
        <input
          id="relabel"
          value={typed}
          placeholder="1-5, 7-11"
          onChange={({ target }) => setTyped(target.value)}
          className={`${INPUT} placeholder:text-quiet`}
        />
        <PlainButton type="submit" disabled={typed.trim() === ''}>
          Relabel
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
