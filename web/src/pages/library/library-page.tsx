import type { KnownSwitch } from '@which-way/core/switch';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { toast } from '../../controls/toast.js';
import { api, toldOf } from '../../api/client.js';
import { questions } from '../../api/questions.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { saveText } from '../../controls/files/save-text.js';
import { TopBar } from '../../controls/frame/top-bar.js';
import { BehaviourSearch } from './behaviour-search.js';
import { catalogueCsv } from './catalogue.js';
import { CsvImport } from './csv-import.js';
import { EntryList } from './entry-list.js';
import { FactFilters, type FactFilter } from './fact-filters.js';
import { LIBRARY_PAGE_TEXT } from '@which-way/words/screens/pages/library/library-page';
import { Field } from '../../controls/fields/field.js';

/** Entries that a list shows at once; more are found by words. */
const SHOWN = 100;

/** Known switches and parts: found by words, by what is stated, by what they do; taken in and out as CSV. */
export function LibraryPage() {
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState<FactFilter>({});
  const library = useQuery(questions.library(useDeferredValue(search), SHOWN, useDeferredValue(filter)));
  const { entries = [], count = 0 } = library.data ?? {};
  const asksNothing = search === '' && Object.keys(filter).length === 0;
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={LIBRARY_PAGE_TEXT.library} />
      <main className="mx-auto w-full max-w-5xl grow px-4 pb-10 sm:px-8">
        <h1 className="py-4 text-title font-bold">{LIBRARY_PAGE_TEXT.knownSwitchesAndParts}</h1>
        <CsvImport />
        <div className="flex flex-wrap items-end gap-3">
          <Field
            label={LIBRARY_PAGE_TEXT.find}
            className="grow"
            type="search"
            value={search}
            placeholder={LIBRARY_PAGE_TEXT.nameMakerNumberMarkingFamily}
            onType={setSearch}
          />
          <PlainButton
            disabled={entries.length === 0}
            onClick={() => void saveShown(entries.map(({ id }) => id))}
          >
            {LIBRARY_PAGE_TEXT.saveTheseAsCsv}
          </PlainButton>
        </div>
        <FactFilters filter={filter} onFilter={setFilter} />
        <BehaviourSearch />
        {library.isError && (
          <Notice look="amber" title={toldOf(library.error).message}>
            {toldOf(library.error).hint}
          </Notice>
        )}
        <p className="my-2 border-t-2 border-line pt-2 text-quiet" role="status">
          {count > SHOWN
            ? LIBRARY_PAGE_TEXT.ofAreListedSayMore(SHOWN, count)
            : LIBRARY_PAGE_TEXT.found(count)}
        </p>
        {library.data && count === 0 && asksNothing && (
          <Notice look="plain" title={LIBRARY_PAGE_TEXT.theLibraryIsEmpty}>
            {LIBRARY_PAGE_TEXT.takeInACatalogueA}
          </Notice>
        )}
        <EntryList
          label={LIBRARY_PAGE_TEXT.entries}
          entries={entries.map(({ id, name, maker, family, terminals, positions }) => ({
            id,
            name,
            about: [maker, family, `${terminals} terminals`, `${positions} positions`]
              .filter(Boolean)
              .join(' · '),
          }))}
        />
      </main>
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
    toast.error(LIBRARY_PAGE_TEXT.nothingWasSaved(message), { description: hint });
  }
}
