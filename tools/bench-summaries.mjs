// What a person waits for while the summaries of 500 jobs are worked out anew, as after a new version.
import { join } from 'node:path';

const now = () => performance.now();
const sleep = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Marks all summaries as those of another version. The server must not run. */
async function makeOld(folder) {
  const { default: Database } = await import('libsql');
  const database = new Database(join(folder, 'which-way.sqlite'));
  try {
    database.prepare('UPDATE job_summary SET engine = 0').run();
  } finally {
    database.close();
  }
}

/** The longest wait for the list, one job and an append, from the first request until no summary is old; seconds until then. */
export async function benchSummaries(server, { note, atMost, round }, reading) {
  await makeOld(server.folder);
  await server.start();
  const { body: jobs } = await server.call('GET', '/api/jobs?search=nothing-has-this-name');
  if (jobs.length > 0) throw new Error('the search found something');
  const longest = { list: 0, job: 0, append: 0 };
  const one = (await server.call('GET', '/api/jobs')).body[0].id;
  const timed = async (what, request) => {
    const from = now();
    await request();
    longest[what] = Math.max(longest[what], now() - from);
  };
  const began = now();
  let requests = 0;
  for (let old = 1; old > 0; requests += 3) {
    await timed('list', async () => {
      const { body } = await server.call('GET', '/api/jobs');
      old = body.filter(({ stale }) => stale).length;
    });
    await timed('job', () => server.call('GET', `/api/jobs/${one}/events?after=0`));
    await timed('append', reading);
    await sleep(15);
    if (now() - began > 300_000) throw new Error(`${old} summaries are still old after five minutes`);
  }
  note('store', '500 summaries worked out anew', round((now() - began) / 1000, 1), 's');
  note('store', 'requests meanwhile', requests, '');
  for (const [what, milliseconds] of Object.entries(longest))
    atMost('store', `longest wait meanwhile: ${what}`, round(milliseconds, 1), 'ms', 50);
}
