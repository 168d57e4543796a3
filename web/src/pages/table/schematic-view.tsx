import type { SettingId } from '@which-way/core/switch';
import type { TruthTable } from '@which-way/core/table';
import { schematicPicture } from '@which-way/drawing/schematic';
import { schematicOf } from '@which-way/drawing/schematic-of';
import { settingName } from '@which-way/words/terminals';
import { calledIn } from '@which-way/words/called';
import { useState } from 'react';
import { useJobState } from '../../job/job-context.js';
import { WholePicture } from '../../parts/drawings/whole-picture.js';
import { Pick } from '../../controls/fields/pick.js';
import { SCHEMATIC_VIEW_TEXT } from '@which-way/words/screens/pages/table/schematic-view';

/** Contacts as a circuit diagram draws them, the arms as they stand in one setting. */
export function SchematicView({ table }: { table: TruthTable }) {
  const map = useJobState((state) => state.map);
  const [chosen, choose] = useState<SettingId | null>(table.settings[0] ?? null);
  if (table.poles.length === 0) return <p>{SCHEMATIC_VIEW_TEXT.noContactIsKnownYet}</p>;
  const caption = chosen
    ? SCHEMATIC_VIEW_TEXT.theContactsStandingAt(settingName(map.structure, chosen))
    : SCHEMATIC_VIEW_TEXT.theContacts;
  const schematic = schematicOf(map, chosen, calledIn(map.structure));
  return (
    <div>
      <div className="flex items-center gap-2">
        {SCHEMATIC_VIEW_TEXT.standingAt}
        <Pick
          quiet
          label={SCHEMATIC_VIEW_TEXT.standingAt}
          value={chosen ?? ''}
          options={table.settings.map((id) => ({ value: id, text: settingName(map.structure, id) }))}
          onPick={(id) => choose(table.settings.find((one) => one === id) ?? null)}
        />
      </div>
      <WholePicture
        draw={({ least }) => schematicPicture(schematic, caption, least)}
        caption={caption}
        className="max-h-[60dvh]"
      />
      {!map.complete && <p className="text-quiet">{SCHEMATIC_VIEW_TEXT.onlyWhatIsKnownSo}</p>}
    </div>
  );
}
