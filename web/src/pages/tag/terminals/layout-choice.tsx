import { PLAIN_LAYOUTS, type Layout } from '@which-way/core/switch';
import { type Photo } from '@which-way/core/log';
import { useState } from 'react';
import { useJobState, useSession } from '../../../job/job-context.js';
import { PhotoAdder } from '../../../parts/photos/photo-adder.js';
import { thumbUrl } from '../../../parts/photos/photo-url.js';
import { usePhotos } from '../../../parts/photos/use-photos.js';
import { Choice } from '../../../controls/fields/choice.js';
import { LAYOUT_WORDS } from '@which-way/words/tag/layouts';
import { LAYOUT_CHOICE_TEXT } from '@which-way/words/screens/pages/tag/terminals/layout-choice';
import { Field } from '../../../controls/fields/field.js';
import { ResultLine } from '../../../controls/result-line.js';

type Kind = Layout['kind'];

const KINDS: { value: Kind; text: string }[] = [
  ...PLAIN_LAYOUTS.map((value) => ({ value, text: LAYOUT_WORDS[value] })),
  { value: 'wafers', text: 'Wafers' },
  { value: 'grid', text: 'Connector' },
  { value: 'photo', text: LAYOUT_CHOICE_TEXT.onAPhoto },
];

/** How the terminals lie on the part. Changing it moves nothing but the drawing. */
export function LayoutChoice() {
  const layout = useJobState((state) => state.map.structure.layout);
  const session = useSession();
  const lay = (next: Layout) => session.restructure({ change: 'laid-out', layout: next });
  const [onPhoto, setOnPhoto] = useState(layout.kind === 'photo');
  const choose = (kind: Kind) => {
    setOnPhoto(kind === 'photo');
    if (kind === layout.kind || kind === 'photo') return;
    if (kind === 'wafers') lay({ kind, decks: 1, places: 12 });
    else if (kind === 'grid') lay({ kind, rows: 2, columns: 4 });
    else lay({ kind });
  };
  return (
    <ResultLine
      group="terminals"
      name={LAYOUT_CHOICE_TEXT.layout}
      result={KINDS.find(({ value }) => value === layout.kind)?.text ?? ''}
      act={LAYOUT_CHOICE_TEXT.edit}
    >
      <Choice
        label={LAYOUT_CHOICE_TEXT.howTheTerminalsLie}
        value={onPhoto ? 'photo' : layout.kind}
        options={KINDS}
        onChoose={choose}
      />
      {!onPhoto && layout.kind === 'wafers' && (
        <div className="flex flex-wrap gap-4">
          <Count
            label={LAYOUT_CHOICE_TEXT.decks}
            value={layout.decks}
            least={1}
            most={12}
            onChange={(decks) => lay({ ...layout, decks })}
          />
          <Count
            label={LAYOUT_CHOICE_TEXT.clockPlaces}
            value={layout.places}
            least={2}
            most={48}
            onChange={(places) => lay({ ...layout, places })}
          />
          <p className="basis-full text-small text-quiet">{LAYOUT_CHOICE_TEXT.deckIsNearestTheHandle}</p>
        </div>
      )}
      {!onPhoto && layout.kind === 'grid' && (
        <div className="flex flex-wrap gap-4">
          <Count
            label={LAYOUT_CHOICE_TEXT.rows}
            value={layout.rows}
            least={1}
            most={24}
            onChange={(rows) => lay({ ...layout, rows })}
          />
          <Count
            label={LAYOUT_CHOICE_TEXT.columns}
            value={layout.columns}
            least={1}
            most={48}
            onChange={(columns) => lay({ ...layout, columns })}
          />
        </div>
      )}
      {onPhoto && (
        <OnPhoto
          layout={layout.kind === 'photo' ? layout : null}
          onChoose={(photo) =>
            lay({ kind: 'photo', photo: photo.id, side: layout.kind === 'photo' ? layout.side : 'terminal' })
          }
          onSide={(side) => layout.kind === 'photo' && lay({ ...layout, side })}
        />
      )}
    </ResultLine>
  );
}

interface CountProps {
  label: string;
  value: number;
  least: number;
  most: number;
  onChange: (value: number) => void;
}

function Count({ label, value, least, most, onChange }: CountProps) {
  return (
    <Field
      label={<strong>{label}</strong>}
      box="w-24"
      type="number"
      min={least}
      max={most}
      value={value}
      onType={(text) => {
        const next = Math.round(Number(text));
        if (next >= least && next <= most && next !== value) onChange(next);
      }}
      mono
    />
  );
}

interface OnPhotoProps {
  layout: Extract<Layout, { kind: 'photo' }> | null;
  onChoose: (photo: Photo) => void;
  onSide: (side: 'terminal' | 'front') => void;
}

function OnPhoto({ layout, onChoose, onSide }: OnPhotoProps) {
  const { photos } = usePhotos();
  return (
    <div className="grid gap-3">
      <PhotoAdder purpose="layout" />
      {photos.length === 0 ? (
        <p className="text-quiet">{LAYOUT_CHOICE_TEXT.addAPhotoOfThe}</p>
      ) : (
        <ul className="flex flex-wrap gap-2" aria-label={LAYOUT_CHOICE_TEXT.photoToLayThemOn}>
          {photos.map((photo, index) => (
            <li key={photo.id}>
              <button
                type="button"
                aria-pressed={photo.id === layout?.photo}
                aria-label={LAYOUT_CHOICE_TEXT.layThemOnPhoto(index + 1)}
                onClick={() => onChoose(photo)}
                className={`rounded-part border-4 ${photo.id === layout?.photo ? 'border-brass' : 'border-transparent hover:border-line'}`}
              >
                <img
                  src={thumbUrl(photo.id)}
                  alt=""
                  className="h-16 w-24 rounded-part bg-sheet object-cover"
                />
              </button>
            </li>
          ))}
        </ul>
      )}
      {layout && (
        <Choice
          label={LAYOUT_CHOICE_TEXT.thePhotoShows}
          shown
          value={layout.side}
          options={[
            { value: 'terminal', text: 'the terminal side' },
            { value: 'front', text: 'the front' },
          ]}
          onChoose={onSide}
        />
      )}
    </div>
  );
}
