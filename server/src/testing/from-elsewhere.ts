import { request } from 'node:http';

export interface Answer {
  status: number;
  text: string;
  headers: Record<string, string | string[] | undefined>;
}

/** What a request from elsewhere carries. */
export interface Elsewhere {
  body?: string;
  cookie?: string;
  accept?: string;
  from?: string;
}

/** A request from another address than the one that counts as this machine: 127.0.0.1. */
export const requestFromElsewhere = (
  base: string,
  method: string,
  path: string,
  { body, cookie, accept = 'text/html', from = '127.0.0.9' }: Elsewhere = {},
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const { hostname, port } = new URL(base);
    const sent = request(
      {
        host: hostname,
        port,
        method,
        path,
        localAddress: from,
        headers: {
          accept,
          ...(cookie ? { cookie } : {}),
          ...(body === undefined ? {} : { 'content-type': 'application/x-www-form-urlencoded' }),
        },
      },
      (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () =>
          resolve({ status: response.statusCode ?? 0, text, headers: response.headers }),
        );
      },
    );
    sent.on('error', reject);
    sent.end(body);
  });
