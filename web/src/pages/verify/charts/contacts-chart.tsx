import type { SwitchMap } from '@which-way/core/continuity';
import {
  beforeAndAfter,
  contactLimitOf,
  judgedContacts,
  lastStretch,
  limitOhms,
  type JudgedContact,
} from '@which-way/core/verify';
import { settingName, terminalName } from '@which-way/words/terminals';
import { CONTACT_WORDS, judgedWords, limitWords } from '@which-way/words/judge/verdict';
import { useMemo, useState, type KeyboardEvent } from 'react';
import { Chart } from 'react-chartjs-2';
import { chartColors, limitLine } from './chart-theme.js';
import './registered.js';
import { CONTACTS_CHART_TEXT } from '@which-way/words/screens/pages/verify/charts/contacts-chart';

interface Bar {
  name: string;
  now: JudgedContact | null;
  before: JudgedContact | null;
}

/** Every closed contact in every setting against its limit, before the switch was worked on and now; arrows go from bar to bar. */
export default function ContactsChart({ map }: { map: SwitchMap }) {
  const bars = useMemo(() => barsOf(map), [map]);
  const [at, setAt] = useState<number | null>(null);
  const limit = contactLimitOf(map);
  const most = limitOhms(limit);
  const colors = chartColors();
  const here = at === null ? undefined : bars[at];
  const stretched = bars.some(({ before }) => before !== null);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
    if (!step) return;
    event.preventDefault();
    setAt(((at ?? (step > 0 ? -1 : 0)) + step + bars.length) % bars.length);
  };
  if (bars.length === 0) return null;
  const set = (label: string, key: 'now' | 'before', color: string) => ({
    type: 'bar' as const,
    label,
    data: bars.map((bar) => bar[key]?.ohms ?? null),
    backgroundColor: bars.map((_, index) => (index === at ? colors.amber : color)),
    borderColor: colors.ink,
    borderWidth: bars.map((_, index) => (index === at ? 3 : 1)),
  });
  return (
    <figure className="my-2">
      <div
        className="h-56"
        tabIndex={0}
        role="group"
        aria-label={CONTACTS_CHART_TEXT.contactsAgainstTheirLimitArrows}
        onKeyDown={onKeyDown}
      >
        <Chart
          type="bar"
          role="img"
          aria-label={CONTACTS_CHART_TEXT.closedContactsInOhmsLimit(bars.length, limitWords(limit))}
          data={{
            labels: bars.map(({ name }) => name),
            datasets: [
              ...(most === null ? [] : [limitLine('limit', most, bars.length, colors.brick)]),
              ...(stretched ? [set('before', 'before', colors.line)] : []),
              set(stretched ? 'now' : 'ohm', 'now', colors.teal),
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: { ticks: { color: colors.quiet } },
              y: {
                beginAtZero: true,
                title: { display: true, text: 'ohm', color: colors.quiet },
                ticks: { color: colors.quiet },
                grid: { color: colors.line },
              },
            },
            plugins: { legend: { labels: { color: colors.ink } } },
          }}
        />
      </div>
      <figcaption aria-live="polite" className="min-h-6 text-small">
        {here && `${here.name}: ${told(here.now)}${here.before ? `; before, ${told(here.before)}` : ''}`}
      </figcaption>
    </figure>
  );
}

const told = (judged: JudgedContact | null): string =>
  judged === null
    ? 'not closed'
    : `${CONTACT_WORDS[judged.verdict]}, ${judgedWords(judged) || 'not read in ohms'}`;

function barsOf(map: SwitchMap): Bar[] {
  const { structure } = map;
  const name = ({ terminals, setting }: Pick<JudgedContact, 'terminals' | 'setting'>) =>
    `${terminals.map((id) => terminalName(structure, id)).join('–')} ${settingName(structure, setting)}`;
  const stretch = lastStretch(map);
  const bars = stretch
    ? beforeAndAfter(stretch.before, map).map((row) => ({
        name: name(row),
        now: row.after,
        before: row.before,
      }))
    : judgedContacts(map).map((judged) => ({ name: name(judged), now: judged, before: null }));
  return bars.filter(({ now, before }) => (now?.ohms ?? before?.ohms ?? null) !== null);
}
