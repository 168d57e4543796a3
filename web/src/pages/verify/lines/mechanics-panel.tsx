import type { SwitchMap } from '@which-way/core/continuity';
import {
  MECHANICAL_SIGNS,
  type MechanicalNote,
  type MechanicalSign,
  mechanicalSignsOf,
  recordsOf,
} from '@which-way/core/log';
import type { PhotoId, TerminalId } from '@which-way/core/switch';
import { terminalName } from '@which-way/words/terminals';
import { MECHANICAL_WORDS } from '@which-way/words/judge/verdict';
import { useSession } from '../../../job/job-context.js';
import { Choice } from '../../../controls/fields/choice.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { SeenOfSwitch } from '../likely/seen-of-switch.js';
import { LineOfVerdict } from './line-of-verdict.js';
import { MECHANICS_PANEL_TEXT } from '@which-way/words/screens/pages/verify/lines/mechanics-panel';

/** What the hands and eyes say of the mechanics; all in order in one tap, what is at fault with its place and a photo. */
export function MechanicsPanel({ map }: { map: SwitchMap }) {
  const session = useSession();
  const signs = mechanicalSignsOf(map.log);
  const notes = recordsOf(map.log, 'mechanics-noted');
  const open = MECHANICAL_SIGNS.filter((sign) => !signs.has(sign));
  const say = (note: MechanicalNote) => session.emit({ kind: 'mechanics-noted', ...note });
  const whole = (sign: MechanicalSign, found: 'good' | 'at-fault') => {
    // Of the whole in order: then it is at no terminal either.
    if (found === 'good')
      for (const note of notes)
        if (note.sign === sign && note.terminal !== null) say({ ...note, found: null });
    say({ sign, found, terminal: null, photo: null });
  };
  return (
    <LineOfVerdict
      id="mechanics"
      map={map}
      act={RESULT_LINES_TEXT.lookAtIt}
      note={RESULT_LINES_TEXT.lookedAt(MECHANICAL_SIGNS.length - open.length, MECHANICAL_SIGNS.length)}
    >
      <SeenOfSwitch map={map} />
      {open.length > 1 && (
        <PlainButton onClick={() => open.forEach((sign) => whole(sign, 'good'))}>
          {MECHANICS_PANEL_TEXT.all}
          {open.length}
          {MECHANICS_PANEL_TEXT.inOrder}
        </PlainButton>
      )}
      <ul className="mt-2 grid gap-1">
        {MECHANICAL_SIGNS.map((sign) => (
          <li key={sign} className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <span className="grow">{MECHANICAL_WORDS[sign]}</span>
            <Choice
              label={MECHANICAL_WORDS[sign]}
              value={signs.get(sign) ?? null}
              options={[
                { value: 'good', text: 'Yes' },
                { value: 'at-fault', text: 'No' },
              ]}
              onChoose={(found) => whole(sign, found)}
            />
            {notes
              .filter((note) => note.sign === sign && note.found === 'at-fault')
              .map((note) => (
                <AtFault key={String(note.terminal)} map={map} note={note} onSay={say} />
              ))}
          </li>
        ))}
      </ul>
    </LineOfVerdict>
  );
}

interface AtFaultProps {
  map: SwitchMap;
  note: MechanicalNote;
  onSay: (note: MechanicalNote) => void;
}

/** Where something is at fault: the whole, or a terminal; and the photo that shows it. */
function AtFault({ map: { structure, log }, note, onSay }: AtFaultProps) {
  const photos = recordsOf(log, 'photo-taken');
  const sign = MECHANICAL_WORDS[note.sign];
  const move = (terminal: TerminalId | null) => {
    onSay({ ...note, found: null });
    onSay({ ...note, terminal });
  };
  return (
    <span className="flex basis-full flex-wrap items-center gap-2 pl-4">
      <Pick
        quiet
        label={MECHANICS_PANEL_TEXT.where(sign)}
        value={note.terminal ?? ''}
        options={[
          { value: '', text: 'the whole' },
          ...structure.terminals.map(({ id }) => ({ value: id, text: `at ${terminalName(structure, id)}` })),
        ]}
        onPick={(chosen) => move(structure.terminals.find(({ id }) => id === chosen)?.id ?? null)}
      />
      {photos.length > 0 && (
        <Pick
          quiet
          label={MECHANICS_PANEL_TEXT.photoOf(sign)}
          value={note.photo ?? ''}
          options={[
            { value: '', text: 'no photo' },
            ...photos.map(({ id, caption }, place) => ({ value: id, text: caption || `Photo ${place + 1}` })),
          ]}
          onPick={(chosen) => {
            const photo: PhotoId | null = photos.find(({ id }) => id === chosen)?.id ?? null;
            onSay({ ...note, photo });
          }}
        />
      )}
      {note.terminal !== null && (
        <PlainButton look="quiet" className="!px-2" onClick={() => onSay({ ...note, found: null })}>
          {MECHANICS_PANEL_TEXT.takeBack}
        </PlainButton>
      )}
    </span>
  );
}
