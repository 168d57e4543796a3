import fc from 'fast-check';
import {
  ACTUATOR_FORMS,
  EXTENTS,
  FACES,
  FASTENERS,
  HOW_KNOWN,
  LINK_KINDS,
  MECHANICS,
  NOTE_FIELDS,
  ORDERS,
  ORDINARY_METER,
  PART_FORMS,
  PHOTO_PURPOSES,
  PLAIN_LAYOUTS,
  SAFETY_LINES,
  SIDES,
  SUPPLIES,
  SURENESS,
  TERMINAL_ROLES,
  TERMINATIONS,
  TEST_RESULTS,
  TESTERS,
  WIRE_COLORS,
  type Deed,
  type DeedKind,
} from '../switch/index.js';

/** A small pool, so that ids meet: the newest of an id, undo of what is there, wires on terminals that exist. */
const pool = Array.from(
  { length: 12 },
  (_, index) => `a0000000-0000-4000-8000-0000000000${String(index).padStart(2, '0')}`,
);
const id = fc.constantFrom(...pool);
const oneOf = <Value>(values: readonly Value[]) => fc.constantFrom(...values);
const text = (maxLength: number) => fc.string({ maxLength });
const said = (maxLength: number) => fc.string({ minLength: 1, maxLength });
const orNull = <Value>(values: fc.Arbitrary<Value>) => fc.option(values, { nil: null });
const share = fc.double({ min: 0, max: 1, noNaN: true });
const amount = fc.double({ min: 0, max: 1e6, noNaN: true });
const count = (min: number, max: number) => fc.integer({ min, max });
const flag = fc.boolean();
const two = fc.uniqueArray(id, { minLength: 2, maxLength: 2 });

const value = fc.oneof(
  fc.record({ kind: fc.constant('ohms'), ohms: amount }),
  fc.constant({ kind: 'over' }),
  fc.constant({ kind: 'unsteady' }),
  fc.record({ kind: fc.constant('tone'), sounded: flag }),
);
const lead = fc.uniqueArray(id, { minLength: 1, maxLength: 3 });
const several3 = fc.uniqueArray(id, { maxLength: 3 });
const fromOtherSide = fc.constant(true);
const reading = fc.record(
  { id, setting: id, red: lead, black: lead, value, fromOtherSide },
  { requiredKeys: ['id', 'setting', 'red', 'black', 'value'] },
);
const ask = fc.oneof(
  fc.record({ kind: fc.constant('sweep'), setting: id, red: id, black: lead }),
  fc.record(
    { kind: fc.constant('pair'), setting: id, red: id, black: id, fromOtherSide },
    { requiredKeys: ['kind', 'setting', 'red', 'black'] },
  ),
  fc.record({ kind: fc.constant('turn'), red: id, black: id, settings: lead }),
  fc.record({ kind: fc.constant('bundle'), red: lead, black: lead, settings: lead }),
);
const prompt = fc.record({ id, ask });
const handSeconds = fc.double({ min: 0, max: 120, noNaN: true });
const pose = fc.oneof(
  fc.record({ kind: fc.constant('angle'), degrees: fc.double({ min: -360, max: 360, noNaN: true }) }),
  fc.record({ kind: fc.constant('keys'), down: fc.uniqueArray(count(1, 24), { maxLength: 3 }) }),
);
const rests = oneOf(['maintained', 'momentary']);
const position = fc.record({ id, name: orNull(text(40)), rests, returnsTo: orNull(id), pose: orNull(pose) });
const setting = fc.record({
  id,
  at: fc.dictionary(id, id, { maxKeys: 2 }),
  condition: orNull(text(80)),
  need: oneOf(['required', 'optional', 'impossible']),
});
const actuator = fc.record({
  id,
  name: text(40),
  form: oneOf(ACTUATOR_FORMS),
  positions: fc.uniqueArray(position, { minLength: 1, maxLength: 3, selector: (one) => one.id }),
  closed: orNull(oneOf(['declared', 'stop', 'round'])),
});
const terminal = fc.record({ id, label: said(24), marking: orNull(text(24)), role: oneOf(TERMINAL_ROLES) });
const layout = fc.oneof(
  ...PLAIN_LAYOUTS.map((kind) => fc.constant({ kind })),
  fc.record({ kind: fc.constant('wafers'), decks: count(1, 12), places: count(2, 48) }),
  fc.record({ kind: fc.constant('grid'), rows: count(1, 24), columns: count(1, 48) }),
  fc.record({ kind: fc.constant('photo'), photo: id, side: oneOf(SIDES) }),
);
const spot = fc.oneof(
  fc.record({ on: fc.constant('wafers'), deck: count(0, 11), face: oneOf(FACES), clock: count(0, 47) }),
  fc.record({ on: fc.constant('grid'), row: count(0, 23), column: count(0, 47) }),
  fc.record({ on: fc.constant('photo'), photo: id, x: share, y: share }),
);
const change = (name: string, fields: Record<string, fc.Arbitrary<unknown>> = {}) =>
  fc.record({ change: fc.constant(name), ...fields });
const several = <Value extends { id: string }>(items: fc.Arbitrary<Value>, least = 0) =>
  fc.uniqueArray(items, { minLength: least, maxLength: 4, selector: (one) => one.id });
const changes = fc.oneof(
  change('described', {
    terminals: several(terminal, 2),
    actuators: several(actuator),
    settings: several(setting, 1),
    layout,
  }),
  change('terminal-added', { terminal }),
  change('terminal-renamed', { terminal: id, label: said(24), marking: orNull(text(24)) }),
  change('relabelled', {
    labels: fc.array(fc.record({ terminal: id, label: said(24), marking: orNull(text(24)) }), {
      minLength: 1,
      maxLength: 3,
    }),
  }),
  change('terminal-role', { terminal: id, role: oneOf(TERMINAL_ROLES) }),
  change('terminal-retired', { terminal: id }),
  change('position-added', { actuator: id, position, after: orNull(id), settings: several(setting) }),
  change('position-renamed', { position: id, name: orNull(text(40)) }),
  change('position-posed', { position: id, rests, returnsTo: orNull(id), pose: orNull(pose) }),
  change('position-retired', { position: id }),
  change('position-merged', { position: id, into: id }),
  change('positions-closed', { actuator: id, by: oneOf(['declared', 'stop', 'round']) }),
  change('actuator-described', { actuator: id, name: text(40), form: oneOf(ACTUATOR_FORMS) }),
  change('actuator-added', { actuator, home: id, settings: several(setting) }),
  change('setting-added', { setting }),
  change('setting-needed', { setting: id, need: oneOf(['required', 'optional', 'impossible']) }),
  change('laid-out', { layout }),
  change('placed', { spots: fc.array(fc.record({ terminal: id, spot }), { minLength: 1, maxLength: 4 }) }),
);
const answer = fc.oneof(
  fc.record({ kind: fc.constant('done'), note: text(200) }),
  fc.record({ kind: fc.constant('not-applicable'), reason: said(300) }),
  fc.record({ kind: fc.constant('proved'), tester: oneOf(TESTERS), source: said(120) }),
  fc.record({ kind: fc.constant('dead'), volts: amount, everyPosition: flag }),
  fc.record({ kind: fc.constant('discharged'), before: amount, after: amount }),
);
const money = orNull(amount);
const revision = count(0, 50);
const source = oneOf(['typed', 'meter', 'simulated']);

/** The body of each kind of event, besides its kind. */
const BODIES: Record<DeedKind, Record<string, fc.Arbitrary<unknown>>> = {
  answered: {
    act: oneOf(['pair', 'sweep', 'turn', 'bundle']),
    prompt: orNull(id),
    source,
    inCircuit: flag,
    readings: fc.array(reading, { minLength: 1, maxLength: 3 }),
  },
  withdrawn: { target: id, basedOn: orNull(revision) },
  restored: { target: id, basedOn: orNull(revision) },
  superseded: { reading: id, replacement: orNull(reading), source },
  restructured: { change: changes, basedOn: revision },
  explained: { readings: lead, as: oneOf(['contact', 'part', 'leak', 'potentiometer']), note: text(500) },
  assumed: {
    assumption: fc.record({ kind: fc.constant('blocks-apart'), blocks: fc.array(lead, { maxLength: 2 }) }),
    by: text(80),
  },
  'part-declared': {
    part: fc.record({
      id,
      form: oneOf(PART_FORMS),
      terminals: two,
      ohms: money,
      note: text(200),
      on: flag,
      removed: flag,
    }),
  },
  'meter-failed': { leadsTogether: value },
  'meter-checked': { leadsTogether: value, meter: fc.constant(ORDINARY_METER) },
  'prompt-shown': { prompt },
  skipped: { prompt, reason: oneOf(['later', 'cannot-reach']) },
  approached: {
    approach: fc.record({
      order: oneOf(ORDERS),
      extent: oneOf(EXTENTS),
      clips: count(0, 64),
      hands: orNull(
        fc.record({
          moveLead: handSeconds,
          moveBoth: handSeconds,
          turn: handSeconds,
          read: handSeconds,
          holdMomentary: handSeconds,
          clip: handSeconds,
        }),
      ),
    }),
  },
  'recheck-begun': {},
  'return-begun': {},
  'pairs-named': { pairs: fc.array(two, { maxLength: 4 }) },
  'clips-touched': { red: several3, black: several3, silent: several3 },
  expected: {
    table: orNull(
      fc.record({
        source: fc.oneof(
          fc.constant({ kind: 'drawn' }),
          fc.record({ kind: fc.constant('library'), entry: id, name: text(120) }),
        ),
        settings: fc.array(fc.record({ setting: id, joined: fc.array(lead, { maxLength: 2 }) }), {
          maxLength: 3,
        }),
      }),
    ),
  },
  chosen: {
    replacement: orNull(
      fc.record({
        entry: id,
        name: text(120),
        terminals: fc.array(fc.record({ from: id, to: text(24) }), { maxLength: 2 }),
        positions: fc.array(fc.record({ from: id, to: text(40) }), { maxLength: 2 }),
      }),
    ),
  },
  noted: { field: oneOf(NOTE_FIELDS), text: text(4000) },
  transcribed: {
    marking: fc.record({
      id,
      runs: fc.array(fc.record({ text: said(20), sure: oneOf(SURENESS) }), { maxLength: 3 }),
      box: orNull(fc.record({ photo: id, x: share, y: share, width: share, height: share })),
    }),
  },
  'sister-noted': { sister: fc.record({ id, text: said(200), job: orNull(id), removed: flag }) },
  'photo-taken': {
    photo: fc.record({
      id,
      purpose: oneOf(PHOTO_PURPOSES),
      caption: text(200),
      width: count(1, 9000),
      height: count(1, 9000),
      removed: flag,
    }),
  },
  'worth-noted': {
    inputs: fc.record({
      part: money,
      minutes: money,
      ratePerHour: money,
      postage: money,
      newMachine: money,
      newLife: money,
      lifeLeft: money,
      limit: money,
      dangerous: flag,
    }),
  },
  'safety-begun': {
    list: fc.record({
      supply: oneOf(SUPPLIES),
      lines: fc.uniqueArray(
        fc.record({ id, kind: oneOf(SAFETY_LINES), text: orNull(said(300)), why: orNull(text(300)) }),
        {
          minLength: 1,
          maxLength: 4,
          selector: (line) => line.id,
        },
      ),
      codeNote: text(2000),
    }),
  },
  'safety-answered': { line: id, answer: orNull(answer) },
  'safety-signed': { by: said(80) },
  're-energised': { reason: text(300) },
  'live-recorded': {
    record: fc.record({ id, where: said(200), volts: amount, reason: said(300), by: said(80) }),
  },
  'wires-off': { off: flag },
  'path-laid': {
    links: fc.uniqueArray(fc.record({ id, kind: oneOf(LINK_KINDS), name: orNull(text(60)) }), {
      maxLength: 6,
      selector: (link) => link.id,
    }),
  },
  'path-tested': {
    test: fc.record({ id, links: lead, result: orNull(oneOf(TEST_RESULTS)), flexed: flag, ohms: money }),
  },
  'wire-tagged': {
    wire: fc.record({
      id,
      tag: said(12),
      color: fc.oneof(fc.constant(''), oneOf(WIRE_COLORS.map(({ code }) => code)), fc.constant('GNYE')),
      size: text(24),
      termination: orNull(oneOf(TERMINATIONS)),
      goesTo: text(80),
      liveThough: flag,
      terminal: orNull(id),
      removed: flag,
    }),
  },
  stripped: {
    step: fc.record({
      id,
      text: text(300),
      photo: orNull(id),
      fasteners: fc.array(
        fc.record({
          count: count(1, 99),
          kind: oneOf(FASTENERS),
          length: orNull(fc.double({ min: 0.1, max: 1000, noNaN: true })),
          place: text(120),
        }),
        { maxLength: 2 },
      ),
      loose: text(200),
      removed: flag,
    }),
  },
  measured: { fact: fc.record({ field: oneOf(MECHANICS), value: text(120), how: oneOf(HOW_KNOWN) }) },
  signed: { by: text(80), note: text(500) },
  'left-out': { event: id, was: text(40), because: text(60) },
};

/** Any well-formed event body of a kind. */
export const anyDeedOf = (kind: DeedKind): fc.Arbitrary<Deed> =>
  fc.record({ kind: fc.constant(kind), ...BODIES[kind] }) as unknown as fc.Arbitrary<Deed>;

/** Any well-formed event body. */
export const anyDeed: fc.Arbitrary<Deed> = fc
  .constantFrom(...(Object.keys(BODIES) as DeedKind[]))
  .chain(anyDeedOf);
