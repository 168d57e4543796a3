import { useState } from 'react';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { deedWords, wrongWords } from '@which-way/words/deeds';
import { STRANGE_WORDS, strangeWords } from '@which-way/words/kept';
import { saveText } from '../../controls/files/save-text.js';
import { useJobState, useSession } from '../job-context.js';
import { mendingOf, type SetAside } from '../outbox/set-aside.js';
import { saveAsFile } from './save-as-file.js';
import { ASIDE_PANEL_TEXT } from '@which-way/words/screens/job/panels/aside-panel';
import { TextInput } from '../../controls/fields/text-input.js';

/** What the server refused: read here, and mended or left out. The rest of the work goes on meanwhile. */
export function AsidePanel() {
  const aside = useJobState((state) => state.aside);
  const photos = useJobState((state) => state.photos);
  const refused = photos.filter((photo) => photo.refused !== null);
  if (aside.length + refused.length === 0) return null;
  const count = aside.length + refused.length;
  return (
    <div className="px-5 pt-3">
      <Notice
        look="brick"
        title={
          count === 1 ? ASIDE_PANEL_TEXT.aChangeWasNotSaved : ASIDE_PANEL_TEXT.changesWereNotSaved(count)
        }
      >
        <ul className="grid gap-3">
          {aside.map((item) => (
            <li key={item.id}>
              <AsideItem item={item} />
            </li>
          ))}
          {refused.map((photo) => (
            <li key={photo.id}>
              <RefusedPhoto id={photo.id} />
            </li>
          ))}
        </ul>
      </Notice>
    </div>
  );
}

function AsideItem({ item }: { item: SetAside }) {
  const session = useSession();
  const mending = mendingOf(item);
  const [typed, setTyped] = useState(mending.how === 'value' ? String(mending.value) : '');
  const { event, error, dependents } = item;
  const mend = () => session.mend(item, mending, typed);
  const tooLong =
    mending.how === 'value' && mending.most !== null && typeof mending.value === 'string'
      ? [...typed].length - mending.most
      : 0;
  return (
    <div className="grid gap-2">
      <p>
        <strong>
          {ASIDE_PANEL_TEXT.notSaved}
          {deedWords(event.what)}.
        </strong>{' '}
        {wrongWords(error)} {error.hint}
        {dependents.length > 0 && ASIDE_PANEL_TEXT.withItWaitMoreThat(dependents.length)}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        {mending.how === 'value' && (
          <label className="grow">
            <span className="text-small">
              {ASIDE_PANEL_TEXT.whatItShouldBe}
              {mending.most === null ? '' : ASIDE_PANEL_TEXT.atMost(mending.most)}
              {tooLong > 0 && ASIDE_PANEL_TEXT.tooMany(tooLong)}
            </span>
            <TextInput
              value={typed}
              onChange={(change) => setTyped(change.target.value)}
              className="mt-1 w-full"
            />
          </label>
        )}
        {mending.how === 'value' && (
          <PlainButton look="strong" disabled={tooLong > 0} onClick={mend}>
            {ASIDE_PANEL_TEXT.saveItMended}
          </PlainButton>
        )}
        {mending.how === 'first-of-list' && (
          <PlainButton look="strong" onClick={mend}>
            {ASIDE_PANEL_TEXT.keepTheFirst}
            {mending.most}
            {ASIDE_PANEL_TEXT.ofText}
            {mending.length}
          </PlainButton>
        )}
        {mending.how === 'again' && (
          <PlainButton look="strong" onClick={mend}>
            {ASIDE_PANEL_TEXT.makeItOnTheSwitch}
          </PlainButton>
        )}
        <PlainButton onClick={() => session.leaveOut(item)}>{ASIDE_PANEL_TEXT.leaveItOut}</PlainButton>
      </div>
    </div>
  );
}

function RefusedPhoto({ id }: { id: string }) {
  const session = useSession();
  const photo = useJobState((state) => state.photos.find((one) => one.id === id));
  if (!photo?.refused) return null;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <img
        src={photo.url}
        alt={ASIDE_PANEL_TEXT.thePhotoThatWasRefused}
        className="size-16 rounded-part object-cover"
      />
      <p className="grow">
        <strong>{ASIDE_PANEL_TEXT.notSavedAPhoto}</strong> {photo.refused.message} {photo.refused.hint}
      </p>
      <PlainButton onClick={() => session.sendPhotoAgain(photo.id)}>{ASIDE_PANEL_TEXT.tryAgain}</PlainButton>
      <a
        href={photo.url}
        download="photo"
        className="flex min-h-12 items-center rounded-part border-2 border-edge bg-sheet px-4 font-semibold"
      >
        {ASIDE_PANEL_TEXT.saveItAsAFile}
      </a>
      <PlainButton onClick={() => void session.photos.drop(photo.id)}>{ASIDE_PANEL_TEXT.dropIt}</PlainButton>
    </div>
  );
}

/** What this browser kept and this program cannot read: by name, to be saved or dropped. The rest of the job is open. */
export function StrangePanel() {
  const strange = useJobState((state) => state.strange);
  const session = useSession();
  if (strange.length === 0) return null;
  return (
    <div className="px-5 pt-3">
      <Notice look="amber" title={STRANGE_WORDS.title(strange.length)}>
        <p>{STRANGE_WORDS.about}</p>
        <ul className="mt-2 grid gap-2">
          {strange.map((one) => (
            <li key={`${one.store} ${one.id}`} className="flex flex-wrap items-center gap-3">
              <span className="grow">{strangeWords(one)}</span>
              <PlainButton
                onClick={() =>
                  saveText('which-way-unstrange.json', JSON.stringify(one.raw, null, 1), 'application/json')
                }
              >
                {STRANGE_WORDS.save}
              </PlainButton>
              <PlainButton onClick={() => session.strange.drop(one)}>{STRANGE_WORDS.remove}</PlainButton>
            </li>
          ))}
        </ul>
      </Notice>
    </div>
  );
}

/** What this browser had from the server once, and the server does not have any more. */
export function LostPanel() {
  const lost = useJobState((state) => state.lost);
  const session = useSession();
  if (lost.length === 0) return null;
  return (
    <div className="px-5 pt-3">
      <Notice
        look="amber"
        title={ASIDE_PANEL_TEXT.theServerHasLostOf(
          lost.length === 1 ? ASIDE_PANEL_TEXT.anEvent : ASIDE_PANEL_TEXT.events(lost.length),
        )}
      >
        <p>{ASIDE_PANEL_TEXT.anOlderDatabaseWasPut}</p>
        <div className="mt-2 flex flex-wrap gap-3">
          <PlainButton look="strong" onClick={() => session.settleLost(true)}>
            {ASIDE_PANEL_TEXT.putThemBack}
          </PlainButton>
          <PlainButton onClick={() => session.settleLost(false)}>{ASIDE_PANEL_TEXT.letThemGo}</PlainButton>
        </div>
      </Notice>
    </div>
  );
}

/** A job that is gone from the server, of which this browser still has something. */
export function DeletedJob() {
  const job = useJobState((state) => state.job);
  const events = useJobState((state) => state.events);
  if (!job || events.length === 0) return null;
  return (
    <p className="mt-2">
      {ASIDE_PANEL_TEXT.thisBrowserStillHas}
      {events.length}
      {ASIDE_PANEL_TEXT.eventsOfIt}{' '}
      <PlainButton onClick={() => saveAsFile(job, events)}>{ASIDE_PANEL_TEXT.saveThemAsAFile}</PlainButton>
    </p>
  );
}
