import { questions } from '../../api/questions.js';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Pick, type PickGroup, type PickOption } from './pick.js';
import { toldOf } from '../../api/client.js';
import { LIBRARY_SELECT_TEXT } from '@which-way/words/screens/controls/fields/library-select';
import { TextInput } from './text-input.js';

/** Entries that a list shows at once; more are found by words. */
const SHOWN = 100;

interface LibrarySelectProps {
  label: string;
  /** Id of the entry; empty for none. */
  value: string;
  onChange: (id: string) => void;
  /** What stands before the library's own entries. */
  before?: readonly (PickOption | PickGroup)[];
  placeholder?: string;
  /** Whether the label is said beside it, or only to those who cannot see. */
  quiet?: boolean;
  autoFocus?: boolean;
  /** As large as the main fields of a form. */
  large?: boolean;
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
  before = [],
  placeholder = '',
  quiet = false,
  autoFocus = false,
  large = false,
  sized = false,
  group,
  leaveOut = [],
}: LibrarySelectProps) {
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search);
  const library = useQuery(questions.library(asked, SHOWN));
  const { entries = [], count = 0 } = library.data ?? {};
  const options = entries
    .filter(({ id }) => !leaveOut.includes(id))
    .map(({ id, name, terminals, positions }) => ({
      value: id,
      text: sized ? `${name}: ${terminals} terminals, ${positions} positions` : name,
    }));
  return (
    <div className="grid gap-2">
      {(count > SHOWN || search !== '') && (
        <label>
          <span className={quiet ? 'sr-only' : ''}>{LIBRARY_SELECT_TEXT.findInTheLibrary}</span>
          <TextInput
            type="search"
            value={search}
            placeholder={LIBRARY_SELECT_TEXT.nameMakerFamily}
            onChange={(event) => setSearch(event.target.value)}
            className="mt-1 w-full"
          />
          <span className="text-small text-quiet">
            {count > SHOWN
              ? LIBRARY_SELECT_TEXT.ofAreListedSayMore(SHOWN, count)
              : LIBRARY_SELECT_TEXT.found(count)}
          </span>
        </label>
      )}
      <Pick
        quiet={quiet}
        label={label}
        autoFocus={autoFocus}
        value={value}
        placeholder={placeholder}
        options={[...before, ...(group ? [{ heading: group, options }] : options)]}
        onPick={onChange}
        className={large ? 'min-h-14 px-4 text-large' : ''}
      />
      {library.isError && (
        <p className="text-brick">
          {toldOf(library.error).message}
          {LIBRARY_SELECT_TEXT.theLibraryCannotBeShown}
        </p>
      )}
    </div>
  );
}
