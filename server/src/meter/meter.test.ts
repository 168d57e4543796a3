import type { MeterAnswer, MeterNow, MeterSetting } from '@which-way/contract';
import { createServer, type AddressInfo } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { afterEach, describe, expect, it } from 'vitest';
import { LineBuffer, NO_READING, PLAIN_DRIVER } from '@which-way/core/sense/meter';
import { serve, type Served } from '../testing/served.js';
import { MeterLink, type LinkState } from './meter-link.js';
import { scpiProtocol, spokenProtocol, type Protocol } from './protocols.js';
import { BenchLeads } from './stand-in/bench-leads.js';
import { ScpiStandIn } from './stand-in/scpi-stand-in.js';
import { talkingStandIn } from './stand-in/talking-stand-in.js';
import { overSerial, overStream, overTcp, type Transport } from './transport.js';

const ends: (() => unknown)[] = [];
afterEach(async () => {
  for (const end of ends.splice(0).toReversed()) await end();
});

/** A link that is ended after the test, with all that it told. */
function linked(open: () => Promise<Transport>, protocol: Protocol) {
  const told: LinkState[] = [];
  const link = new MeterLink(open, protocol, (state) => told.push(state));
  ends.push(() => link.end());
  const until = async (holds: (state: LinkState) => boolean): Promise<LinkState> => {
    // The runner ends a test that waits for ever.
    for (;;) {
      const found = told.find(holds);
      if (found) return found;
      await sleep(5);
    }
  };
  return { link, told, until };
}

async function standIn(faults: ScpiStandIn['faults'] = {}) {
  const leads = new BenchLeads();
  const scpi = new ScpiStandIn(leads);
  scpi.faults = faults;
  const port = await scpi.listen();
  ends.push(() => scpi.close());
  return { leads, scpi, port, ...linked(() => overTcp('127.0.0.1', port), scpiProtocol('two-wire')) };
}
const isOhms = ({ reading: { value } }: LinkState) => value.kind === 'ohms';
const isOver = ({ reading: { value } }: LinkState) => value.kind === 'over';

describe('a SCPI meter over a socket', () => {
  it('says who it is, is over range in the air, and reads what lies between its leads with the range', async () => {
    const { leads, until } = await standIn();
    expect((await until(({ standing }) => standing === 'ready')).name).toBe('Which Way Simulated meter');
    expect((await until(isOver)).reading.rangeOhms).toBe(1e8);
    leads.set(47);
    const { reading } = await until(isOhms);
    expect(reading.rangeOhms).toBe(100);
    expect(reading.value.kind === 'ohms' && Math.abs(reading.value.ohms - 47)).toBeLessThan(0.1);
  });

  it('readings keep coming, one after the other', async () => {
    const { told, until } = await standIn();
    await until(isOver);
    const before = told.length;
    await until((state) => told.indexOf(state) > before + 20);
  });

  it('answers that come in halves, or late, are whole answers; one that comes after its time answers nothing else', async () => {
    const halves = await standIn({ halves: true });
    halves.leads.set(10);
    expect(await halves.until(isOhms)).toMatchObject({ standing: 'ready' });
    const late = await standIn({ delayMs: 1700 });
    expect((await late.until(({ standing }) => standing === 'late')).reading).toEqual(NO_READING);
    await late.until(({ standing, name }) => standing === 'ready' && name !== '');
  });

  it('mute, it is lost, and is there again by itself once it answers', async () => {
    const { scpi, told, until } = await standIn();
    await until(isOver);
    scpi.faults = { mute: true };
    await until(({ standing }) => standing === 'lost');
    expect(told.find(({ standing }) => standing === 'lost')).toMatchObject({
      trouble: 'silent',
      reading: NO_READING,
    });
    scpi.faults = {};
    const lost = told.length;
    await until((state) => told.indexOf(state) > lost && state.standing === 'ready');
  });

  it('an answer that isn’t a reading never counts as open; after ten in a row it isn’t taken for a meter', async () => {
    const { scpi, told, until } = await standIn();
    await until(isOver);
    scpi.faults = { says: 'hello' };
    const from = told.length;
    await until(({ standing, trouble }) => standing === 'lost' && trouble === 'nonsense');
    const values = told.slice(from + 1).filter(({ standing }) => standing === 'ready');
    expect(values.filter(isOhms)).toEqual([]);
    scpi.faults = { says: '+9.91000000E+37' };
    const later = told.length;
    await until(
      (state) => told.indexOf(state) > later && state.standing === 'ready' && state.reading === NO_READING,
    );
  });

  it('its own errors are told, and gone once its queue is empty', async () => {
    const scpi = new ScpiStandIn(new BenchLeads());
    const port = await scpi.listen();
    ends.push(() => scpi.close());
    // Something else on the same wire asks for what it doesn't know.
    const odd: Protocol = (meter, heard) =>
      scpiProtocol('two-wire')(meter, {
        ...heard,
        ready: (name) => {
          heard.ready(name);
          meter.say('NO:SUCH:THING');
        },
      });
    const { told, until } = linked(() => overTcp('127.0.0.1', port), odd);
    const troubled = await until(({ trouble }) => trouble === '-113 Undefined header');
    await until((state) => told.indexOf(state) > told.indexOf(troubled) && state.trouble === null);
  });
});

describe('what a meter that means ill can do', () => {
  /** A server that says this whenever it is spoken to, and again and again. */
  async function hostile(says: string, forever = false) {
    const server = createServer((socket) => {
      socket.on('error', () => undefined);
      const send = () => {
        if (!socket.destroyed) socket.write(says, () => forever && setImmediate(send));
      };
      socket.on('data', send);
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    ends.push(() => server.close());
    const { port } = server.address() as AddressInfo;
    return linked(() => overTcp('127.0.0.1', port), scpiProtocol('two-wire'));
  }

  it.each([
    ['an endless line', 'x'.repeat(10_000), true],
    ['lines without end', 'x\n'.repeat(2000), true],
    ['a page', '<script>alert(1)</script>,<b>,0,0\n', false],
    ['nothing but ends of lines', '\r\n'.repeat(500), false],
  ])('%s: nothing is kept but a few short lines, and it never reads anything', async (_, says, forever) => {
    const { link, told } = await hostile(says, forever);
    await sleep(1500);
    expect(told.filter(({ reading }) => reading.value.kind !== 'none')).toEqual([]);
    expect(link.lines.length).toBeLessThanOrEqual(40);
    expect(link.lines.every((line) => line.length <= 80)).toBe(true);
    for (const { name } of told) expect(name.length).toBeLessThanOrEqual(61);
  });

  it('a flood is cut off', async () => {
    const { until } = await hostile('x'.repeat(10_000), true);
    await until(({ standing, trouble }) => standing === 'lost' && trouble === 'nonsense');
  });

  it('one that is not there is tried again, with its reason, and not without a pause', async () => {
    const tries: number[] = [];
    const { told, until } = linked(() => {
      tries.push(performance.now());
      return overTcp('127.0.0.1', 1);
    }, scpiProtocol('two-wire'));
    expect((await until(({ standing }) => standing === 'lost')).trouble).toBe('ECONNREFUSED');
    await until(() => tries.length === 4);
    const pauses = tries.slice(1).map((at, index) => at - (tries[index] ?? 0));
    // A quarter, half a second and a second; a clock of whole milliseconds may be one short.
    for (const [index, least] of [250, 500, 1000].entries()) expect(pauses[index]).toBeGreaterThan(least - 2);
    expect(told.length).toBeLessThanOrEqual(2 * tries.length + 1);
  });
});

describe('a handheld that only talks', () => {
  it('over an in-process wire is read line by line', async () => {
    const leads = new BenchLeads();
    const { until } = linked(
      () => Promise.resolve(overStream(talkingStandIn(leads))),
      spokenProtocol(PLAIN_DRIVER),
    );
    await until(isOver);
    leads.set(1234);
    const { reading } = await until(isOhms);
    expect(reading).toEqual({ value: { kind: 'ohms', ohms: 1230 }, rangeOhms: 10 });
  });

  it('two hundred lines a second are heard, and what was lifted in between is not lost', async () => {
    const leads = new BenchLeads();
    const wire = talkingStandIn(leads);
    const { link, told, until } = linked(
      () => Promise.resolve(overStream(wire)),
      spokenProtocol(PLAIN_DRIVER),
    );
    await until(isOver);
    const from = told.length;
    for (let at = 0; at < 40; at += 1) {
      wire.emit('data', at % 10 === 5 ? 'OL\n' : '0.30 Ohm\n');
      await sleep(5);
    }
    await sleep(60);
    const seen = told.slice(from).map(({ reading: { value } }) => value.kind);
    // Four gaps in all; those that fall into one word of the stream are told as one.
    expect(seen.filter((kind) => kind === 'over').length).toBeGreaterThanOrEqual(3);
    expect(link.state.standing).toBe('ready');
  });
});

/** A pseudo-terminal: its near end is a serial port by that name, its far end is in the test's hands. */
async function pseudoTerminal() {
  const { spawn } = await import('@lydell/node-pty');
  const far = spawn('sh', ['-c', 'tty; exec sleep 600'], {});
  ends.push(() => far.kill());
  const device = await new Promise<string>((resolve) => {
    let text = '';
    far.onData((data) => {
      text += data;
      const found = /\/dev\/pts\/\d+/.exec(text);
      if (found) resolve(found[0]);
    });
  });
  return { far, device };
}

describe('a serial port', () => {
  it('is a pseudo-terminal here: a SCPI meter at its far end is read over it', async () => {
    const { far, device } = await pseudoTerminal();
    const leads = new BenchLeads();
    leads.set(470);
    const [meter, lines] = [new ScpiStandIn(leads), new LineBuffer()];
    far.onData((text) => {
      for (const line of lines.push(text)) {
        const answer = meter.answers(line);
        if (answer !== null) far.write(`${answer}\n`);
      }
    });
    const { until } = linked(() => overSerial(device, 115_200), scpiProtocol('four-wire'));
    expect((await until(({ standing }) => standing === 'ready')).name).toBe('Which Way Simulated meter');
    expect((await until(isOhms)).reading.rangeOhms).toBe(1000);
  });

  it('a handheld that only talks is read over one too', async () => {
    const { far, device } = await pseudoTerminal();
    const clock = setInterval(() => far.write('0.47 Ohm\r\n'), 50);
    ends.push(() => clearInterval(clock));
    const { until } = linked(() => overSerial(device, 9600), spokenProtocol(PLAIN_DRIVER));
    expect((await until(isOhms)).reading.value).toEqual({ kind: 'ohms', ohms: 0.47 });
  });

  it('that is not there says so', async () => {
    const { until } = linked(() => overSerial('/dev/no-such-port', 9600), spokenProtocol(PLAIN_DRIVER));
    expect((await until(({ standing }) => standing === 'lost')).trouble).toBe('cannot-open');
  });
});

describe('the meter of the bench', () => {
  const PLAIN: MeterSetting = {
    ...{ kind: 'none', host: '', port: 5025, device: '', baud: 9600, mode: 'two-wire' },
  };
  const begun = async (): Promise<Served> => {
    const served = await serve();
    ends.push(() => served.close());
    return served;
  };

  it('is none until one is set; what is wrong with a setting is said', async () => {
    const served = await begun();
    const { body }: { body: MeterAnswer } = await served.call('GET', '/api/meter');
    expect(body).toMatchObject({
      setting: { kind: 'none' },
      now: { standing: 'off', holder: null },
      mayBeSet: true,
    });
    const put = (setting: object) => served.call('PUT', '/api/meter', { ...PLAIN, ...setting });
    expect(await put({ kind: 'scpi-tcp' })).toMatchObject({
      status: 422,
      body: { code: 'no-host', path: 'host' },
    });
    expect(await put({ kind: 'lines-serial' })).toMatchObject({ status: 422, body: { code: 'no-port' } });
    expect((await put({ kind: 'scpi-tcp', host: 'http://x/' })).status).toBe(400);
    expect((await put({ port: 0 })).status).toBe(400);
    expect((await put({ driver: { start: 1 } })).status).toBe(422);
    expect((await served.call('POST', '/api/meter/leads', { ohms: 1 })).status).toBe(409);
  });

  it.each(['stand-in-scpi', 'stand-in-lines'] as const)(
    'a simulated meter (%s) starts on with its leads apart, however the last one was left',
    async (kind) => {
      const served = await begun();
      const reads = async (holds: (now: MeterNow) => boolean): Promise<MeterNow> => {
        // The runner ends a test that waits for ever.
        for (;;) {
          const { body }: { body: MeterAnswer } = await served.call('GET', '/api/meter');
          if (holds(body.now)) return body.now;
          await sleep(20);
        }
      };
      const set = async (to: MeterSetting['kind']) =>
        expect((await served.call('PUT', '/api/meter', { ...PLAIN, kind: to })).status).toBe(200);
      const leads = async (body: object) =>
        expect((await served.call('POST', '/api/meter/leads', body)).status).toBeLessThan(300);
      await set(kind);
      await leads({ ohms: 47 });
      await reads(({ reading: { value } }) => value.kind === 'ohms');
      await leads({ on: false });
      await set('none');
      await set(kind);
      await reads(({ reading: { value } }) => value.kind === 'over');
    },
  );

  it('the last device that claims it has it; another can’t give back what is not its own; a setting lasts', async () => {
    const served = await begun();
    await served.call('PUT', '/api/meter', { ...PLAIN, kind: 'stand-in-lines' });
    const claim = async (id: string, takes: boolean): Promise<MeterNow> =>
      (await served.call('POST', '/api/meter/claim', { id, name: `bench ${id}`, takes })).body;
    expect((await claim('device-one', true)).holder?.id).toBe('device-one');
    expect((await claim('device-two', true)).holder).toEqual({ id: 'device-two', name: 'bench device-two' });
    expect((await claim('device-one', false)).holder?.id).toBe('device-two');
    expect((await claim('device-two', false)).holder).toBeNull();
    expect(JSON.parse(await served.note('meter'))).toMatchObject({ kind: 'stand-in-lines' });
    expect((await served.call('POST', '/api/meter/claim', { id: '<', name: '', takes: true })).status).toBe(
      400,
    );
  });
});
