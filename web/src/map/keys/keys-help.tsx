import { CheckLine } from '../../shared/controls/check-line.js';
import { KEY_TABLE } from '@which-way/core/probing';
import { KEY_WORDS } from '@which-way/words/probing/keys';
import { useEffect, useState } from 'react';
import { DialogPanel } from '../../shared/controls/dialog-panel.js';
import { PlainButton } from '../../shared/controls/plain-button.js';
import { giveKey, handsFree, toggle, useHandsFree, type Action } from './hands-free.js';
import { canSpeak } from '../prompt/sounds.js';

/** What every key does on the Map; other keys and pedals learn by being pressed; sounds and speech. */
export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <DialogPanel open={open} onOpenChange={onOpenChange} title="Keys, pedals and sounds">
      <dl className="my-4 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {KEY_TABLE.map(({ shown, does }) => (
          <div key={shown} className="contents">
            <dt>
              <kbd className="rounded-part border-2 border-line px-2 font-mono font-bold whitespace-nowrap">
                {shown}
              </kbd>
            </dt>
            <dd>{KEY_WORDS[does]}</dd>
          </div>
        ))}
      </dl>
      <Learning />
      <Ears />
      <PlainButton look="strong" className="mt-4" onClick={() => onOpenChange(false)}>
        Close
      </PlainButton>
    </DialogPanel>
  );
}

const LEARNT: readonly [Action, string][] = [
  ['yes', 'It sounds; done'],
  ['no', 'None; open. Held down: undo'],
  ['undo', 'Undo'],
  ['redo', 'Redo'],
  ['skip', 'Skip'],
  ['sounds', 'Sounds on or off'],
  ['speech', 'Speech on or off'],
];

/** A pedal is a key to the computer: choose what it should do, then press it. */
function Learning() {
  const { keys } = useHandsFree();
  const [waiting, setWaiting] = useState<Action | null>(null);
  const [message, setMessage] = useState('');
  useEffect(() => {
    if (!waiting) return undefined;
    const onKey = (event: KeyboardEvent) => {
      event.preventDefault();
      event.stopPropagation();
      setMessage(event.key === 'Escape' ? '' : (giveKey(waiting, event.key) ?? ''));
      setWaiting(null);
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [waiting]);
  return (
    <section aria-label="Pedals and keys of your own" className="border-t border-line pt-3">
      <h3 className="font-bold">Pedals and keys of your own</h3>
      {LEARNT.map(([action, does]) => (
        <div key={action} className="flex min-h-12 items-center gap-3">
          <span className="grow">{does}</span>
          {keys[action] && (
            <kbd className="rounded-part border-2 border-line px-2 font-mono font-bold">{keys[action]}</kbd>
          )}
          <PlainButton
            aria-pressed={waiting === action}
            onClick={() => setWaiting(waiting === action ? null : action)}
          >
            {waiting === action ? 'Press it now' : 'Learn'}
          </PlainButton>
          {keys[action] && (
            <PlainButton
              aria-label={`Forget the key for: ${does}`}
              onClick={() => handsFree.setState({ keys: { ...keys, [action]: null } })}
            >
              Forget
            </PlainButton>
          )}
        </div>
      ))}
      {message && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
    </section>
  );
}

function Ears() {
  const { sounds, speech } = useHandsFree();
  return (
    <section aria-label="Sounds" className="mt-3 border-t border-line pt-3">
      <CheckLine checked={sounds} onChange={() => toggle('sounds')}>
        Sounds for joined, none, look again, contradiction and done
      </CheckLine>
      <CheckLine checked={speech} disabled={!canSpeak()} onChange={() => toggle('speech')}>
        {canSpeak() ? 'Say the next prompt, and what was answered' : 'This browser cannot speak'}
      </CheckLine>
    </section>
  );
}
