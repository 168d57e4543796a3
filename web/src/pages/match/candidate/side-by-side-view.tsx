import type { SettingId } from '@which-way/core/switch';
import { lugOnLugPicture } from '@which-way/drawing/lug-on-lug';
import { sideBySidePicture } from '@which-way/drawing/side-by-side';
import { GROUND_WORDS } from '@which-way/words/table/drawings';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useState } from 'react';
import { Choice } from '../../../controls/fields/choice.js';
import { WholePicture } from '../../../parts/drawings/whole-picture.js';
import { firstJoining, movesOf, sideBySideOf, type Laid } from './side-by-side-of.js';
import { SIDE_BY_SIDE_VIEW_TEXT } from '@which-way/words/screens/pages/match/candidate/side-by-side-view';

/** The old one and the candidate from the terminal side, wire by wire, in one position at a time; and the same as a list. */
export function SideBySideView({ laid }: { laid: Laid }) {
  const [at, setAt] = useState(() => firstJoining(laid));
  const [asTheyLie, setAsTheyLie] = useState(false);
  const { map, found, known, result } = laid;
  const name = (index: number) => settingName(map.structure, found.settings[index] as SettingId);
  const drawn = sideBySideOf(laid, at);
  const caption = SIDE_BY_SIDE_VIEW_TEXT.theOldOneAndFrom(known.name, name(at));
  const said = { ...GROUND_WORDS, old: SIDE_BY_SIDE_VIEW_TEXT.old, fresh: known.name, caption };
  return (
    <section aria-label={SIDE_BY_SIDE_VIEW_TEXT.wireByWire} className="mt-4">
      <div className="flex flex-wrap items-end justify-between gap-2">
        <Choice<string>
          label={SIDE_BY_SIDE_VIEW_TEXT.standingAt}
          shown
          value={String(at)}
          options={result.positions.map((_, index) => ({ value: String(index), text: name(index) }))}
          onChoose={(index) => setAt(Number(index))}
        />
        <Choice
          label={SIDE_BY_SIDE_VIEW_TEXT.drawn}
          value={asTheyLie ? 'lie' : 'lugs'}
          options={[
            { value: 'lugs', text: SIDE_BY_SIDE_VIEW_TEXT.lugOnLug },
            { value: 'lie', text: SIDE_BY_SIDE_VIEW_TEXT.asTheyLie },
          ]}
          onChoose={(one) => setAsTheyLie(one === 'lie')}
        />
      </div>
      <WholePicture
        draw={({ least }) => (asTheyLie ? sideBySidePicture : lugOnLugPicture)(drawn, said, least)}
        caption={caption}
        className="mt-2 max-h-[70dvh]"
      />
      <p className="text-small text-quiet">
        {SIDE_BY_SIDE_VIEW_TEXT.bothFromTheTerminalSide}
        {drawn.ties.length > 0 && SIDE_BY_SIDE_VIEW_TEXT.aDashedBlackLineIs}
        {drawn.differs.size > 0 && SIDE_BY_SIDE_VIEW_TEXT.amberItJoinsHereWhat}
      </p>
      <Moves laid={laid} />
    </section>
  );
}

/** Old terminal, wire, new terminal. */
function Moves({ laid }: { laid: Laid }) {
  return (
    <table aria-label={SIDE_BY_SIDE_VIEW_TEXT.terminalByTerminal} className="mt-2 w-full max-w-2xl">
      <thead>
        <tr className="text-left text-small text-quiet">
          {['old terminal', 'wire', 'new terminal'].map((heading) => (
            <th key={heading} scope="col" className="font-normal">
              {heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {movesOf(laid).map(({ from, to, wires }) => (
          <tr key={from} className="border-b border-line">
            <td className="py-1 font-mono text-large font-bold">{terminalName(laid.map.structure, from)}</td>
            <td className="font-mono">
              {wires.map(({ tag, color }) => `${tag} ${color}`.trim() || '–').join(', ')}
            </td>
            <td className="font-mono text-large font-bold">
              {to.map((place) => laid.known.terminals[place]).join(' and ')}
              {to.length > 1 && (
                <span className="ml-2 font-sans text-base">{SIDE_BY_SIDE_VIEW_TEXT.joinedByAJunction}</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
