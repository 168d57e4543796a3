import { api } from '../../api/client.js';
import { noted, type Outbox } from '../../job/outbox/outbox.js';

/**
 * Forgets the copies of jobs that were deleted elsewhere: asked whenever the bench is there. What this browser has not sent of one
 * stays until a person has decided.
 */
export async function forgetDeleted(outbox: Pick<Outbox, 'copies' | 'forget'>): Promise<void> {
  const copies = await outbox.copies().catch(() => []);
  if (copies.length === 0) return;
  const { gone } = await api.gone(copies.map(({ id }) => id));
  for (const { id } of copies) if (gone.includes(id)) await noted(() => outbox.forget(id));
}
