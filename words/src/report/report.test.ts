import { readFileSync } from 'node:fs';
import { deriveMap } from '@which-way/core/continuity';
import { readLog, upgradeEvent, type Deed, type DeedKind, type JobEvent } from '@which-way/core/log';
import { checkBench, checkOf, refitOf, refitStanding } from '@which-way/core/refit';
import { judge, takenCheck } from '@which-way/core/verdict';
import { verdictOf } from '@which-way/core/verify';
import { describe, expect, it } from 'vitest';
import { factsOf, KNOWN_BY, type ReportDocument } from './document.js';
import type { ReportSource } from './pieces.js';
import { ownersReport, reportOf } from './report.js';

interface DemoJob {
  title: string;
  place: string;
  about?: string;
  events: JobEvent[];
}
const { jobs } = JSON.parse(readFileSync(new URL('../../../demo/jobs.json', import.meta.url), 'utf8')) as {
  jobs: DemoJob[];
};
const switches = jobs.filter(({ about }) => about !== 'system');

const upgraded = (events: readonly JobEvent[]): JobEvent[] =>
  events.map((event) => upgradeEvent(event) as JobEvent);

function sourceOf({ title, place }: DemoJob, events: readonly JobEvent[]): ReportSource {
  const map = deriveMap(upgraded(events));
  const refit = refitOf(map);
  const check = refit ? checkOf(checkBench(refit)) : null;
  return {
    ...{ job: { number: 1, title, place }, map },
    standing: refitStanding(map, true, check),
    check: takenCheck(map, check),
    judgement: judge(map, takenCheck(map, check)),
  };
}
const reported = (job: DemoJob, events = job.events): ReportDocument => reportOf(sourceOf(job, events));
const heater = switches.find(({ title }) => title.startsWith('Market stall')) as DemoJob;
const fails = switches.find(
  ({ events }) => verdictOf(deriveMap(upgraded(events))).pattern.outcome === 'fail',
) as DemoJob;
const lamp = switches.find(({ title }) => title.startsWith('Reading lamp')) as DemoJob;

describe('a report', () => {
  it('says of everything in it how it is known, for every job of the demo', () => {
    for (const job of switches.filter(({ events }) => events.length < 60))
      for (const { text, known } of factsOf(reported(job))) {
        expect(text.trim()).not.toBe('');
        expect(KNOWN_BY).toContain(known);
      }
  });

  it('shows the photos that were chosen, one by one, and none where photos are left out', () => {
    const kiln = switches.find(({ events }) =>
      events.some(({ what }) => what.kind === 'photo-taken'),
    ) as DemoJob;
    const ids = kiln.events.flatMap(({ what }) => (what.kind === 'photo-taken' ? [what.photo.id] : []));
    const shown = (shape?: Omit<Extract<Deed, { kind: 'report-shaped' }>, 'kind'>) => {
      const last = kiln.events.at(-1) as JobEvent;
      const event = {
        ...last,
        id: `${last.id.slice(0, -12)}0123456789ab`,
        at: '2027-01-01T00:00:00.000Z',
        clock: last.clock + 1,
      };
      const more = shape ? [{ ...event, what: { kind: 'report-shaped', ...shape } } as JobEvent] : [];
      return reported(kiln, [...kiln.events, ...more]).sections.flatMap(({ pieces }) =>
        pieces.flatMap((piece) => (piece.kind === 'photo' ? [piece.photo] : [])),
      );
    };
    expect(shown()).toEqual(ids);
    expect(shown({ leftOut: [], photosOut: ids.slice(0, 1) })).toEqual(ids.slice(1));
    expect(shown({ leftOut: ['photos'], photosOut: [] })).toEqual([]);
  });

  it('has what a person said as it stands in the log', () => {
    const log = JSON.stringify(heater.events);
    const { sections } = reported(heater);
    const said = sections
      .filter(({ part }) => ['complaint', 'done', 'owner'].includes(part))
      .flatMap(({ pieces }) => pieces.flatMap((piece) => (piece.kind === 'facts' ? piece.facts : [])));
    expect(said.length).toBeGreaterThan(5);
    for (const { text } of said) {
      const own = text.replace(/^(Machine|Complaint|Tried before|To be looked at again): /, '');
      for (const part of own.replace(/^Stays as it is: /, '').split('. Accepted: '))
        expect(log).toContain(part);
    }
  });

  const told: DeedKind[] = [
    'noted',
    'check-read',
    'power-recorded',
    'function-tried',
    'residual-noted',
    'refit-noted',
    'refit-signed',
    'line-ticked',
    'answered',
  ];
  it.each(told)('hangs on every event of the kind %s: without it, it says otherwise', (kind) => {
    const whole = JSON.stringify(reported(heater));
    const some = heater.events.filter(({ what }) => what.kind === kind);
    expect(some.length).toBeGreaterThan(0);
    for (const left of some.slice(0, 4)) {
      const without = heater.events.filter((event) => event !== left);
      expect(JSON.stringify(reported(heater, without))).not.toBe(whole);
    }
  });

  it('states nothing as found of a job in which nothing was done', () => {
    const { sections } = reported(heater, []);
    expect(sections.map(({ part }) => part)).not.toContain('complaint');
    const stated = sections.flatMap(({ part, pieces }) =>
      pieces.flatMap((piece) =>
        piece.kind === 'facts' ? piece.facts.map(({ known }) => `${part} ${known}`) : [],
      ),
    );
    expect(stated.filter((one) => /measured|signed signed|follows|said/.test(one))).toEqual([]);
    expect(stated).toContain('signatures not-known');
  });

  it('has the acts of the hands as lines, as many as there are acts', () => {
    const { sections } = reported(heater);
    const readings = sections.find(({ part }) => part === 'readings')?.pieces[0];
    const acts = readLog(upgraded(heater.events)).ordered.filter(({ what }) => what.kind === 'answered');
    expect(readings?.kind === 'facts' && readings.facts).toHaveLength(acts.length);
  });

  it('tells a failed check, and what was not tested', () => {
    const texts = factsOf(reported(lamp)).map(({ text }) => text);
    expect(texts).toContain('Check before power: failed');
    expect(texts.some((text) => text.includes('apart, not as it must be'))).toBe(true);
    expect(texts).toContain('no function was tried');
    expect(texts).toContain('Nobody has signed it.');
  });

  it('leaves out what was asked to be left out, and says it shorter to the owner', () => {
    const shaped = {
      ...(heater.events.at(-1) as JobEvent),
      ...{ id: '0b8d0a52-51d4-4c0e-9d6e-00000000aaaa' as never, clock: 1e6, sequence: 1e6 },
      what: { kind: 'report-shaped', leftOut: ['readings', 'table'] },
    } as JobEvent;
    const parts = reported(heater, [...heater.events, shaped]).sections.map(({ part }) => part);
    expect(parts).not.toContain('readings');
    expect(parts).not.toContain('table');
    const short = ownersReport(sourceOf(heater, heater.events));
    expect(short.sections[0]?.heading).toBe('May it be used?');
    expect(factsOf(short).length).toBeLessThan(factsOf(reported(heater)).length / 2);
    expect(factsOf(short).map(({ text }) => text)).toContain(
      '10 of 10 functions were tried and do as they should.',
    );
  });

  it('says first to the owner that a failed switch is not to be used, and why; never that an untested one may be', () => {
    const texts = (job: DemoJob) => factsOf(ownersReport(sourceOf(job, job.events))).map(({ text }) => text);
    const [first = ''] = texts(fails);
    expect(first).toMatch(
      /^This switch fails: pattern \(differs from what it should do\).*Do not use it\. At /,
    );
    for (const job of switches)
      expect(texts(job)[0]).toMatch(
        /^((This|The old) switch (fails|passes|is not cleared for use yet): |The machine doesn’t)/,
      );
    expect(texts(lamp)[0]).not.toMatch(/passes/);
  });
});
