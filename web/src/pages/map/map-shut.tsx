import { useState } from 'react';
import { Link } from 'react-router';
import { toldOf } from '../../api/client.js';
import { useSession } from '../../job/job-context.js';
import { useSafety } from '../../parts/safety/use-safety.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { troubleList } from '@which-way/words/before/safety';
import { MAP_SHUT_TEXT } from '@which-way/words/screens/pages/map/map-shut';

/** Why the Map is shut, and the two ways to open it. */
export function MapShut() {
  const session = useSession();
  const { list, troubles } = useSafety();
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const open = () => session.setOutOfMachine(true).catch((error: unknown) => setTrouble(toldOf(error)));
  return (
    <main className="mx-auto w-full max-w-3xl p-4 sm:p-8">
      <h1 className="sr-only">{MAP_SHUT_TEXT.map}</h1>
      <Notice look="brick" title={MAP_SHUT_TEXT.theMapIsShutThe}>
        <ul className="grid list-disc gap-1 pl-5">
          {troubleList(troubles, list?.supply ?? 'plug-in').map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
        <p className="mt-3">{MAP_SHUT_TEXT.aMeterOnOhmsMust}</p>
        <div className="mt-4 flex flex-wrap gap-3">
          <Link
            to="../safe"
            relative="path"
            className="flex min-h-16 items-center rounded-part border-2 border-enamel bg-enamel px-5 dark:border-brass text-large font-semibold text-on-enamel"
          >
            {list ? MAP_SHUT_TEXT.goOnWithTheSafety : MAP_SHUT_TEXT.makeItSafe}
          </Link>
          <PlainButton className="min-h-16 text-large" onClick={() => void open()}>
            {MAP_SHUT_TEXT.itIsOutOfThe}
          </PlainButton>
        </div>
      </Notice>
      {trouble && (
        <div className="mt-4">
          <Notice look="amber" title={trouble.message}>
            {trouble.hint}
          </Notice>
        </div>
      )}
    </main>
  );
}
