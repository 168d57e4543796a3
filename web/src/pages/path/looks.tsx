import { signsOf, type SupplyPath } from '@which-way/core/path';
import { type PathLink, type PathLook, recordsOf, type Sign } from '@which-way/core/log';
import type { PhotoId } from '@which-way/core/switch';
import { SIGN_WORDS } from '@which-way/words/before/path';
import { useJobState, useSession } from '../../job/job-context.js';
import { Choice } from '../../controls/fields/choice.js';
import { Pick } from '../../controls/fields/pick.js';
import { PlainButton } from '../../controls/plain-button.js';
import { LOOKS_TEXT } from '@which-way/words/screens/pages/path/looks';

interface LooksProps {
  link: PathLink;
  path: SupplyPath;
  /** Signs to ask for; all that such a link can show where it is left out. */
  signs?: readonly Sign[];
}

/** What to look for on a link, sign by sign; all that is good in one tap. */
export function Looks({ link, path, signs = signsOf(link.kind) }: LooksProps) {
  const session = useSession();
  const log = useJobState(({ map }) => map.log);
  const photos = recordsOf(log, 'photo-taken');
  const seen = (sign: Sign) => path.looks.find((look) => look.link === link.id && look.sign === sign);
  const say = (sign: Sign, change: Partial<PathLook>) => {
    const before = seen(sign) ?? { link: link.id, sign, found: null, photo: null };
    session.emit({ kind: 'path-looked', look: { ...before, ...change } });
  };
  const open = signs.filter((sign) => !seen(sign));
  return (
    <div className="grid gap-2">
      {open.length > 1 && (
        <PlainButton
          look="strong"
          className="min-h-14 justify-self-start text-large"
          onClick={() => open.forEach((sign) => say(sign, { found: 'good' }))}
        >
          {LOOKS_TEXT.all}
          {open.length}
          {LOOKS_TEXT.areGood}
        </PlainButton>
      )}
      <ul className="grid gap-1" aria-label={LOOKS_TEXT.whatToLookFor}>
        {signs.map((sign) => {
          const look = seen(sign);
          return (
            <li key={sign} className="flex flex-wrap items-center gap-x-3 gap-y-1">
              <span className="grow sm:min-w-52">{SIGN_WORDS[sign].look}</span>
              <Choice
                label={SIGN_WORDS[sign].look}
                value={look?.found ?? null}
                options={[
                  { value: 'good', text: 'Good' },
                  { value: 'at-fault', text: SIGN_WORDS[sign].fault },
                ]}
                onChoose={(found) => say(sign, { found })}
              />
              {look && (
                <>
                  {photos.length > 0 && (
                    <Pick
                      quiet
                      label={LOOKS_TEXT.photoOf(SIGN_WORDS[sign].look)}
                      value={look.photo ?? ''}
                      options={[
                        { value: '', text: 'no photo' },
                        ...photos.map(({ id, caption }, place) => ({
                          value: id,
                          text: caption || `Photo ${place + 1}`,
                        })),
                      ]}
                      onPick={(id) => say(sign, { photo: id === '' ? null : (id as PhotoId) })}
                    />
                  )}
                  <PlainButton look="quiet" className="!px-2" onClick={() => say(sign, { found: null })}>
                    {LOOKS_TEXT.takeBack}
                  </PlainButton>
                </>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
