import { Pick } from '../../controls/fields/pick.js';
import { strandedActs } from '@which-way/core/log';
import { type SettingId, type TerminalId } from '@which-way/core/switch';
import { useMemo, useState } from 'react';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { settingName } from '@which-way/words/terminals';
import { useJobState, useSession } from '../job-context.js';
import { dropStranded, moveStranded } from './stranded-acts.js';
import { STRANDED_PANEL_TEXT } from '@which-way/words/screens/job/panels/stranded-panel';

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
        title={STRANDED_PANEL_TEXT.setAsideOnSomethingThat(
          readings === 1 ? STRANDED_PANEL_TEXT.aReadingIs : STRANDED_PANEL_TEXT.readingsAre(readings),
        )}
      >
        <p>{STRANDED_PANEL_TEXT.theChangeThatShouldHave}</p>
        <div className="mt-2 flex flex-wrap items-end gap-3">
          {lugs.map((lost, index) => (
            <Pick
              key={lost}
              label={STRANDED_PANEL_TEXT.lugThatIsNotThere(
                lugs.length > 1 ? STRANDED_PANEL_TEXT.text(index + 1) : '',
              )}
              value={terminals.get(lost) ?? ''}
              placeholder={STRANDED_PANEL_TEXT.chooseALug}
              options={map.structure.terminals.map(({ id, label }) => ({ value: id, text: label }))}
              onPick={(id) => setTerminals(new Map(terminals).set(lost, id as TerminalId))}
            />
          ))}
          {positions.map((lost, index) => (
            <Pick
              key={lost}
              label={STRANDED_PANEL_TEXT.positionThatIsNotThere(
                positions.length > 1 ? STRANDED_PANEL_TEXT.text(index + 1) : '',
              )}
              value={settings.get(lost) ?? ''}
              placeholder={STRANDED_PANEL_TEXT.chooseAPosition}
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
            {STRANDED_PANEL_TEXT.moveThemThere}
          </PlainButton>
          <PlainButton onClick={() => dropStranded(session)}>{STRANDED_PANEL_TEXT.takeThemOut}</PlainButton>
        </div>
      </Notice>
    </div>
  );
}
