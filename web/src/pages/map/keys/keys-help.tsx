import { CheckLine } from '../../../controls/fields/check-line.js';
import { KEY_TABLE } from '@which-way/core/probing';
import { KEY_WORDS } from '@which-way/words/probing/keys';
import { useState } from 'react';
import { DialogPanel } from '../../../controls/dialog-panel.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { giveKey, handsFree, toggle, useHandsFree, type Action } from '../../../parts/hands/hands-free.js';
import { canSpeak } from '../../../parts/hands/sounds.js';
import { useAnyKey } from '../../../controls/keys/use-keys.js';
import { KEYS_HELP_TEXT } from '@which-way/words/screens/pages/map/keys/keys-help';

/** What every key does on the Map; other keys and pedals learn by being pressed; sounds and speech. */
export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <DialogPanel open={open} onOpenChange={onOpenChange} title={KEYS_HELP_TEXT.keysPedalsAndSounds}>
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
        {KEYS_HELP_TEXT.close}
      </PlainButton>
    </DialogPanel>
  );
}

const LEARNT: readonly [Action, string][] = [
  ['yes', KEYS_HELP_TEXT.itSoundsDone],
  ['no', KEYS_HELP_TEXT.noneOpenHeldDownUndo],
  ['undo', 'Undo'],
  ['redo', 'Redo'],
  ['skip', 'Skip'],
  ['sounds', KEYS_HELP_TEXT.soundsOnOrOff],
  ['speech', KEYS_HELP_TEXT.speechOnOrOff],
];

/** A pedal is a key to the computer: choose what it should do, then press it. */
function Learning() {
  const { keys } = useHandsFree();
  const [waiting, setWaiting] = useState<Action | null>(null);
  const [message, setMessage] = useState('');
  const learn = (event: KeyboardEvent) => {
    if (!waiting) return false;
    event.stopPropagation();
    setMessage(event.key === 'Escape' ? '' : (giveKey(waiting, event.key) ?? ''));
    setWaiting(null);
    return true;
  };
  useAnyKey(learn, { capture: true, owned: () => false });
  return (
    <section aria-label={KEYS_HELP_TEXT.pedalsAndKeysOfYour} className="border-t border-line pt-3">
      <h3 className="font-bold">{KEYS_HELP_TEXT.pedalsAndKeysOfYour}</h3>
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
            {waiting === action ? KEYS_HELP_TEXT.pressItNow : KEYS_HELP_TEXT.learn}
          </PlainButton>
          {keys[action] && (
            <PlainButton
              aria-label={KEYS_HELP_TEXT.forgetTheKeyFor(does)}
              onClick={() => handsFree.setState({ keys: { ...keys, [action]: null } })}
            >
              {KEYS_HELP_TEXT.forget}
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
    <section aria-label={KEYS_HELP_TEXT.sounds} className="mt-3 border-t border-line pt-3">
      <CheckLine checked={sounds} onChange={() => toggle('sounds')}>
        {KEYS_HELP_TEXT.soundsForJoinedNoneLook}
      </CheckLine>
      <CheckLine checked={speech} disabled={!canSpeak()} onChange={() => toggle('speech')}>
        {canSpeak() ? KEYS_HELP_TEXT.sayTheNextPromptAnd : KEYS_HELP_TEXT.thisBrowserCannotSpeak}
      </CheckLine>
    </section>
  );
}
