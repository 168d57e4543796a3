import { createMapper } from '@which-way/core/continuity';
import { linesForJob, safetyStanding, standardLists } from '@which-way/core/safety';
import { createWriter, newWire, readLog, SUPPLIES, type JobEvent, type Wire } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { areaOf } from '../path/cord-check.js';
import { readAmount } from '../../controls/fields/amount.js';
import { angleOf } from '@which-way/core/switch';
import { turnWords } from '@which-way/words/tag/handles';
import { lineWords, troubleList } from '@which-way/words/before/safety';
import { colorWords, fastenerWords } from '@which-way/words/tag/wires';
import { stickerMap, tagLabels } from './wires/pdf.js';
import { nextTag } from './wires/next-tag.js';

const newId = newIdFrom(seededRandom(9));
const wire = (tag: string, more: Partial<Wire> = {}): Wire => ({
  ...newWire(tag, newId),
  color: 'BK',
  ...more,
});

describe('what is typed', () => {
  it.each([
    ['12', 12],
    ['12,50', 12.5],
    [' 0 ', 0],
    ['', null],
    ['-1', undefined],
    ['1e3', undefined],
    ['12.345678', undefined],
    ['10000001', undefined],
  ])('%j is the amount %j', (text, amount) => expect(readAmount(text)).toBe(amount));

  it.each([
    ['0.75', 0.75],
    ['0,75 mm²', 0.75],
    ['3G1.5', 1.5],
    ['18 AWG', 0.823],
    ['thick', null],
    ['0', null],
  ])('%s is a cord of %s mm2', (text, area) => expect(areaOf(text)).toBe(area));

  it('gets the next free number for tags', () => {
    expect(nextTag([])).toBe('1');
    expect(nextTag([wire('3'), wire('A'), wire('12')])).toBe('13');
  });
});

describe('words', () => {
  it('of colours and fasteners', () => {
    expect(colorWords('GNYE')).toBe('GNYE, green and yellow');
    expect(colorWords('')).toBe('colour not written down');
    expect(fastenerWords({ count: 2, kind: 'screw', length: 12, place: 'left' }, 'metric')).toBe(
      '2 screws, 12 mm, left',
    );
    expect(fastenerWords({ count: 1, kind: 'clip', length: null, place: '' }, 'metric')).toBe('1 clip');
  });

  it.each(SUPPLIES)('of every standard line of %s say what to do and why', (supply) => {
    for (const line of standardLists()[supply]) {
      const { text, why } = lineWords(line, supply);
      expect(text.length).toBeGreaterThan(10);
      expect(why).toMatch(/\.$/);
    }
  });

  it('gather what is only missing, and put what is wrong first', () => {
    const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
    const lines = linesForJob(standardLists(), 'plug-in', newId);
    const events: JobEvent[] = [];
    events.push(
      writer.write(events, { kind: 'safety-begun', list: { supply: 'plug-in', lines, codeNote: '' } }),
    );
    const dead = lines.find(({ kind }) => kind === 'prove-dead');
    events.push(
      writer.write(events, {
        kind: 'safety-answered',
        line: lines[0]?.id as never,
        answer: { kind: 'done', note: '' },
      }),
    );
    events.push(
      writer.write(events, {
        kind: 'safety-answered',
        line: dead?.id as never,
        answer: { kind: 'dead', volts: 230, everyPosition: true },
      }),
    );
    const list = troubleList(safetyStanding(readLog(events), false).troubles, 'plug-in');
    expect(list).toHaveLength(2);
    expect(list[0]).toContain('230 V was found');
    expect(list[1]).toMatch(/^6 lines are not answered yet\. Next: More than one feed/);
  });
});

describe('the way a handle turns', () => {
  it('is told as seen: the other way round from the other side', () => {
    const { actuators } = describeSwitch(
      { terminals: 2, positions: 3, form: 'rotary', layout: 'circle' },
      newId,
    );
    const [knob] = actuators;
    if (!knob) throw new Error('no knob');
    expect(turnWords(knob, 'front')).toBe('It turns clockwise as seen here');
    expect(turnWords(knob, 'terminal')).toBe('It turns anticlockwise as seen here');
    expect(knob.positions.map((position) => angleOf(knob, position))).toEqual([-45, 0, 45]);
    const round = { ...knob, closed: 'round' as const };
    expect(round.positions.map((position) => angleOf(round, position))).toEqual([0, 120, 240]);
  });
});

describe('what is printed', () => {
  const change = describeSwitch({ terminals: 3, positions: 2, form: 'toggle', layout: 'one-row' }, newId);
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const map = createMapper()([writer.write([], { kind: 'restructured', change, basedOn: null })]);
  const job = { number: 7, title: 'Toggle <of> something' };

  it('has every wire twice on the tags, with its terminal and code', () => {
    const terminal = change.terminals[1]?.id ?? null;
    const said = JSON.stringify(
      tagLabels(job, map, [wire('1', { terminal, color: 'BU' }), wire('2', { liveThough: true })]),
    );
    expect(said.match(/"on 2 {2}BU"/g)).toHaveLength(2);
    expect(said.match(/"on \? {2}BK {2}LIVE"/g)).toHaveLength(2);
  });

  it('says on the sticker that the map is not complete, and never more than is known', () => {
    const said = JSON.stringify(stickerMap(job, map, []));
    expect(said).toContain('NOT COMPLETE: 0 of 6 pairs settled so far.');
    expect(said).not.toContain('"Complete');
  });
});
