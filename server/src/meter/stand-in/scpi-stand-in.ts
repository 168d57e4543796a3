import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { LineBuffer } from '@which-way/core/sense/meter';
import { rangeOf, type BenchLeads } from './bench-leads.js';

/** How a simulated meter misbehaves; nothing: it doesn't. */
export interface StandInFaults {
  /** Milliseconds until it answers. */
  delayMs?: number;
  /** It answers nothing any more. */
  mute?: boolean;
  /** It answers this instead of a reading. */
  says?: string;
  /** Its lines come in pieces. */
  halves?: boolean;
}

/** What it knows, by the short form of its headers; long forms are the same letters and more (SCPI-1999, volume 1, 6.2.1, from memory). */
const HEADERS: [pattern: RegExp, does: 'identify' | 'clear' | 'error' | 'set' | 'read' | 'range'][] = [
  [/^\*IDN\?$/i, 'identify'],
  [/^\*(CLS|RST)$/i, 'clear'],
  [/^:?SYST(EM)?:ERR(OR)?(:NEXT)?\?$/i, 'error'],
  [/^:?CONF(IGURE)?:(RES(ISTANCE)?|FRES(ISTANCE)?|CONT(INUITY)?)$/i, 'set'],
  [/^:?SENS(E)?:(RES(ISTANCE)?|FRES(ISTANCE)?):RANG(E)?:AUTO (ON|1|OFF|0)$/i, 'set'],
  [/^:?TRIG(GER)?:(SOUR(CE)? (IMM(EDIATE)?|BUS)|COUN(T)? \d+)$/i, 'set'],
  [/^:?(READ|FETC(H)?)\?$/i, 'read'],
  [/^:?SENS(E)?:(RES(ISTANCE)?|FRES(ISTANCE)?):RANG(E)?\?$/i, 'range'],
];

/** Errors that its queue holds. */
const MOST_ERRORS = 20;

/** A simulated bench meter: its own small TCP server that talks SCPI, with leads that are set from outside. */
export class ScpiStandIn {
  faults: StandInFaults = {};
  #isOn = true;
  readonly #server: Server;
  readonly #sockets = new Set<Socket>();
  #errors: string[] = [];

  constructor(private readonly leads: BenchLeads) {
    this.#server = createServer((socket) => this.#serve(socket));
  }

  /** Listens on this machine alone. @param port 0: a free one. @returns its port. */
  async listen(port = 0): Promise<number> {
    await new Promise<void>((resolve, reject) => {
      this.#server.once('error', reject);
      this.#server.listen(port, '127.0.0.1', resolve);
    });
    return (this.#server.address() as AddressInfo).port;
  }

  /** Switched off, every connection breaks and none is taken; its port stays its own. */
  power(on: boolean): void {
    this.#isOn = on;
    if (!on) for (const socket of this.#sockets) socket.destroy();
  }

  /** It is gone for good. */
  async close(): Promise<void> {
    for (const socket of this.#sockets) socket.destroy();
    await new Promise((resolve) => this.#server.close(resolve));
  }

  #serve(socket: Socket): void {
    if (!this.#isOn) return void socket.destroy();
    this.#sockets.add(socket);
    socket.setEncoding('latin1');
    socket.setNoDelay(true);
    socket.on('error', () => undefined);
    socket.on('close', () => this.#sockets.delete(socket));
    const lines = new LineBuffer();
    socket.on('data', (text: string) => {
      for (const line of lines.push(text)) this.#answer(line, socket);
    });
  }

  #answer(line: string, socket: Socket): void {
    const { delayMs = 0, mute = false, halves = false } = this.faults;
    const answer = this.answers(line);
    if (answer === null || mute) return;
    const text = `${answer}\n`;
    setTimeout(() => {
      if (socket.destroyed) return;
      if (!halves) return void socket.write(text);
      socket.write(text.slice(0, text.length / 2));
      setTimeout(() => !socket.destroyed && socket.write(text.slice(text.length / 2)), 20);
    }, delayMs);
  }

  /** Its answer to a message, whatever wire that came over; null: it has none. */
  answers(message: string): string | null {
    const answers = message.split(';').flatMap((unit) => this.#does(unit.trim()) ?? []);
    return answers.length > 0 ? answers.join(';') : null;
  }

  /** Its answer to one message unit; null: it has none. */
  #does(unit: string): string | null {
    switch (HEADERS.find(([pattern]) => pattern.test(unit))?.[1]) {
      case 'identify':
        return 'Which Way,Simulated meter,0,1';
      case 'clear':
        this.#errors = [];
        return null;
      case 'error':
        return this.#errors.shift() ?? '+0,"No error"';
      case 'set':
        return null;
      case 'read': {
        if (this.faults.says !== undefined) return this.faults.says;
        const ohms = this.leads.read();
        return ohms === null ? '+9.90000000E+37' : exponent(ohms);
      }
      case 'range':
        return exponent(rangeOf(this.leads.read()));
      case undefined:
        // -113 is an undefined header (SCPI-1999, volume 2, 21.8.9, from memory).
        if (this.#errors.length < MOST_ERRORS) this.#errors.push('-113,"Undefined header"');
        return null;
    }
  }
}

/** A number as NR3: `+1.50000000E+00`. */
const exponent = (number: number): string => {
  const [digits = '0', power = '0'] = number.toExponential(8).split('e');
  const sign = power.startsWith('-') ? '-' : '+';
  return `${number < 0 ? '' : '+'}${digits}E${sign}${power.replace(/^[+-]/, '').padStart(2, '0')}`;
};
