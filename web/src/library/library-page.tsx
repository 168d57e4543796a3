import type { KnownSwitch } from '@which-way/core/switch';
import { factLines } from '@which-way/words/part-facts';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { toast } from 'sonner';
import { api, toldOf } from '../api/client.js';
import { questions } from '../api/questions.js';
import { Notice } from '../shared/controls/notice.js';
import { PlainButton } from '../shared/controls/plain-button.js';
import { saveText } from '../shared/files/save-text.js';
import { TopBar } from '../shared/frame/top-bar.js';
import { catalogueCsv } from './catalogue.js';
import { CsvImport } from './csv-import.js';

/** Entries that a list shows at once; more are found by words. */
const SHOWN = 100;

/** Known switches and parts: found by words, looked at, taken in and out as CSV. */
export function LibraryPage() {
  const [search, setSearch] = useState('');
  const [picked, setPicked] = useState<string | null>(null);
  const library = useQuery(questions.library(useDeferredValue(search), SHOWN));
  const { entries = [], count = 0 } = library.data ?? {};
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title="Library" />
      <main className="mx-auto w-full max-w-5xl grow px-4 pb-10 sm:px-8">
        <h1 className="py-4 text-title font-bold">Known switches and parts</h1>
        <CsvImport />
        <div className="flex flex-wrap items-end gap-3">
          <label className="grow">
            Find
            <input
              type="search"
              value={search}
              placeholder="Name, maker, family"
              onChange={({ target }) => setSearch(target.value)}
              className="mt-1 min-h-12 w-full rounded-part border-2 border-line bg-sheet px-4"
            />
          </label>
          <PlainButton
            disabled={entries.length === 0}
            onClick={() => void saveShown(entries.map(({ id }) => id))}
          >
            Save these as CSV
          </PlainButton>
        </div>
        {library.isError && (
          <Notice look="amber" title={toldOf(library.error).message}>
            {toldOf(library.error).hint}
          </Notice>
        )}
        <p className="my-2 text-quiet" role="status">
          {count > SHOWN ? `${SHOWN} of ${count} are listed: say more words.` : `${count} found.`}
        </p>
        {library.data && count === 0 && search === '' && (
          <Notice look="plain" title="The library is empty.">
            Take in a catalogue, a Which Way file, or a job that was mapped.
          </Notice>
        )}
        <ul aria-label="Entries">
          {entries.map(({ id, name, maker, family, terminals, positions }) => (
            <li key={id} className="border-b border-line">
              <button
                type="button"
                aria-expanded={picked === id}
                onClick={() => setPicked(picked === id ? null : id)}
                className="flex min-h-12 w-full flex-wrap items-baseline gap-x-4 py-2 text-left hover:bg-sheet"
              >
                <strong className="grow">{name}</strong>
                <span className="text-small text-quiet">
                  {[maker, family, `${terminals} terminals`, `${positions} positions`]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </button>
              {picked === id && <Entry id={id} />}
            </li>
          ))}
        </ul>
      </main>
    </div>
  );
}

/** What is known of one entry; what is not in the list is not stated. */
function Entry({ id }: { id: string }) {
  const { data, error } = useQuery({ queryKey: ['entry', id], queryFn: () => api.entry(id) });
  if (error) return <p className="text-brick">{toldOf(error).message}</p>;
  if (!data) return <p className="text-quiet">Opening it.</p>;
  const lines = factLines(data.facts ?? {});
  return (
    <div className="grid gap-3 pb-3 sm:grid-cols-2">
      <table className="self-start">
        <tbody>
          {data.positions.map(({ name, rests, joined }, at) => (
            <tr key={at} className="border-t border-line">
              <th scope="row" className="pr-4 text-left">
                {name ?? `position ${at + 1}`}
                {rests === 'momentary' && ', springs back'}
              </th>
              <td className="font-mono">{joined.map((net) => net.join('–')).join('  ') || 'nothing'}</td>
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
        {lines.length === 0 && <p className="text-quiet">Nothing is stated besides the wiring.</p>}
      </dl>
      {data.note && <p className="sm:col-span-2">{data.note}</p>}
    </div>
  );
}

/** The entries of a list as a CSV file. */
async function saveShown(ids: readonly string[]): Promise<void> {
  try {
    const entries: KnownSwitch[] = [];
    for (const id of ids) entries.push(await api.entry(id));
    saveText('which-way-library.csv', catalogueCsv(entries), 'text/csv');
  } catch (error) {
    const { message, hint } = toldOf(error);
    toast.error(`Nothing was saved. ${message}`, { description: hint });
  }
}
