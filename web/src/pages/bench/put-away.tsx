import { KEYS } from '../../api/questions.js';
import type { JobSummary } from '@which-way/contract';
import { DELETE_WORDS } from '@which-way/words/deleted';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../../controls/toast.js';
import { api, toldOf } from '../../api/client.js';
import { browserOutbox } from '../../job/outbox/outbox.js';
import { DialogPanel } from '../../controls/dialog-panel.js';
import { Notice } from '../../controls/notice.js';
import { PlainButton } from '../../controls/plain-button.js';
import { PUT_AWAY_TEXT } from '@which-way/words/screens/pages/bench/put-away';

/** Puts a job away, or back on the bench. */
export function usePutAway() {
  const queries = useQueryClient();
  return async ({ id, version, archived, number }: JobSummary) => {
    try {
      await api.changeJob(id, { version, archived: !archived });
      toast.success(archived ? PUT_AWAY_TEXT.jobIsOnTheBench(number) : PUT_AWAY_TEXT.jobIsPutAway(number));
    } catch (error) {
      toast.error(toldOf(error).message, { description: toldOf(error).hint });
    }
    await queries.invalidateQueries({ queryKey: KEYS.jobs });
  };
}

/** Asks before a job is deleted, and offers to save it first. */
export function DeleteDialog({ job, onClose }: { job: JobSummary; onClose: () => void }) {
  const queries = useQueryClient();
  const [trouble, setTrouble] = useState<{ message: string; hint: string } | null>(null);
  const remove = async () => {
    try {
      await api.deleteJob(job.id);
      await browserOutbox.forget(job.id).catch(() => undefined);
      toast.success(PUT_AWAY_TEXT.jobIsDeleted(job.number));
      onClose();
      await queries.invalidateQueries({ queryKey: KEYS.jobs });
    } catch (error) {
      setTrouble(toldOf(error));
    }
  };
  return (
    <DialogPanel open onOpenChange={onClose} title={PUT_AWAY_TEXT.deleteJob(job.number)}>
      <p className="mt-3">
        <strong>{job.title}.</strong> {DELETE_WORDS.about}
      </p>
      <p className="mt-2">
        {DELETE_WORDS.backups} {DELETE_WORDS.instead}
      </p>
      {trouble && (
        <div className="mt-3">
          <Notice look="brick" title={trouble.message}>
            {trouble.hint}
          </Notice>
        </div>
      )}
      <div className="mt-5 flex flex-wrap gap-3">
        <a
          href={`/api/jobs/${job.id}/export`}
          download
          className="flex min-h-12 items-center rounded-part border-2 border-enamel bg-enamel px-4 font-semibold text-on-enamel"
        >
          {PUT_AWAY_TEXT.saveItAsAFile}
        </a>
        <PlainButton className="text-brick" onClick={() => void remove()}>
          {PUT_AWAY_TEXT.deleteIt}
        </PlainButton>
        <PlainButton look="quiet" data-first-focus onClick={onClose}>
          {PUT_AWAY_TEXT.keepIt}
        </PlainButton>
      </div>
    </DialogPanel>
  );
}
