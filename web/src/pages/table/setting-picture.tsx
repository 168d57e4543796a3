import type { SettingId } from '@which-way/core/switch';
import type { TruthTable } from '@which-way/core/table';
import { strandOf } from '@which-way/drawing/strand';
import { settingName } from '@which-way/words/terminals';
import { useJobState } from '../../job/job-context.js';
import { linksOf } from '../../parts/drawings/links.js';
import { photoOfLayout } from '../../parts/photos/photo-url.js';
import { StrandSample } from '../../parts/drawings/strand-sample.js';
import { SwitchDrawing } from '../../parts/drawings/switch-drawing.js';
import { SIDE_WORDS, useViewSide } from '../../parts/drawings/view-side.js';
import type { Inspected } from '../../parts/facts/inspector.js';

interface SettingPictureProps {
  setting: SettingId;
  index: number;
  table: TruthTable;
  onPick: (about: Inspected) => void;
}

/** The switch with its joins in one setting, under its name. */
export function SettingPicture({ setting, index, table, onPick }: SettingPictureProps) {
  const map = useJobState((state) => state.map);
  const links = linksOf(map, setting, onPick).filter(({ faint }) => !faint);
  const name = settingName(map.structure, setting);
  const { side } = useViewSide();
  const free = new Set(table.complete ? table.joinsNothing : []);
  return (
    <li>
      <h2 className="flex items-center justify-center gap-3 font-bold">
        <StrandSample strand={strandOf(index)} />
        {name}
      </h2>
      <SwitchDrawing
        {...map.structure}
        side={side}
        photo={photoOfLayout(map)}
        links={links}
        roleOf={(id) => (free.has(id) ? 'free' : 'plain')}
        caption={`${name}. ${SIDE_WORDS[side]}`}
      />
    </li>
  );
}
