import type { ApiError } from '@which-way/contract';
import type { NextFunction, Request, Response } from 'express';
import { SAME_ORIGIN_TEXT } from '@which-way/words/server/errors/same-origin';

const LOOPBACK = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/**
 * Refuses requests that name another host, or come from a page of another origin: a web page elsewhere must not
 * reach the bench through the browser, also not by DNS rebinding.
 * @param others names of this machine besides loopback, without port; asked for at each request, since they change.
 */
export function sameOriginOnly(others: () => readonly string[] = () => []) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const host = request.headers.host ?? '';
    const { origin } = request.headers;
    const known = LOOPBACK.test(host) || others().includes(host.toLowerCase().replace(/:\d+$/, ''));
    if (!known) return turnAway(response, 'wrong-host', SAME_ORIGIN_TEXT.theHostIsNotThis(host));
    if (origin !== undefined && origin !== `http://${host}`) {
      return turnAway(response, 'wrong-origin', SAME_ORIGIN_TEXT.requestsFromAreNotAccepted(origin));
    }
    next();
  };
}

function turnAway(response: Response, code: string, message: string): void {
  const body: ApiError = {
    code,
    message,
    path: '',
    hint: SAME_ORIGIN_TEXT.openWhichWayAtThe,
  };
  response.status(403).json(body);
}
