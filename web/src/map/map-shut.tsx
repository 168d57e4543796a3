import { useState } from 'react';
import { toldOf } from '../api/client.js';
import { useSession } from '../job/job-context.js';
import { Notice } from '../shared/notice.js';
import { PlainButton } from '../shared/plain-button.js';

/** Why the Map is shut, and the one way to open it so far. */
export function MapShut() {
  const session = useSession();
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const open = () =>
    session.changeJob({ outOfMachine: true }).catch((error: unknown) => setTrouble(toldOf(error)));
  return (
    <main className="mx-auto w-full max-w-3xl p-8">
      <h1 className="sr-only">Map</h1>
      <Notice look="brick" title="The Map is shut: the switch is still in the machine.">
        <p>
          A meter on ohms must not meet a live circuit, and a circuit around the switch makes readings lie.
          Isolate the machine, prove it dead with a tester that you have proved before and after, let stored
          energy go, and take the switch out. Local rules and licensed practice come first; fixed mains wiring
          is for those who may work on it.
        </p>
        <PlainButton look="strong" className="mt-4 min-h-16 text-large" onClick={() => void open()}>
          It is out of the machine now
        </PlainButton>
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
