import type { SignedIn } from '@which-way/contract';
import { told } from '../errors/refusal.js';
import { urlencoded, type NextFunction, type Request, type Response } from 'express';
import type { Access } from './access.js';
import { cookieOf, giveCookie, isOfBefore, takeCookie } from './cookie.js';
import { Patience } from './patience.js';
import type { Sessions } from './sessions.js';
import { signInPage } from './sign-in-page.js';

export const SIGN_IN = '/sign-in';
const SIGN_OUT = '/api/sign-out';

/** Whether a request comes from this machine itself. */
export function isLoopback(address: string | undefined): boolean {
  return address === '127.0.0.1' || address === '::1' || address === '::ffff:127.0.0.1';
}

/**
 * Lets this machine in, and others only with the shop's code: without it nothing but the sign-in page answers.
 * Wrong codes are slowed down.
 */
export function gate(access: Access, sessions: Sessions, patience = new Patience()) {
  const form = urlencoded({ extended: false, limit: '4kb' });
  return (request: Request, response: Response, next: NextFunction): void => {
    const address = request.socket.remoteAddress ?? '';
    if (isLoopback(address)) return next();
    if (request.path === SIGN_IN && (request.method === 'GET' || request.method === 'POST')) {
      response.set('cache-control', 'no-store');
      if (request.method === 'GET') {
        const { code } = request.query;
        const trouble = isOfBefore(cookieOf(request)) ? 'updated' : null;
        response.type('html').send(signInPage({ code: typeof code === 'string' ? code : '', trouble }));
        return;
      }
      form(request, response, (error?: unknown) => {
        if (error)
          response
            .status(400)
            .type('html')
            .send(signInPage({ code: '', trouble: 'unread' }));
        else void tryCode({ access, sessions, patience }, address, request, response).catch(next);
      });
      return;
    }
    if (request.path === SIGN_OUT && request.method === 'POST') {
      const session = sessions.of(cookieOf(request));
      takeCookie(response);
      void (session ? sessions.end(session.id) : Promise.resolve(false))
        .then(() => response.json({ signedOut: true }))
        .catch(next);
      return;
    }
    if (sessions.of(cookieOf(request)) !== null || isOfALink(request)) return next();
    turnAway(request, response);
  };
}

/** What a link to one job opens: the page of its report, what keeps it up to date, and the photos on it. Nothing can be changed. */
const OF_A_LINK = /^\/(follow\.js|shared\/[\w-]+(\/photos\/[\w-]+)?)$/;
const isOfALink = ({ method, path }: Request): boolean => method === 'GET' && OF_A_LINK.test(path);

interface Door {
  access: Access;
  sessions: Sessions;
  patience: Patience;
}

async function tryCode(
  { access, sessions, patience }: Door,
  address: string,
  request: Request,
  response: Response,
): Promise<void> {
  const wait = patience.waitOf(address);
  if (wait > 0) {
    response.status(429).set('retry-after', String(wait)).type('html');
    response.send(signInPage({ code: '', trouble: 'wait', seconds: wait }));
    return;
  }
  const body: unknown = request.body;
  const said: unknown = typeof body === 'object' && body !== null && 'code' in body ? body.code : '';
  const typed = typeof said === 'string' ? said.slice(0, 100) : '';
  if (!access.accepts(typed)) {
    patience.wrong(address);
    response
      .status(403)
      .type('html')
      .send(signInPage({ code: '', trouble: 'wrong' }));
    return;
  }
  patience.right(address);
  giveCookie(response, await sessions.open({ device: deviceOf(request), address: plainAddress(address) }));
  response.redirect(303, '/');
}

/** What kind of device a browser says that it is on; no more is kept of it. */
const deviceOf = ({ headers }: Request): SignedIn['device'] =>
  /tablet|ipad/i.test(headers['user-agent'] ?? '')
    ? 'tablet'
    : /mobi|android|iphone/i.test(headers['user-agent'] ?? '')
      ? 'phone'
      : 'computer';

const plainAddress = (address: string): string => address.replace(/^::ffff:/, '');

function turnAway(request: Request, response: Response): void {
  if (request.method === 'GET' && !request.path.startsWith('/api/') && request.accepts('html')) {
    response.redirect(303, SIGN_IN);
    return;
  }
  response.status(401).json(told('sign-in-needed'));
}
