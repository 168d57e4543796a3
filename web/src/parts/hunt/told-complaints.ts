import type { LoadComplaint } from '@which-way/core/machine';
import type { Symptom } from '@which-way/core/log';

const AS_SYMPTOM: Partial<Record<Symptom, LoadComplaint>> = {
  dead: 'never-on',
  sometimes: 'sometimes',
  'never-off': 'never-off',
  weak: 'weak',
  'wrong-way': 'wrong-way',
};

/** What the complaint of the customer says of loads: offered first, never taken for seen. */
export const toldComplaints = (symptoms: readonly Symptom[]): ReadonlySet<LoadComplaint> =>
  new Set(symptoms.flatMap((one) => AS_SYMPTOM[one] ?? []));
