import type { SettingId } from '@which-way/core/switch';
import { sideBySidePicture } from '@which-way/drawing/side-by-side';
import { GROUND_WORDS } from '@which-way/words/table/drawings';
import { settingName, terminalName } from '@which-way/words/terminals';
import { useState } from 'react';
import { Choice } from '../../shared/controls/choice.js';
import { WholePicture } from '../../shared/drawings/whole-picture.js';
import { firstJoining, movesOf, sideBySideOf, type Laid } from './side-by-side-of.js';

/** The old one and the candidate from the terminal side, wire by wire, in one position at a time; and the same as a list. */
export function SideBySideView({ laid }: { laid: Laid }) {
  const [at, setAt] = useState(() => firstJoining(laid));
  const { map, found, known, result } = laid;
  const name = (index: number) => settingName(map.structure, found.settings[index] as SettingId);
  const drawn = sideBySideOf(laid, at);
  const picture = sideBySidePicture(drawn, {
    ...GROUND_WORDS,
    old: 'old',
    fresh: known.name,
    caption: `The old one and ${known.name} from the terminal side, standing at ${name(at)}`,
  });
  return (
    <section aria-label="Wire by wire" className="mt-4">
      <Choice<string>
        label="Standing at"
        shown
        value={String(at)}
        options={result.positions.map((_, index) => ({ value: String(index), text: name(index) }))}
        onChoose={(index) => setAt(Number(index))}
      />
      <WholePicture picture={picture} caption={picture.caption} className="mt-2 max-h-[70dvh]" />
      <p className="text-small text-quiet">
        Both from the terminal side. How the new one’s terminals lie on it is not known: look at its labels.
        {drawn.ties.length > 0 && ' A dashed black line is a junction that has to be added.'}
        {drawn.differs.size > 0 && ' Amber: it joins here what the old one does not.'}
      </p>
      <Moves laid={laid} />
    </section>
  );
}

/** Old terminal, wire, new terminal. */
function Moves({ laid }: { laid: Laid }) {
  return (
    <table aria-label="Terminal by terminal" className="mt-2 w-full max-w-2xl">
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
              {to.length > 1 && <span className="ml-2 font-sans text-base">joined by a junction</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
