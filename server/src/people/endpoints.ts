import {
  deviceSchema,
  pairingRequest,
  pairingSchema,
  pairRequest,
  personSchema,
  savePersonRequest,
  sessionSchema,
  signInRequest,
} from '@ratio/core/shop';
import { z } from 'zod';
import { endpoint, idOf, type Endpoint } from '../endpoint.ts';
import type { PeopleService } from './service.ts';

const idAnswer = z.strictObject({ id: z.string() });

/** People, their tablets, and signing in. */
export const peopleEndpoints = (people: PeopleService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/session',
    summary: 'Who stands here, and who could sign in',
    answer: sessionSchema,
    handle: ({ origin }) => people.session(origin),
  }),
  endpoint({
    method: 'post',
    path: '/api/session',
    summary: 'Sign in: by a PIN on a paired tablet or the machine itself, by a password elsewhere',
    body: signInRequest,
    answer: sessionSchema,
    status: 201,
    handle: async ({ origin, body, keep }) => {
      const sessionToken = await people.signIn(origin, body);
      keep('session', sessionToken);
      return people.session({ ...origin, sessionToken });
    },
  }),
  endpoint({
    method: 'delete',
    path: '/api/session',
    summary: 'Sign out',
    answer: sessionSchema,
    handle: async ({ origin, keep }) => {
      await people.signOut(origin);
      keep('session', null);
      return people.session({ ...origin, sessionToken: null });
    },
  }),
  endpoint({
    method: 'post',
    path: '/api/session/pair',
    summary: 'Pair this tablet by a code that is shown on the machine',
    body: pairRequest,
    answer: sessionSchema,
    status: 201,
    handle: async ({ origin, body, keep, from }) => {
      const deviceToken = await people.pair({ ...body, from });
      keep('device', deviceToken);
      return people.session({ ...origin, deviceToken });
    },
  }),
  endpoint({
    method: 'post',
    path: '/api/pairing',
    summary: 'A code that pairs one tablet within ten minutes',
    body: pairingRequest,
    answer: pairingSchema,
    status: 201,
    handle: ({ body }) => people.pairing(body.role),
  }),
  endpoint({
    method: 'get',
    path: '/api/people',
    summary: 'People and their roles',
    answer: z.array(personSchema),
    handle: () => people.list(),
  }),
  endpoint({
    method: 'put',
    path: '/api/people/{id}',
    summary: 'Change somebody, or add them; needs If-Match, 0 for a new one',
    body: savePersonRequest,
    answer: personSchema,
    handle: ({ caller, params, seenVersion, body }) =>
      people.save(caller, { id: idOf(params), seenVersion, request: body }),
  }),
  endpoint({
    method: 'delete',
    path: '/api/people/{id}',
    summary: 'Take somebody away; needs If-Match',
    answer: idAnswer,
    handle: async ({ caller, params, seenVersion }) => {
      const id = idOf(params);
      await people.remove(caller, { id, seenVersion });
      return { id };
    },
  }),
  endpoint({
    method: 'get',
    path: '/api/devices',
    summary: 'Paired tablets',
    answer: z.array(deviceSchema),
    handle: () => people.devices(),
  }),
  endpoint({
    method: 'delete',
    path: '/api/devices/{id}',
    summary: 'Forget a tablet; needs If-Match',
    answer: idAnswer,
    handle: async ({ caller, params, seenVersion }) => {
      const id = idOf(params);
      await people.forget(caller, { id, seenVersion });
      return { id };
    },
  }),
  endpoint({
    method: 'put',
    path: '/api/access',
    summary: 'Whether people sign in on the machine itself too',
    body: z.strictObject({ signInHere: z.boolean() }),
    answer: z.strictObject({ signInHere: z.boolean() }),
    handle: async ({ caller, body }) => {
      await people.askHere(caller, body.signInHere);
      return body;
    },
  }),
];
