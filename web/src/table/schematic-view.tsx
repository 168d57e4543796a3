import type { SettingId } from '@which-way/core/switch';
import type { TruthTable } from '@which-way/core/table';
import { schematicPicture } from '@which-way/drawing/schematic';
import { schematicOf } from '@which-way/drawing/schematic-of';
import { settingName } from '@which-way/words/terminals';
import { calledIn } from '@which-way/words/called';
import { useState } from 'react';
import { useJobState } from '../job/job-context.js';
import { WholePicture } from '../shared/drawings/whole-picture.js';
import { Pick } from '../shared/controls/pick.js';

/** Contacts as a circuit diagram draws them, the arms as they stand in one setting. */
export function SchematicView({ table }: { table: TruthTable }) {
  const map = useJobState((state) => state.map);
  const [chosen, choose] = useState<SettingId | null>(table.settings[0] ?? null);
  if (table.poles.length === 0) return <p>No contact is known yet.</p>;
  const caption = chosen ? `The contacts, standing at ${settingName(map.structure, chosen)}` : 'The contacts';
  const picture = schematicPicture(schematicOf(map, chosen, calledIn(map.structure)), caption);
  return (
    <div>
      <div className="flex items-center gap-2">
        Standing at
        <Pick
          quiet
          label="Standing at"
          value={chosen ?? ''}
          options={table.settings.map((id) => ({ value: id, text: settingName(map.structure, id) }))}
          onPick={(id) => choose(table.settings.find((one) => one === id) ?? null)}
        />
      </div>
      <WholePicture picture={picture} caption={caption} className="max-h-[60dvh]" />
      {!map.complete && <p className="text-quiet">Only what is known so far is drawn.</p>}
    </div>
  );
}
