import { told } from '../errors/refusal.js';
import { urlencoded, type NextFunction, type Request, type Response } from 'express';
import type { Access } from './access.js';
import { Patience } from './patience.js';
import { signInPage } from './sign-in-page.js';

const COOKIE = 'which-way';
export const SIGN_IN = '/sign-in';
export const SIGN_OUT = '/api/sign-out';

/** Whether a request comes from this machine itself. */
export function isLoopback(address: string | undefined): boolean {
  return address === '127.0.0.1' || address === '::1' || address === '::ffff:127.0.0.1';
}

/**
 * Lets this machine in, and others only with the shop's code: without it nothing but the sign-in page answers.
 * Wrong codes are slowed down.
 */
export function gate(access: Access, patience = new Patience()) {
  const form = urlencoded({ extended: false, limit: '4kb' });
  return (request: Request, response: Response, next: NextFunction): void => {
    const address = request.socket.remoteAddress ?? '';
    if (isLoopback(address)) return next();
    if (request.path === SIGN_IN && (request.method === 'GET' || request.method === 'POST')) {
      response.set('cache-control', 'no-store');
      if (request.method === 'GET') {
        const { code } = request.query;
        response.type('html').send(signInPage({ code: typeof code === 'string' ? code : '', trouble: null }));
        return;
      }
      form(request, response, (error?: unknown) => {
        if (error)
          response
            .status(400)
            .type('html')
            .send(signInPage({ code: '', trouble: 'unread' }));
        else tryCode(access, patience, address, request, response);
      });
      return;
    }
    if (request.path === SIGN_OUT && request.method === 'POST') {
      response.clearCookie(COOKIE, { path: '/' });
      response.json({ signedOut: true });
      return;
    }
    if (access.holds(cookieOf(request.headers.cookie)) || isOfALink(request)) return next();
    turnAway(request, response);
  };
}

/** What a link to one job needs: the page, what it is made of, and the job that its token opens. Nothing of it can be changed. */
const OF_A_LINK = /^\/(shared\/[\w-]+|api\/shared\/[\w-]+(\/photos\/[\w-]+)?|assets\/[\w.-]+|mark\.svg)$/;
const isOfALink = ({ method, path }: Request): boolean => method === 'GET' && OF_A_LINK.test(path);

function tryCode(
  access: Access,
  patience: Patience,
  address: string,
  request: Request,
  response: Response,
): void {
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
  response.cookie(COOKIE, access.token(), {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: 30 * 86_400_000,
  });
  response.redirect(303, '/');
}

function turnAway(request: Request, response: Response): void {
  if (request.method === 'GET' && !request.path.startsWith('/api/') && request.accepts('html')) {
    response.redirect(303, SIGN_IN);
    return;
  }
  response.status(401).json(told('sign-in-needed'));
}

function cookieOf(header: string | undefined): string {
  for (const part of (header ?? '').split(';')) {
    const [name, value = ''] = part.trim().split('=');
    if (name === COOKIE) return value;
  }
  return '';
}
