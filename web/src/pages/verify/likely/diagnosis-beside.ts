import { Beside } from '../../../parts/beside/beside.js';
import type { DiagnosisDesk } from './diagnosis-desk.js';

export const diagnosisBeside = () =>
  new Beside<DiagnosisDesk>({
    open: () => new Worker(new URL('./diagnosis.worker.ts', import.meta.url), { type: 'module' }),
    standIn: async () => (await import('./diagnosis-desk.js')).diagnosisDesk,
  });
