import { questions } from '../../api/questions.js';
import { useQuery } from '@tanstack/react-query';
import { Download, LibraryBig, LogOut, Settings as SettingsIcon, Upload } from 'lucide-react';
import { useRef } from 'react';
import { Link } from 'react-router';
import { api } from '../../api/client.js';
import { useBegin } from '../../parts/begin/use-begin.js';
import { FILES_TEXT } from '@which-way/words/screens/pages/bench/files';

const BUTTON =
  'flex min-h-12 items-center gap-2 rounded-part px-3 hover:bg-enamel-lift min-w-11 justify-center';

/** Files in and out, on top of the bench. */
export function Files() {
  const input = useRef<HTMLInputElement>(null);
  const health = useQuery(questions.health());
  const begin = useBegin();
  const signOut = () =>
    begin(FILES_TEXT.notSignedOut, async () => {
      await api.signOut();
      window.location.assign('/sign-in');
    });
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,.zip,application/json,application/zip"
        aria-label={FILES_TEXT.takeInAWhichWay}
        className="hidden"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) void begin(FILES_TEXT.notSent(file.name), () => api.lookThrough(file));
        }}
      />
      <button type="button" onClick={() => input.current?.click()} className={BUTTON}>
        <Upload size={18} aria-hidden="true" />{' '}
        <span className="max-sm:sr-only">{FILES_TEXT.takeInAFile}</span>
      </button>
      <Link to="/library" className={BUTTON}>
        <LibraryBig size={18} aria-hidden="true" />{' '}
        <span className="max-sm:sr-only">{FILES_TEXT.library}</span>
      </Link>
      <Link to="/settings" className={BUTTON}>
        <SettingsIcon size={18} aria-hidden="true" />{' '}
        <span className="max-sm:sr-only">{FILES_TEXT.shopLists}</span>
      </Link>
      <button
        type="button"
        onClick={() => void begin(FILES_TEXT.notSaved, api.exportAll)}
        className={`${BUTTON} max-sm:hidden`}
      >
        <Download size={18} aria-hidden="true" />
        {FILES_TEXT.saveAllAsAFile}
      </button>
      {health.data?.signedIn && (
        <button type="button" onClick={() => void signOut()} className={BUTTON}>
          <LogOut size={18} aria-hidden="true" /> <span className="max-sm:sr-only">{FILES_TEXT.signOut}</span>
        </button>
      )}
    </>
  );
}
