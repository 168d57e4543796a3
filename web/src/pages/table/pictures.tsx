import type { SwitchMap } from '@which-way/core/continuity';
import type { Layout } from '@which-way/core/switch';
import { equalSettings, equalSideBySide, type TruthTable } from '@which-way/core/table';
import { Tabs } from 'radix-ui';
import type { Inspected } from '../../parts/facts/inspector.js';
import { SideSwitch } from '../../parts/drawings/side-switch.js';
import { OneLarge } from './one-large.js';
import { SchematicView } from './schematic-view.js';
import { SettingPicture } from './setting-picture.js';
import { SettingsDifference } from './settings-difference.js';
import { PICTURES_TEXT } from '@which-way/words/screens/pages/table/pictures';

interface PicturesProps {
  map: SwitchMap;
  table: TruthTable;
  onPick: (about: Inspected) => void;
}

const TABS = [
  ['all', 'All'],
  ['large', PICTURES_TEXT.oneLarge],
  ['difference', 'Difference'],
  ['schematic', 'Schematic'],
] as const;

/** The same readings as pictures: all settings at once, one large, what changes between two, and the contacts as a circuit. */
export function Pictures({ map, table, onPick }: PicturesProps) {
  // Settings that do the same stand side by side.
  const ordered = equalSideBySide(table.settings, equalSettings(map));
  return (
    <Tabs.Root defaultValue="all">
      <div className="no-print mb-2 flex flex-wrap items-center justify-between border-b-2 border-line">
        <Tabs.List aria-label={PICTURES_TEXT.picturesOfWhat} className="flex gap-4">
          {TABS.map(([value, words]) => (
            <Tabs.Trigger
              key={value}
              value={value}
              className="-mb-0.5 min-h-11 min-w-11 border-b-4 border-transparent font-semibold text-quiet data-[state=active]:border-brass data-[state=active]:text-ink"
            >
              {words}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <SideSwitch />
      </div>
      <Tabs.Content value="all">
        <ul className={`grid gap-x-5 gap-y-2 ${picturesAcross(map.structure.layout, table.settings.length)}`}>
          {ordered.map((setting) => (
            <SettingPicture
              key={setting}
              setting={setting}
              index={table.settings.indexOf(setting)}
              table={table}
              onPick={onPick}
            />
          ))}
        </ul>
      </Tabs.Content>
      <Tabs.Content value="large">
        <OneLarge table={table} onPick={onPick} />
      </Tabs.Content>
      <Tabs.Content value="difference">
        <SettingsDifference table={table} onPick={onPick} />
      </Tabs.Content>
      <Tabs.Content value="schematic">
        <SchematicView table={table} />
      </Tabs.Content>
    </Tabs.Root>
  );
}

/** How many pictures stand side by side; several decks need more of the width. */
function picturesAcross(layout: Layout, settings: number): string {
  const tall = settings > 6 ? '[&_svg]:max-h-32' : settings > 2 ? '[&_svg]:max-h-48' : '[&_svg]:max-h-80';
  if (layout.kind === 'wafers' && layout.decks > 1)
    return `${settings > 4 ? '[&_svg]:max-h-28' : tall} sm:grid-cols-2`;
  return `${tall} ${settings > 1 ? 'grid-cols-2' : ''} ${settings > 2 ? 'md:grid-cols-3' : ''} ${settings > 9 ? 'xl:grid-cols-4' : ''}`;
}
