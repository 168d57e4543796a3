import { useQuery } from '@tanstack/react-query';
import type { JobId } from '@which-way/core/switch';
import { useState } from 'react';
import { Link } from 'react-router';
import { questions } from '../../../api/questions.js';
import { Pick } from '../../../controls/fields/pick.js';
import { PRINTED_LINK_TEXT } from '@which-way/words/screens/pages/refit/card/printed-link';

/** The QR code of the job's link on the printed card, under the address that is chosen before it is printed. */
export function PrintedLink({ job }: { job: JobId }) {
  const { data } = useQuery(questions.shareOf(job));
  const [chosen, setChosen] = useState<string | null>(null);
  if (!data?.lan) return null;
  const { share, links } = data;
  if (!share || links.length === 0)
    return (
      <p className="no-print text-quiet">
        {PRINTED_LINK_TEXT.withALinkToRead}{' '}
        <Link to="report" className="underline">
          {PRINTED_LINK_TEXT.report}
        </Link>
        .
      </p>
    );
  // Until somebody chooses it is the first.
  const link = chosen === 'none' ? undefined : (links.find(({ address }) => address === chosen) ?? links[0]);
  return (
    <>
      <div className="no-print">
        <Pick
          label={PRINTED_LINK_TEXT.qrCodeOnThePrinted}
          value={link?.address ?? 'none'}
          options={[
            ...links.map(({ address }) => ({ value: address, text: new URL(address).host })),
            { value: 'none', text: 'none' },
          ]}
          onPick={setChosen}
        />
      </div>
      {link && (
        <figure className="hidden items-center gap-3 border-2 border-line p-2 print:flex">
          <img
            alt={PRINTED_LINK_TEXT.qrCodeOf(link.address)}
            src={`data:image/svg+xml,${encodeURIComponent(link.qr)}`}
            className="size-28 bg-white"
          />
          <figcaption>
            {PRINTED_LINK_TEXT.thisJobToBeRead} {new Date(share.until).toLocaleDateString()}:{' '}
            <span className="font-mono text-small break-all">{link.address}</span>
          </figcaption>
        </figure>
      )}
    </>
  );
}
