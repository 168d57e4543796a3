import { type Marking, type PhotoBox, recordsOf } from '@which-way/core/log';
import { type MarkingId, type PhotoId } from '@which-way/core/switch';
import { useMemo, useState } from 'react';
import { useJobState, useSession } from '../../job/job-context.js';
import { newId } from '../../job/new-id.js';
import { Loupe } from '../../parts/photos/loupe.js';
import { PhotoAdder } from '../../parts/photos/photo-adder.js';
import { PhotoStrip } from '../../parts/photos/photo-strip.js';
import { usePhotos } from '../../parts/photos/use-photos.js';
import { PlainButton } from '../../controls/plain-button.js';
import { PartIdentity } from './part-identity.js';
import { MarkingCard } from './marking-card.js';
import { MARKINGS_PAGE_TEXT } from '@which-way/words/screens/pages/intake/markings-page';

/** Markings: found on a photo under the loupe, transcribed beside it, and decoded. */
export function MarkingsPage() {
  const log = useJobState((state) => state.map.log);
  const session = useSession();
  const { photos } = usePhotos();
  const markings = useMemo(() => recordsOf(log, 'transcribed'), [log]);
  const [picked, setPicked] = useState<PhotoId | null>(null);
  const [fresh, setFresh] = useState<Marking | null>(null);
  const photo =
    photos.find(({ id }) => id === picked) ??
    photos.findLast(({ purpose }) => purpose === 'marking') ??
    photos[0];
  const shown = fresh && !markings.some(({ id }) => id === fresh.id) ? [...markings, fresh] : markings;
  const keep = (marking: Marking) => {
    setFresh(null);
    session.emit({ kind: 'transcribed', marking });
  };
  const boxed = (box: PhotoBox) => keep({ id: newId<MarkingId>(), runs: [], box });
  return (
    <main className="grid grow content-start gap-x-8 gap-y-6 p-4 sm:p-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <h1 className="sr-only">{MARKINGS_PAGE_TEXT.markings}</h1>
      <section aria-label={MARKINGS_PAGE_TEXT.photosOfMarkings} className="min-w-0">
        <div className="mb-2 flex flex-wrap items-center gap-3">
          <PhotoStrip picked={photo?.id ?? null} onPick={({ id }) => setPicked(id)} />
          <PhotoAdder purpose="marking" />
        </div>
        {photo ? (
          <Loupe
            key={photo.id}
            photo={photo.id}
            caption={photo.caption || MARKINGS_PAGE_TEXT.photoOfTheSwitch}
            onBox={boxed}
            boxes={markings.flatMap(({ id, runs, box }) =>
              box?.photo === photo.id
                ? [
                    {
                      key: id,
                      box,
                      label: runs.map(({ text }) => text).join('') || MARKINGS_PAGE_TEXT.notReadYet,
                      onPick: () => document.getElementById(`marking-${id}`)?.focus(),
                    },
                  ]
                : [],
            )}
          />
        ) : (
          <p className="mt-3 text-quiet">{MARKINGS_PAGE_TEXT.photographTheStampedSideClose}</p>
        )}
      </section>
      <section aria-label={MARKINGS_PAGE_TEXT.markings} className="min-w-0">
        <PartIdentity />
        <p className="text-quiet">{MARKINGS_PAGE_TEXT.typeWhatIsStampedAs}</p>
        <ul className="mt-4 grid gap-5">
          {shown.map((marking) => (
            <MarkingCard
              key={marking.id}
              marking={marking}
              photo={photos.find(({ id }) => id === marking.box?.photo) ?? null}
              onChange={(changed) => {
                if (changed.runs.length > 0 || changed.box || marking.runs.length > 0 || marking.box)
                  keep(changed);
                else setFresh(null);
              }}
            />
          ))}
        </ul>
        <PlainButton
          className="mt-4"
          disabled={fresh !== null}
          onClick={() => setFresh({ id: newId<MarkingId>(), runs: [], box: null })}
        >
          {shown.length === 0 ? MARKINGS_PAGE_TEXT.readAMarking : MARKINGS_PAGE_TEXT.oneMoreMarking}
        </PlainButton>
      </section>
    </main>
  );
}
