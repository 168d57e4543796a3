import type { EntryId } from '@which-way/core/switch';
import { factLines } from '@which-way/words/match/part-facts';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, toldOf } from '../../api/client.js';
import { photoUrl, thumbUrl } from '../../parts/photos/photo-url.js';
import { ENTRY_LIST_TEXT } from '@which-way/words/screens/pages/library/entry-list';
import { useUnits } from '../../parts/units/units.js';

/** What a line of the list shows. */
export interface ListedEntry {
  id: EntryId;
  name: string;
  about: string;
}

/** Entries, each opened by a tap. */
export function EntryList({ label, entries }: { label: string; entries: readonly ListedEntry[] }) {
  const [picked, setPicked] = useState<string | null>(null);
  return (
    <ul aria-label={label}>
      {entries.map(({ id, name, about }) => (
        <li key={id} className="border-b border-line">
          <button
            type="button"
            aria-expanded={picked === id}
            onClick={() => setPicked(picked === id ? null : id)}
            className="flex min-h-12 w-full flex-wrap items-baseline gap-x-4 py-2 text-left hover:bg-sheet"
          >
            <strong className="grow">{name}</strong>
            <span className="text-small text-quiet">{about}</span>
          </button>
          {picked === id && <Entry id={id} />}
        </li>
      ))}
    </ul>
  );
}

/** What is known of one entry; what is not in the list is not stated. */
function Entry({ id }: { id: string }) {
  const units = useUnits();
  const { data, error } = useQuery({ queryKey: ['entry', id], queryFn: () => api.entry(id) });
  if (error) return <p className="text-brick">{toldOf(error).message}</p>;
  if (!data) return <p className="text-quiet">{ENTRY_LIST_TEXT.openingIt}</p>;
  const lines = factLines(data.facts ?? {}, units);
  return (
    <div className="grid gap-3 pb-3 sm:grid-cols-2">
      <table className="self-start">
        <tbody>
          {data.positions.map(({ name, rests, joined }, at) => (
            <tr key={at} className="border-t border-line">
              <th scope="row" className="pr-4 text-left">
                {name ?? ENTRY_LIST_TEXT.position(at + 1)}
                {rests === 'momentary' && ENTRY_LIST_TEXT.springsBack}
              </th>
              <td className="font-mono">
                {joined.map((net) => net.join('–')).join('  ') || ENTRY_LIST_TEXT.nothing}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 self-start">
        {lines.map(([label, value]) => (
          <div key={label} className="contents">
            <dt className="text-quiet">{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
        {lines.length === 0 && <p className="text-quiet">{ENTRY_LIST_TEXT.nothingIsStatedBesidesThe}</p>}
      </dl>
      {data.facts?.photos && (
        <ul className="flex flex-wrap gap-2 sm:col-span-2" aria-label={ENTRY_LIST_TEXT.picturesOf(data.name)}>
          {data.facts.photos.map((photo) => (
            <li key={photo}>
              <a href={photoUrl(photo)} target="_blank" rel="noreferrer">
                <img
                  src={thumbUrl(photo)}
                  alt={ENTRY_LIST_TEXT.aPictureOf(data.name)}
                  className="h-24 rounded-part"
                />
              </a>
            </li>
          ))}
        </ul>
      )}
      {data.note && <p className="sm:col-span-2">{data.note}</p>}
    </div>
  );
}
