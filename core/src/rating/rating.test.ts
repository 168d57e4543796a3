import fc from 'fast-check';
import { runsOf, surenessOf } from '../log/index.js';
import { describe, expect, it } from 'vitest';
import { americanGauge, loopOhms } from './wire-gauge.js';
import { decodeCategory } from './category.js';
import { decodeDesignation } from './designation.js';
import { decodeMarking } from './marking.js';
import type { DecodedMarking } from './piece.js';
import { decodeTranscription } from './transcription.js';

const currents = ({ currents: list }: DecodedMarking) =>
  list.map(({ amperes, load, volts, supply }) => [load, amperes, volts, supply].join(' '));
const unread = ({ pieces }: DecodedMarking) =>
  pieces.filter(({ code }) => code === 'not-read').map(({ text, from }) => `${text}@${from}`);

describe('appliance-switch markings', () => {
  // The forms are those of the published appliance-switch standard (IEC 61058-1), from memory; the values are our own.
  it.each<[string, string[]]>([
    ['6A 250V~', ['resistive 6 250 ac']],
    ['16(4)A 250V~', ['resistive 16 250 ac', 'motor 4 250 ac']],
    ['16 (3) A 250 V AC', ['resistive 16 250 ac', 'motor 3 250 ac']],
    ['6[3]A 250V~', ['resistive 6 250 ac', 'lamp 3 250 ac']],
    ['2/8A 250V~', ['resistive 2 250 ac', 'capacitive-peak 8 250 ac']],
    ['0,5A 48V⎓', ['resistive 0.5 48 dc']],
    ['2.5A 24V=', ['resistive 2.5 24 dc']],
    ['10A 12V DC', ['resistive 10 12 dc']],
    ['3A 125V AC/DC', ['resistive 3 125 ac-dc']],
    ['10A 125V~ 6A 250V~', ['resistive 10 125 ac', 'resistive 6 250 ac']],
    ['4A', ['resistive 4  ']],
    ['10A 220-240V~', ['resistive 10 240 ac']],
    ['10AX 250V~', ['resistive 10 250 ac', 'discharge-lamp 10 250 ac']],
    ['1A 250V~ m', ['resistive 1 250 ac']],
    ['6(2)A 250V~ 60W', ['resistive 6 250 ac', 'motor 2 250 ac']],
    ['12 (8) A 24 V DC', ['resistive 12 24 dc', 'motor 8 24 dc']],
    ['0.1A 5V⎓', ['resistive 0.1 5 dc']],
    ['20A 12VDC 10A 24VDC', ['resistive 20 12 dc', 'resistive 10 24 dc']],
  ])('%s', (text, expected) => {
    const decoded = decodeMarking(text);
    expect(currents(decoded)).toEqual(expected);
    expect(unread(decoded)).toEqual([]);
  });

  it.each([
    ['5E4', 50_000],
    ['1E4', 10_000],
    ['1e5', 100_000],
    ['6E3', 6000],
  ])('%s is %d operations', (text, operations) => expect(decodeMarking(text).operations).toBe(operations));

  it.each([
    ['T85', { least: null, most: 85, handleMost: null }],
    ['25T85', { least: 25, most: 85, handleMost: null }],
    ['T125/55', { least: null, most: 125, handleMost: 55 }],
    ['-20T105', { least: -20, most: 105, handleMost: null }],
  ])('%s is an ambient temperature', (text, temperature) =>
    expect(decodeMarking(text).temperature).toEqual(temperature),
  );

  it('takes a whole line apart', () => {
    const decoded = decodeMarking('8(4)A 250V~ µ T100/55 5E4 IP40');
    expect(currents(decoded)).toEqual(['resistive 8 250 ac', 'motor 4 250 ac']);
    expect(decoded).toMatchObject({ disconnection: 'micro', operations: 50_000, protection: '40' });
    expect(decoded.pieces.map(({ text }) => text).join('')).toBe('8(4)A 250V~ µ T100/55 5E4 IP40');
  });

  it.each([
    ['µ', 'micro'],
    ['m', 'mini'],
    ['ε', 'electronic'],
    ['6A 250V~', null],
  ])('%s: disconnection %s; without a symbol it stays unknown', (text, kind) =>
    expect(decodeMarking(text).disconnection).toBe(kind),
  );

  it.each([
    ['IP67', '67'],
    ['IP X4', 'X4'],
    ['ip5x', '5X'],
  ])('%s', (text, protection) => expect(decodeMarking(text).protection).toBe(protection));

  it('points at the character that it cannot read, and keeps the rest', () => {
    const decoded = decodeMarking('6(#)A 250V~ T85');
    expect(unread(decoded)[0]).toBe('6(#)A@0');
    expect(decoded.temperature?.most).toBe(85);
    expect(decoded.currents).toEqual([]);
    expect(unread(decodeMarking('10A ? 250V~'))).toEqual(['?@4']);
  });

  it('states nothing that is not there', () => {
    const decoded = decodeMarking('250V~');
    expect(decoded).toMatchObject({
      currents: [],
      operations: null,
      temperature: null,
      protection: null,
      form: null,
    });
  });
});

describe('horsepower, lamps and forms', () => {
  it.each([
    ['1/4HP 125VAC', 0.25, 125],
    ['1 1/2 HP 250VAC', 1.5, 250],
    ['0.75hp 240V~', 0.75, 240],
    ['2HP', 2, null],
  ])('%s', (text, horsepower, volts) =>
    expect(decodeMarking(text).powers[0]).toMatchObject({ horsepower, volts }),
  );

  it('reads contact forms and tungsten marks', () => {
    expect(decodeMarking('2 Form C').pieces[0]).toMatchObject({
      code: 'contact-form',
      params: { form: 'C', count: 2 },
    });
    expect(decodeMarking('2.2kW').pieces[0]).toMatchObject({ code: 'watts', params: { watts: 2200 } });
    expect(decodeMarking('TV-5').pieces[0]).toMatchObject({ code: 'tungsten', params: { amperes: 5 } });
  });
});

describe('control-circuit designations', () => {
  // IEC 60947-5-1, table A.1, from memory: 7200 VA made and 720 VA broken for A, 3600 and 360 for B, 1800 and 180 for C,
  // 432 and 72 for D, 216 and 36 for E.
  it.each([
    ['A600', 7200, 720],
    ['B300', 3600, 360],
    ['C150', 1800, 180],
    ['D300', 432, 72],
    ['E150', 216, 36],
  ])('%s makes %d VA and breaks %d VA at every voltage', (text, make, breaks) => {
    for (const current of decodeDesignation(text)?.currents ?? []) {
      expect(current.make * current.volts).toBeCloseTo(make, 6);
      expect(current.break * current.volts).toBeCloseTo(breaks, 6);
    }
    expect(decodeDesignation(text)?.currents.length).toBeGreaterThan(0);
  });

  it('keep to the voltage that they name, and to their supply', () => {
    expect(decodeDesignation('A300')?.currents.map(({ volts }) => volts)).toEqual([120, 240]);
    expect(decodeDesignation('Q300')).toMatchObject({ supply: 'dc', category: 'DC-13', thermalAmperes: 2.5 });
    expect(decodeDesignation('q300')?.currents.at(-1)).toEqual({ volts: 250, make: 0.27, break: 0.27 });
    expect(decodeDesignation('E300')).toBeNull();
    expect(decodeDesignation('F600')).toBeNull();
    expect(decodeMarking('A600, Q300').designations.map(({ letter }) => letter)).toEqual(['A', 'Q']);
  });
});

describe('utilisation categories', () => {
  it.each([
    ['AC-15', 'control-circuit', 'electromagnets', null],
    ['DC13', 'control-circuit', 'electromagnets', null],
    ['AC-1', 'contactor', 'slightly-inductive', null],
    ['AC-3', 'contactor', 'cage-motors-switched-off-running', null],
    ['AC-4', 'contactor', 'cage-motors-inching-plugging', null],
    ['AC-21A', 'load-switch', 'resistive-moderate-overload', 'frequent'],
    ['AC-22B', 'load-switch', 'mixed-resistive-inductive', 'infrequent'],
    ['ac-23a', 'load-switch', 'motors-and-highly-inductive', 'frequent'],
  ])('%s belongs to %s', (text, family, load, frequency) =>
    expect(decodeCategory(text)).toMatchObject({ family, load, frequency }),
  );

  it('is not guessed where there is none', () => {
    expect(decodeCategory('AC-99')).toBeNull();
    expect(decodeMarking('AC-15 240V 3A').categories).toEqual(['AC-15']);
    expect(decodeMarking('10A 250VAC').categories).toEqual([]);
  });
});

describe('gauges and cords', () => {
  // Handbook values of the American wire gauge (ASTM B258 tables): mm and mm2 by gauge.
  it.each([
    [36, 0.127, 0.01267],
    [24, 0.511, 0.205],
    [18, 1.024, 0.823],
    [14, 1.628, 2.08],
    [10, 2.588, 5.26],
    [0, 8.251, 53.5],
    [-3, 11.684, 107],
  ])('gauge %d is %d mm and %d mm2', (gauge, diameter, area) => {
    expect(americanGauge(gauge).diameter).toBeCloseTo(diameter, 2);
    expect(americanGauge(gauge).area / area).toBeCloseTo(1, 2);
  });

  it('halve the area every three gauges, nearly (a rule of thumb, common practice)', () => {
    for (let gauge = 0; gauge <= 30; gauge += 3) {
      expect(americanGauge(gauge).area / americanGauge(gauge + 3).area).toBeCloseTo(2, 1);
    }
    expect(() => americanGauge(41)).toThrow(RangeError);
  });

  it.each([
    ['3G1.5', 3, 1.5],
    ['3G1,5mm²', 3, 1.5],
    ['2x0.75', 2, 0.75],
    ['3x18AWG', 3, 0.823],
    ['18AWG/3', 3, 0.823],
    ['AWG 16', 1, 1.31],
  ])('%s is a cord', (text, cores, area) => {
    expect(decodeMarking(text).cord).toEqual({ cores, area });
  });

  it('a cord of 5 m and 0.75 mm2 loops to 230 milliohm, of 2.08 mm2 to 83 (copper at 20 degrees C, IEC 60028)', () => {
    expect(loopOhms(5, 0.75)).toBeCloseTo(0.23, 2);
    expect(loopOhms(5, 2.08)).toBeCloseTo(0.083, 3);
  });
});

describe('a transcription', () => {
  it('reads nothing across what is unreadable, and marks what rests on a guess', () => {
    const decoded = decodeTranscription({
      runs: [
        { text: '1', sure: 'guess' },
        { text: '6(4)A 25', sure: 'certain' },
        { text: '0', sure: 'unreadable' },
        { text: 'V~ T85', sure: 'certain' },
      ],
    });
    expect(decoded.pieces.find(({ code }) => code === 'current')).toMatchObject({
      text: '16(4)A',
      guessed: true,
    });
    expect(decoded.pieces.find(({ code }) => code === 'temperature')).toMatchObject({ guessed: false });
    expect(decoded.currents.every(({ volts }) => volts === null)).toBe(true);
    const text = '16(4)A';
    const sureness = ['guess', 'certain', 'certain', 'unreadable', 'certain', 'certain'] as const;
    const runs = runsOf(text, sureness);
    expect(runs.map((run) => run.text).join('')).toBe(text);
    expect(surenessOf({ runs })).toEqual(sureness);
  });
});

describe('any text', () => {
  it('is covered by its pieces, in order, without gaps, and never throws', () => {
    const alphabet = fc.constantFrom(...'0123456789()[]AVT~=µEPIHG xX/.,-#°acdf ');
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.string({ unit: alphabet, maxLength: 40 })), (text) => {
        const { pieces } = decodeMarking(text);
        expect(pieces.map((piece) => piece.text).join('')).toBe(text);
        pieces.forEach((piece, index) => expect(piece.from).toBe(index === 0 ? 0 : pieces[index - 1]?.to));
      }),
      { numRuns: 500 },
    );
  });
});
