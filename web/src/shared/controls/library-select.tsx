import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { api, toldOf } from '../../api/client.js';

/** Entries that a list shows at once; more are found by words. */
const SHOWN = 100;

interface LibrarySelectProps {
  label: string;
  /** Id of the entry; empty for none. */
  value: string;
  onChange: (id: string) => void;
  /** What stands before the library's own entries. */
  children: ReactNode;
  /** Whether the label is said beside it, or only to those who cannot see. */
  quiet?: boolean;
  autoFocus?: boolean;
  className?: string;
  /** Says the size of each. */
  sized?: boolean;
  group?: string;
  /** Ids that stand before the list already. */
  leaveOut?: readonly string[];
}

/** Chooses from the library. A long one is searched on the server: only what is shown travels. */
export function LibrarySelect({
  label,
  value,
  onChange,
  children,
  quiet = false,
  autoFocus = false,
  className = '',
  sized = false,
  group,
  leaveOut = [],
}: LibrarySelectProps) {
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search);
  const library = useQuery({
    queryKey: ['library', asked],
    queryFn: () => api.library({ search: asked, size: SHOWN }),
    placeholderData: keepPreviousData,
  });
  const { entries = [], count = 0 } = library.data ?? {};
  const options = entries
    .filter(({ id }) => !leaveOut.includes(id))
    .map(({ id, name, terminals, positions }) => (
      <option key={id} value={id}>
        {sized ? `${name}: ${terminals} terminals, ${positions} positions` : name}
      </option>
    ));
  return (
    <div className="grid gap-2">
      {(count > SHOWN || search !== '') && (
        <label>
          <span className={quiet ? 'sr-only' : ''}>Find in the library</span>
          <input
            type="search"
            value={search}
            placeholder="Name, maker, family"
            onChange={(event) => setSearch(event.target.value)}
            className="mt-1 min-h-12 w-full rounded-part border-2 border-line bg-sheet px-4"
          />
          <span className="text-small text-quiet">
            {count > SHOWN ? `${SHOWN} of ${count} are listed: say more words.` : `${count} found.`}
          </span>
        </label>
      )}
      <label>
        <span className={quiet ? 'sr-only' : ''}>{label}</span>
        <select
          autoFocus={autoFocus}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          className={className}
        >
          {children}
          {group ? <optgroup label={group}>{options}</optgroup> : options}
        </select>
      </label>
      {library.isError && (
        <p className="text-brick">{toldOf(library.error).message} The library cannot be shown.</p>
      )}
    </div>
  );
}
