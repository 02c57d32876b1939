import type { Request, Response } from 'express';
import { parse } from 'cookie';
import { mayDo } from '@ratio/core/shop';
import type { RoledCaller } from '../caller.ts';
import { ProblemError } from '../problem.ts';
import type { Right } from './rights.ts';
import type { Origin, PeopleService } from './service.ts';

const LOOPBACK = /^(?:::1|(?:::ffff:)?127\.\d+\.\d+\.\d+)$/;
const NAMES = { session: 'ratio_session', device: 'ratio_device' } as const;
export type CookieName = keyof typeof NAMES;
const YEAR_MS = 365 * 86_400_000;

/** @returns the tokens of a request, and whether it was sent from the machine itself */
export function originOf(request: Request): Origin {
  const cookies = parse(request.get('Cookie') ?? '');
  return {
    isLocal: LOOPBACK.test(request.socket.remoteAddress ?? ''),
    sessionToken: cookies[NAMES.session] ?? null,
    deviceToken: cookies[NAMES.device] ?? null,
  };
}

/** @returns a function that sets a token's cookie, or clears it; scripts and other sites cannot read it */
export const cookieKeeper =
  (request: Request, response: Response) =>
  (name: CookieName, token: string | null): void => {
    const options = {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/',
    } as const;
    if (token === null) response.clearCookie(NAMES[name], options);
    else response.cookie(NAMES[name], token, { ...options, maxAge: YEAR_MS });
  };

/**
 * Identifies the sender of a request and checks the right that it needs.
 *
 * @throws {ProblemError} sign_in where nobody is known; not_allowed where their role is not enough
 */
export async function callerFor(input: {
  people: PeopleService;
  shopId: string;
  origin: Origin;
  right: Right;
}): Promise<RoledCaller> {
  const { people, shopId, origin, right } = input;
  const { needsSignIn, name, role } = await people.identityOf(origin);
  if (right !== 'anyone') {
    if (needsSignIn)
      throw new ProblemError('sign_in', 'Sign in, or pair this tablet, before anything else.');
    if (!mayDo(role, right))
      throw new ProblemError('not_allowed', `That takes somebody who ${right}.`);
  }
  return { shopId, author: name, role };
}
