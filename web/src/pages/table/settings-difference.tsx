import type { SettingId } from '@which-way/core/switch';
import { compareSettings, type TruthTable } from '@which-way/core/table';
import { strandOf } from '@which-way/drawing/strand';
import { settingsComparedWords } from '@which-way/words/table/compared-settings';
import { settingName } from '@which-way/words/terminals';
import { useState } from 'react';
import { useJobState } from '../../job/job-context.js';
import { linksOf } from '../../parts/drawings/links.js';
import { photoOfLayout } from '../../parts/photos/photo-url.js';
import { Pick } from '../../controls/fields/pick.js';
import { StrandSample } from '../../parts/drawings/strand-sample.js';
import { SwitchDrawing } from '../../parts/drawings/switch-drawing.js';
import { useViewSide } from '../../parts/drawings/view-side.js';
import type { Inspected } from '../../parts/facts/inspector.js';
import { SETTINGS_DIFFERENCE_TEXT } from '@which-way/words/screens/pages/table/settings-difference';

interface SettingsDifferenceProps {
  table: TruthTable;
  onPick: (about: Inspected) => void;
}

/** Two settings on one picture: what opens and what closes from one to the other, each with its strand. */
export function SettingsDifference({ table, onPick }: SettingsDifferenceProps) {
  const map = useJobState((state) => state.map);
  const { side } = useViewSide();
  const [chosen, choose] = useState<[number, number]>([0, 1]);
  const [from, to] = chosen.map((at) => table.settings[at]) as [SettingId | undefined, SettingId | undefined];
  if (!from || !to) return <p>{SETTINGS_DIFFERENCE_TEXT.thereIsOnlyOneSetting}</p>;
  const words = settingsComparedWords(map.structure, from, to, compareSettings(map, from, to));
  const options = table.settings.map((id, at) => ({
    value: String(at),
    text: settingName(map.structure, id),
  }));
  const ends = ({ from: one, to: other }: { from: string; to: string }) => [one, other].toSorted().join();
  const links = [from, to].map((id) => linksOf(map, id, onPick).filter(({ faint }) => !faint));
  const [here = [], there = []] = links;
  const both = new Set(here.map(ends).filter((key) => there.some((link) => ends(link) === key)));
  return (
    <div>
      <div className="flex flex-wrap items-center gap-2">
        {SETTINGS_DIFFERENCE_TEXT.from}
        <StrandSample strand={strandOf(chosen[0])} />
        <Pick
          quiet
          label={SETTINGS_DIFFERENCE_TEXT.from}
          value={String(chosen[0])}
          options={options}
          onPick={(at) => choose([Number(at), chosen[1]])}
        />
        {SETTINGS_DIFFERENCE_TEXT.to}
        <StrandSample strand={strandOf(chosen[1])} />
        <Pick
          quiet
          label={SETTINGS_DIFFERENCE_TEXT.to2}
          value={String(chosen[1])}
          options={options}
          onPick={(at) => choose([chosen[0], Number(at)])}
        />
      </div>
      <div className="[&_svg]:max-h-[44dvh]">
        <SwitchDrawing
          {...map.structure}
          side={side}
          photo={photoOfLayout(map)}
          links={[
            ...here.map((link) => ({ ...link, faint: both.has(ends(link)) })),
            ...there.filter((link) => !both.has(ends(link))),
          ]}
          caption={words}
        />
      </div>
      <p aria-live="polite">{words}</p>
    </div>
  );
}
