import { createMapper } from '@which-way/core/continuity';
import type { ExpectedTable } from '@which-way/core/log';
import { expectedFromJob, layBeside } from '@which-way/core/verify';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, toldOf } from '../../api/client.js';
import { questions } from '../../api/questions.js';
import { useJobState } from '../../job/job-context.js';
import { Pick } from '../../controls/fields/pick.js';
import { FROM_ANOTHER_JOB_TEXT } from '@which-way/words/screens/parts/other-jobs/from-another-job';

/** Takes the map of another job as what this switch should do: the old one, or one that is known to be good. */
export function FromAnotherJob({ onSet }: { onSet: (table: ExpectedTable) => void }) {
  const map = useJobState((state) => state.map);
  const own = useJobState((state) => state.job?.id ?? null);
  const jobs =
    useQuery(questions.jobs('', false)).data?.filter(({ id, about }) => id !== own && about === 'switch') ??
    [];
  const [trouble, setTrouble] = useState('');
  if (jobs.length === 0) return null;
  const take = async (id: string) => {
    const job = jobs.find((one) => one.id === id);
    if (!job) return;
    try {
      const { events } = await api.openJob(job.id);
      const there = createMapper()(events);
      const laid = layBeside(map.structure, there.structure);
      if (laid.kind === 'cannot')
        return setTrouble(
          FROM_ANOTHER_JOB_TEXT.jobHasThisSwitchChoose(job.number, laid.needs, laid.because, laid.has),
        );
      setTrouble('');
      onSet(expectedFromJob(there, laid, job.id, job.title));
    } catch (error) {
      setTrouble(`${toldOf(error).message} ${toldOf(error).hint}`);
    }
  };
  return (
    <>
      <Pick
        quiet
        label={FROM_ANOTHER_JOB_TEXT.anotherJob}
        placeholder={FROM_ANOTHER_JOB_TEXT.whatAnotherJobFound}
        value=""
        options={jobs.map(({ id, number, title }) => ({ value: id, text: `${number} ${title}` }))}
        onPick={(id) => void take(id)}
      />
      {trouble && (
        <p role="alert" className="text-brick">
          {trouble}
        </p>
      )}
    </>
  );
}
