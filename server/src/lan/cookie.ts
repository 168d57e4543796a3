import type { Request, Response } from 'express';
import { SESSION_MS } from './sessions.js';

const COOKIE = 'which-way';
/** What a cookie of an earlier version looks like: until when it holds, and a seal over that. */
const OF_BEFORE = /^\d{9,12}\.[0-9a-f]{64}$/;

/** What the browser sent of ours; empty: nothing. */
export function cookieOf({ headers }: Request): string {
  for (const part of (headers.cookie ?? '').split(';')) {
    const [name, value = ''] = part.trim().split('=');
    if (name === COOKIE) return value;
  }
  return '';
}

/** Whether this device was signed in before sessions could be ended one by one. */
export const isOfBefore = (cookie: string): boolean => OF_BEFORE.test(cookie);

export const giveCookie = (response: Response, token: string): void => {
  response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: SESSION_MS });
};

export const takeCookie = (response: Response): void => {
  response.clearCookie(COOKIE, { path: '/' });
};
