import type { SwitchMap } from '@which-way/core/continuity';
import { beforeAndAfter, lastStretch, type BeforeAndAfter } from '@which-way/core/verify';
import { settingName, terminalName } from '@which-way/words/terminals';
import { judgedWords, WORK_WORDS } from '@which-way/words/judge/verdict';
import { useMemo } from 'react';
import { RESULT_LINES_TEXT } from '@which-way/words/screens/pages/verify/lines/result-lines';
import { ResultLine } from '../../controls/result-line.js';
import { BEFORE_AFTER_TEXT } from '@which-way/words/screens/pages/verify/before-after';

const stateWords = (joined: boolean | null): string =>
  joined === null ? 'not known' : joined ? 'closed' : 'open';

/** Each contact before the switch was worked on and after, what changed first. */
export function BeforeAfter({ map }: { map: SwitchMap }) {
  const stretch = useMemo(() => lastStretch(map), [map]);
  const rows = useMemo(() => (stretch ? beforeAndAfter(stretch.before, map) : []), [stretch, map]);
  if (!stretch) return null;
  const told = (joined: boolean | null, judged: BeforeAndAfter['before']) =>
    [stateWords(joined), judged ? judgedWords(judged) : ''].filter(Boolean).join(', ');
  return (
    <ResultLine
      name={BEFORE_AFTER_TEXT.beforeAndAfter}
      result={RESULT_LINES_TEXT.changed(rows.filter(({ changed }) => changed).length)}
      act={RESULT_LINES_TEXT.see}
    >
      <p className="font-bold">
        {WORK_WORDS[stretch.what]}, {new Date(stretch.at).toLocaleString()}
      </p>
      <table className="w-full text-left">
        <thead>
          <tr>
            <th>{BEFORE_AFTER_TEXT.contact}</th>
            <th>{BEFORE_AFTER_TEXT.before}</th>
            <th>{BEFORE_AFTER_TEXT.after}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ terminals, setting, was, is, before, after, changed }) => (
            <tr
              key={`${terminals.join()} ${setting}`}
              className={`border-t border-line ${changed ? 'font-bold' : ''}`}
            >
              <td>
                {terminals.map((id) => terminalName(map.structure, id)).join('–')}
                {BEFORE_AFTER_TEXT.at} {settingName(map.structure, setting)}
              </td>
              <td>{told(was, before)}</td>
              <td>{told(is, after)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </ResultLine>
  );
}
