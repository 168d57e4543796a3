import { createConnection } from 'node:net';
import type { Duplex } from 'node:stream';
import { SerialPort } from 'serialport';

/** Milliseconds in which a connection has to stand. */
const OPEN_MS = 3000;

/** A wire to a meter: letters both ways. It is opened once, and ends once. */
export interface Transport {
  write(text: string): void;
  /** Hears what comes, and that it ended, with why; null: it was ended here. */
  listen(heard: (text: string) => void, ended: (why: string | null) => void): void;
  end(): void;
}

/** A wire over any duplex stream that is open. */
export function overStream(stream: Duplex): Transport {
  let isEnded = false;
  stream.setEncoding('latin1');
  // An error is told where it is listened for, or with the close that follows it.
  stream.on('error', () => undefined);
  return {
    write: (text) => void stream.write(text, 'latin1'),
    listen(heard, ended) {
      stream.on('data', (text: string) => heard(text));
      stream.once('error', (error: NodeJS.ErrnoException) => ended(error.code ?? 'closed'));
      stream.once('close', () => ended(isEnded ? null : 'closed'));
      if (stream.destroyed) ended('closed');
    },
    end() {
      isEnded = true;
      stream.destroy();
    },
  };
}

/** A wire over a raw TCP socket. @throws what keeps it from being opened, in three seconds at most. */
export function overTcp(host: string, port: number): Promise<Transport> {
  return new Promise((resolve, reject) => {
    const socket = createConnection({ host, port, noDelay: true });
    const giveUp = setTimeout(() => socket.destroy(new Error('timeout')), OPEN_MS);
    socket.once('error', (error) => {
      clearTimeout(giveUp);
      reject(error);
    });
    socket.once('connect', () => {
      clearTimeout(giveUp);
      socket.removeAllListeners('error');
      resolve(overStream(socket));
    });
  });
}

/** A wire over a serial port, 8 bits, no parity. @throws what keeps it from being opened. */
export function overSerial(path: string, baudRate: number): Promise<Transport> {
  return new Promise((resolve, reject) => {
    const port = new SerialPort({ path, baudRate, autoOpen: false, lock: true });
    const giveUp = setTimeout(() => {
      port.destroy();
      reject(new Error('timeout'));
    }, OPEN_MS);
    port.open((error) => {
      clearTimeout(giveUp);
      if (error) reject(new Error('cannot-open'));
      else resolve(overStream(port));
    });
  });
}

/** Serial ports that there are, by name; empty where the machine doesn't tell. */
export async function serialPorts(): Promise<string[]> {
  try {
    return (await SerialPort.list()).map(({ path }) => path).slice(0, 40);
  } catch {
    return [];
  }
}
