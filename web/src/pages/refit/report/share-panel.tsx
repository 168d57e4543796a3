import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { JobId } from '@which-way/core/switch';
import { toast } from '../../../controls/toast.js';
import { api, toldOf } from '../../../api/client.js';
import { questions } from '../../../api/questions.js';
import { Notice } from '../../../controls/notice.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { SHARE_PANEL_TEXT } from '@which-way/words/screens/pages/refit/report/share-panel';

/** A link to this job for a phone at the machine: read-only, for thirty days, to be ended at any time. */
export function SharePanel({ job }: { job: JobId }) {
  const queries = useQueryClient();
  const { data } = useQuery(questions.shareOf(job));
  const change = useMutation({
    mutationFn: (act: 'make' | 'end') => (act === 'make' ? api.makeShare(job) : api.endShare(job)),
    onSuccess: (answer) => queries.setQueryData(questions.shareOf(job).queryKey, answer),
    onError: (error) => {
      const { message, hint } = toldOf(error);
      toast.error(SHARE_PANEL_TEXT.theLinkWasNotChanged(message), { description: hint });
    },
  });
  if (!data) return null;
  const { share, links, lan } = data;
  return (
    <section aria-label={SHARE_PANEL_TEXT.share} className="grid gap-2 border-t-2 border-line pt-2">
      <h2 className="font-bold">{SHARE_PANEL_TEXT.aPhoneAtTheMachine}</h2>
      {share ? (
        <>
          {links.map(({ address, qr }) => (
            <p key={address} className="grid gap-1">
              <img
                alt={SHARE_PANEL_TEXT.qrCodeOf(address)}
                src={`data:image/svg+xml,${encodeURIComponent(qr)}`}
                className="size-40 bg-white"
              />
              <span className="font-mono text-small break-all">{address}</span>
            </p>
          ))}
          {links.length === 0 && <NoNetwork lan={lan} />}
          <p className="text-small text-quiet">
            {SHARE_PANEL_TEXT.anyoneWithTheLinkCan}
            {new Date(share.until).toLocaleDateString()}
            {SHARE_PANEL_TEXT.theyCantChangeAnything}
          </p>
          <PlainButton disabled={change.isPending} onClick={() => change.mutate('end')}>
            {SHARE_PANEL_TEXT.endTheLink}
          </PlainButton>
        </>
      ) : (
        <>
          {!lan && <NoNetwork lan={lan} />}
          <PlainButton disabled={change.isPending} onClick={() => change.mutate('make')}>
            {SHARE_PANEL_TEXT.createAReadOnlyLink}
          </PlainButton>
        </>
      )}
    </section>
  );
}

const NoNetwork = ({ lan }: { lan: boolean }) => (
  <Notice
    look="plain"
    title={lan ? SHARE_PANEL_TEXT.noLocalNetworkWasFound : SHARE_PANEL_TEXT.theServerIsNotOpen}
  >
    {lan ? SHARE_PANEL_TEXT.connectThisMachineToIt : SHARE_PANEL_TEXT.startItWithLanThen}
  </Notice>
);
