import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { SIGNED_IN_WORDS, deviceWords } from '@which-way/words/devices';
import { toast } from '../../controls/toast.js';
import { api, toldOf } from '../../api/client.js';
import { KEYS, questions } from '../../api/questions.js';
import { PlainButton } from '../../controls/plain-button.js';

/** The devices that came in with the shop's code; each can be signed out by itself. Nothing where there is none. */
export function SignedInDevices() {
  const queries = useQueryClient();
  const { data } = useQuery(questions.devices());
  const end = useMutation({
    mutationFn: api.endDevice,
    onSettled: () => queries.invalidateQueries({ queryKey: KEYS.devices }),
    onError: (error) => toast.error(toldOf(error).message, { description: toldOf(error).hint }),
  });
  if (!data || data.length === 0) return null;
  return (
    <section aria-label={SIGNED_IN_WORDS.title} className="mb-8 grid gap-2">
      <h2 className="text-large font-bold">{SIGNED_IN_WORDS.title}</h2>
      <ul className="border-t-2 border-line">
        {data.map((device) => (
          <li key={device.id} className="flex flex-wrap items-center gap-3 border-b border-line py-2">
            <span className="grow">{deviceWords(device)}</span>
            {device.own ? (
              <strong>{SIGNED_IN_WORDS.own}</strong>
            ) : (
              <PlainButton disabled={end.isPending} onClick={() => end.mutate(device.id)}>
                {SIGNED_IN_WORDS.end}
              </PlainButton>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
