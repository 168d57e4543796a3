import { Pick } from '../../shared/controls/pick.js';
import { strandedActs } from '@which-way/core/log';
import { type SettingId, type TerminalId } from '@which-way/core/switch';
import { useMemo, useState } from 'react';
import { Notice } from '../../shared/controls/notice.js';
import { PlainButton } from '../../shared/controls/plain-button.js';
import { settingName } from '@which-way/words/terminals';
import { useJobState, useSession } from '../job-context.js';
import { dropStranded, moveStranded } from './stranded-acts.js';

/** Readings on a lug or in a position that was never added: they are kept, they count for nothing, and they can be moved. */
export function StrandedPanel() {
  const map = useJobState((state) => state.map);
  const session = useSession();
  const stranded = useMemo(() => strandedActs(map.log), [map.log]);
  const [terminals, setTerminals] = useState<ReadonlyMap<TerminalId, TerminalId>>(new Map());
  const [settings, setSettings] = useState<ReadonlyMap<SettingId, SettingId>>(new Map());
  if (stranded.length === 0) return null;
  const lugs = [...new Set(stranded.flatMap((act) => act.terminals))];
  const positions = [...new Set(stranded.flatMap((act) => act.settings))];
  const ready = lugs.every((id) => terminals.has(id)) && positions.every((id) => settings.has(id));
  const readings = stranded.reduce((sum, { act }) => sum + act.what.readings.length, 0);
  return (
    <div className="px-5 pt-3">
      <Notice
        look="amber"
        title={`${readings === 1 ? 'A reading is' : `${readings} readings are`} set aside: on something that was never added`}
      >
        <p>The change that should have brought it in was refused. Say what was meant, or take them out.</p>
        <div className="mt-2 flex flex-wrap items-end gap-3">
          {lugs.map((lost, index) => (
            <Pick
              key={lost}
              label={`Lug that is not there${lugs.length > 1 ? `, ${index + 1}` : ''}: it is`}
              value={terminals.get(lost) ?? ''}
              placeholder="Choose a lug"
              options={map.structure.terminals.map(({ id, label }) => ({ value: id, text: label }))}
              onPick={(id) => setTerminals(new Map(terminals).set(lost, id as TerminalId))}
            />
          ))}
          {positions.map((lost, index) => (
            <Pick
              key={lost}
              label={`Position that is not there${positions.length > 1 ? `, ${index + 1}` : ''}: it is`}
              value={settings.get(lost) ?? ''}
              placeholder="Choose a position"
              options={map.structure.settings.map(({ id }) => ({
                value: id,
                text: settingName(map.structure, id),
              }))}
              onPick={(id) => setSettings(new Map(settings).set(lost, id as SettingId))}
            />
          ))}
          <PlainButton
            look="strong"
            disabled={!ready}
            onClick={() => moveStranded(session, { terminals, settings })}
          >
            Move them there
          </PlainButton>
          <PlainButton onClick={() => dropStranded(session)}>Take them out</PlainButton>
        </div>
      </Notice>
    </div>
  );
}
