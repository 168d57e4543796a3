import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../testing/runs.js';
import {
  LineBuffer,
  LONGEST_LINE,
  PLAIN_DRIVER,
  scpiError,
  scpiIdentity,
  scpiNumber,
  scpiRead,
  scpiReading,
  scpiSetUp,
  spokenReading,
} from './index.js';

describe('what a bench meter answers', () => {
  // Decimal numeric response data of IEEE 488.2, 8.7.2 to 8.7.4 (from memory): NR1 integers, NR2 with a point, NR3 with an exponent.
  it.each([
    ['12', 12],
    ['-3', -3],
    ['+0.25', 0.25],
    ['+1.23456789E+02', 123.456789],
    ['9.90000000E+37', 9.9e37],
    ['1.0e+3', null],
    ['.5', null],
    ['1.', null],
    ['0x10', null],
    ['1 2', null],
    ['', null],
    ['Infinity', null],
    ['NaN', null],
    ['1E+9999', null],
  ])('%s is a number: %s', (text, number) => expect(scpiNumber(text)).toBe(number));

  it.each([
    ['+1.50000000E+00;+1.00000000E+02', { value: { kind: 'ohms', ohms: 1.5 }, rangeOhms: 100 }],
    ['+1.50000000E+00', { value: { kind: 'ohms', ohms: 1.5 }, rangeOhms: null }],
    // Of several readings the first.
    ['+1.5E+00,+9.9E+00;+1.0E+02', { value: { kind: 'ohms', ohms: 1.5 }, rangeOhms: 100 }],
    // SCPI-1999, volume 1, 7.2.1.4 and 7.2.1.5 (from memory): infinity is over range, not a number is nothing and never an open.
    ['+9.90000000E+37;+1.00000000E+08', { value: { kind: 'over' }, rangeOhms: 1e8 }],
    ['+9.91000000E+37;+1.00000000E+08', { value: { kind: 'none' }, rangeOhms: null }],
    ['-9.90000000E+37', { value: { kind: 'none' }, rangeOhms: null }],
    // An offset below zero is nothing; far below is no resistance.
    ['-2.0E-03;+1.0E+02', { value: { kind: 'ohms', ohms: 0 }, rangeOhms: 100 }],
    ['-5.0E+03;+1.0E+02', { value: { kind: 'none' }, rangeOhms: null }],
    ['1.5;1E+02;0', null],
    ['1.5;', null],
    ['1.5;0', null],
    ['OK', null],
    ['', null],
  ])('%s', (answer, reading) => expect(scpiReading(answer)).toEqual(reading));

  it('is nothing, or a finite number of ohms not below zero, whatever comes', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const reading = scpiReading(text);
        if (reading?.value.kind === 'ohms') {
          expect(Number.isFinite(reading.value.ohms)).toBe(true);
          expect(reading.value.ohms).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: runs(500) },
    );
  });

  it('it is asked in one message for a reading with its range, and says who it is and what went wrong', () => {
    expect(scpiSetUp('four-wire')).toContain('CONF:FRES');
    expect(scpiRead('two-wire')).toBe('READ?;:SENS:RES:RANG?');
    expect(scpiIdentity('Example Works,DM-1,0042,1.0')).toBe('Example Works DM-1');
    expect(scpiIdentity('\u0007<b>Ex</b>,DM,0,1')).toBe('<b>Ex</b> DM');
    expect([scpiIdentity('hello'), scpiIdentity(',,,'), scpiIdentity('')]).toEqual([null, null, null]);
    expect(scpiError('-113,"Undefined header"')).toEqual({ code: -113, text: 'Undefined header' });
    expect(scpiError('+0,"No error"')).toEqual({ code: 0, text: 'No error' });
    expect(scpiError('-100,"a ""quoted"" word"')?.text).toBe('a "quoted" word');
    expect([scpiError('nonsense'), scpiError('-113')]).toEqual([null, null]);
  });
});

describe('lines', () => {
  it('are put together from pieces cut anywhere', () => {
    fc.assert(
      fc.property(fc.array(fc.stringMatching(/^[ -~]{1,20}$/), { maxLength: 6 }), fc.nat(7), (lines, cut) => {
        const text = lines.map((line) => `${line}\r\n`).join('');
        const buffer = new LineBuffer();
        const found: string[] = [];
        for (let at = 0; at < text.length; at += cut + 1)
          found.push(...buffer.push(text.slice(at, at + cut + 1)));
        expect(found).toEqual(lines);
      }),
    );
  });

  it('that are too long are dropped whole, and cost no memory; the next is whole again', () => {
    const buffer = new LineBuffer();
    expect(buffer.push('9'.repeat(1_000_000))).toEqual([]);
    expect(buffer.push('9\n1.5\n')).toEqual(['1.5']);
    expect(buffer.dropped).toBe(1);
    expect(buffer.push(`${'x'.repeat(LONGEST_LINE)}\n`)).toEqual(['x'.repeat(LONGEST_LINE)]);
    buffer.push('half a ');
    buffer.clear();
    expect(buffer.push('line\n')).toEqual(['line']);
  });
});

describe('a handheld that only talks, by its data', () => {
  const driver = { ...PLAIN_DRIVER, start: 'R=', mode: '' };
  it.each([
    ['R= 0.32 Ohm', { value: { kind: 'ohms', ohms: 0.32 }, rangeOhms: 0.01 }],
    ['R= 1.20 kOhm', { value: { kind: 'ohms', ohms: 1200 }, rangeOhms: 10 }],
    ['R= 0.500 MOhm', { value: { kind: 'ohms', ohms: 500_000 }, rangeOhms: 1000 }],
    ['R= OL MOhm', { value: { kind: 'over' }, rangeOhms: null }],
    ['V= 1.20 V', null],
    ['R= 1.20 V', null],
    ['R= Ohm', null],
    ['', null],
  ])('%s', (line, reading) => expect(spokenReading(line, driver)).toEqual(reading));

  it('whose line names its mode is read in that mode alone', () => {
    const named = { ...driver, mode: 'RES' };
    expect(spokenReading('R= 0.3 Ohm', named)).toBeNull();
    expect(spokenReading('R= RES 0.3 Ohm', named)?.value).toEqual({ kind: 'ohms', ohms: 0.3 });
  });
});
