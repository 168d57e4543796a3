import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { JobId } from '@which-way/core/switch';
import { toast } from 'sonner';
import { api, toldOf } from '../../api/client.js';
import { questions } from '../../api/questions.js';
import { Notice } from '../../shared/controls/notice.js';
import { PlainButton } from '../../shared/controls/plain-button.js';

/** A link to this job for a phone at the machine: read-only, for thirty days, to be ended at any time. */
export function SharePanel({ job }: { job: JobId }) {
  const queries = useQueryClient();
  const { data } = useQuery(questions.shareOf(job));
  const change = useMutation({
    mutationFn: (act: 'make' | 'end') => (act === 'make' ? api.makeShare(job) : api.endShare(job)),
    onSuccess: (answer) => queries.setQueryData(questions.shareOf(job).queryKey, answer),
    onError: (error) => {
      const { message, hint } = toldOf(error);
      toast.error(`The link was not changed. ${message}`, { description: hint });
    },
  });
  if (!data) return null;
  const { share, links, lan } = data;
  return (
    <section aria-label="Share" className="grid gap-2 border-t-2 border-line pt-2">
      <h2 className="font-bold">A phone at the machine</h2>
      {share ? (
        <>
          {links.map(({ address, qr }) => (
            <p key={address} className="grid gap-1">
              <img
                alt={`QR code of ${address}`}
                src={`data:image/svg+xml,${encodeURIComponent(qr)}`}
                className="size-40 bg-white"
              />
              <span className="font-mono text-small break-all">{address}</span>
            </p>
          ))}
          {links.length === 0 && <NoNetwork lan={lan} />}
          <p className="text-small text-quiet">
            Anyone with the link can read this report until {new Date(share.until).toLocaleDateString()}. They
            can&rsquo;t change anything.
          </p>
          <PlainButton disabled={change.isPending} onClick={() => change.mutate('end')}>
            End the link
          </PlainButton>
        </>
      ) : (
        <>
          {!lan && <NoNetwork lan={lan} />}
          <PlainButton disabled={change.isPending} onClick={() => change.mutate('make')}>
            Create a read-only link
          </PlainButton>
        </>
      )}
    </section>
  );
}

const NoNetwork = ({ lan }: { lan: boolean }) => (
  <Notice
    look="plain"
    title={lan ? 'No local network was found.' : 'The server is not open to the local network.'}
  >
    {lan
      ? 'Connect this machine to it.'
      : 'Start it with --lan: then the link has an address that a phone reaches.'}
  </Notice>
);
