import {
  mayDo,
  type Device,
  type Pairing,
  type Person,
  type Role,
  type SavePersonRequest,
  type Session,
  type SignInRequest,
} from '@ratio/core/shop';
import { UNSIGNED, type Caller } from '../caller.ts';
import type { Database } from '../database/database.ts';
import type { Remove } from '../database/documents.ts';
import type { StoredPerson } from '../database/tables.ts';
import { addressesOf } from '../machineAddresses.ts';
import { ProblemError } from '../problem.ts';
import { createThrottle } from './throttle.ts';
import { digestOf, newCode, newToken, hashSecret, verifySecret } from './secrets.ts';

/** Where a request comes from, and the tokens that it carries. */
export interface Origin {
  /** Sent from the machine itself. */
  readonly isLocal: boolean;
  readonly sessionToken: string | null;
  readonly deviceToken: string | null;
}

/** Who sends a request, or that somebody has to sign in first. */
export type Identity = Omit<Session, 'people' | 'signInHere'>;

const SESSION_MS = 12 * 3_600_000;
const PAIRING_MS = 10 * 60_000;

/** The people of a shop, their tablets, and who is signed in where. */
export type PeopleService = ReturnType<typeof createPeopleService>;

/** @returns the use cases of people and tablets */
export function createPeopleService(given: {
  db: Database;
  shopId: string;
  port: () => number;
  scheme?: 'http' | 'https';
  now?: () => number;
}) {
  const { db, shopId, port, scheme = 'http', now = Date.now } = given;
  const { people, devices, sessions } = db;
  const own: Caller = { shopId, author: UNSIGNED };
  const pairings = new Map<string, { role: Role; untilMs: number }>();
  const throttle = createThrottle();

  const personOf = ({ pin, password, ...person }: StoredPerson): Person => ({
    ...person,
    hasPin: pin !== null,
    hasPassword: password !== null,
  });
  const signInHere = async (): Promise<boolean> =>
    (await db.shops.get(shopId, shopId)).signInHere ?? false;

  async function identityOf({ isLocal, sessionToken, deviceToken }: Origin): Promise<Identity> {
    const session = sessionToken && (await sessions.find(shopId, idOf(sessionToken)));
    const person =
      session && session.untilMs > now() ? await people.find(shopId, session.personId) : null;
    const device = deviceToken ? await devices.find(shopId, idOf(deviceToken)) : null;
    const at = { needsSignIn: false, device: device?.name ?? null };
    if (person) return { ...at, name: person.name, role: person.role };
    if (device) return { ...at, name: device.name, role: device.role };
    const asked = !isLocal || (await signInHere());
    return { ...at, needsSignIn: asked, name: UNSIGNED, role: asked ? 'pours' : 'leads' };
  }

  async function requireOneLead(without: string): Promise<void> {
    const leads = (await people.list(shopId)).filter(
      ({ id, role, pin, password }) =>
        id !== without && role === 'leads' && (pin !== null || password !== null),
    );
    if ((await signInHere()) && leads.length === 0)
      throw new ProblemError(
        'not_possible_now',
        'Somebody who leads has to be able to sign in, or nobody could change anything here.',
      );
  }

  return {
    identityOf,

    session: async (origin: Origin): Promise<Session> => {
      const identity = await identityOf(origin);
      const isShared = origin.isLocal || identity.device !== null;
      const all = isShared ? await people.list(shopId) : [];
      return {
        ...identity,
        people: all.filter(({ pin }) => pin !== null).map(({ id, name }) => ({ id, name })),
        signInHere: await signInHere(),
      };
    },

    /** @returns the token that the browser keeps; @throws {ProblemError} wrong_secret, too_many */
    signIn: async (origin: Origin, request: SignInRequest): Promise<string> => {
      const all = await people.list(shopId);
      const isPin = 'pin' in request;
      const key = isPin ? request.personId : `name ${request.name.toLowerCase()}`;
      await throttle.begin(key);
      const isShared = origin.isLocal || (await identityOf(origin)).device !== null;
      const person = all.find(({ id, name }) =>
        isPin ? id === request.personId : name.toLowerCase() === request.name.toLowerCase(),
      );
      const kept = isPin ? (isShared ? person?.pin : null) : person?.password;
      const isRight = await verifySecret(isPin ? request.pin : request.password, kept ?? null);
      if (!isRight || !person)
        throw new ProblemError(
          'wrong_secret',
          isPin ? 'That PIN is not theirs.' : 'No such name and password.',
        );
      await throttle.succeed(key);
      for (const { id, version, untilMs } of await sessions.list(shopId))
        if (untilMs <= now()) await sessions.remove(own, { id, seenVersion: version });
      const token = newToken();
      const body = { personId: person.id, untilMs: now() + SESSION_MS };
      await sessions.save(own, { id: idOf(token), seenVersion: 0, body });
      return token;
    },

    signOut: async ({ sessionToken }: Origin): Promise<void> => {
      if (sessionToken === null) return;
      const id = idOf(sessionToken);
      const known = await sessions.find(shopId, id);
      if (known) await sessions.remove(own, { id, seenVersion: known.version });
    },

    /** A code by which a tablet is paired, once and soon. */
    pairing: (role: Role): Pairing => {
      for (const [code, { untilMs }] of pairings) if (untilMs < now()) pairings.delete(code);
      const code = newCode();
      const untilMs = now() + PAIRING_MS;
      pairings.set(code, { role, untilMs });
      const links = addressesOf({ scheme, port: port() }).map(
        (address) => `${address}/sign-in?code=${code}`,
      );
      return { code, expiresAt: new Date(untilMs).toISOString(), links };
    },

    /** @returns the token that the tablet keeps; @throws {ProblemError} wrong_secret, too_many */
    pair: async (input: { code: string; device: string; from: string }): Promise<string> => {
      const key = `pair ${input.from}`;
      await throttle.begin(key);
      const code = input.code.trim().toUpperCase();
      const found = pairings.get(code);
      if (found === undefined || found.untilMs <= now())
        throw new ProblemError('wrong_secret', 'That code is not known, or it has expired.');
      await throttle.succeed(key);
      pairings.delete(code);
      const token = newToken();
      const pairedAt = new Date(now()).toISOString();
      const body = { name: input.device, role: found.role, pairedAt };
      await devices.save(own, { id: idOf(token), seenVersion: 0, body });
      return token;
    },

    list: async (): Promise<Person[]> => (await people.list(shopId)).map(personOf),

    save: async (
      caller: Caller,
      input: { id: string; seenVersion: number | null; request: SavePersonRequest },
    ): Promise<Person> => {
      const { id, seenVersion, request } = input;
      const before = await people.find(shopId, id);
      const same = (await people.list(shopId)).find(
        (one) => one.id !== id && one.name.toLowerCase() === request.name.toLowerCase(),
      );
      if (same) throw new ProblemError('already_exists', `${same.name} is here already.`);
      if (request.role !== 'leads') await requireOneLead(id);
      const kept = async (next: string | null | undefined, now: string | null | undefined) =>
        next === undefined ? (now ?? null) : next === null ? null : hashSecret(next);
      const body = {
        name: request.name,
        role: request.role,
        pin: await kept(request.pin, before?.pin),
        password: await kept(request.password, before?.password),
      };
      return personOf(await people.save(caller, { id, seenVersion, body }));
    },

    remove: async (caller: Caller, remove: Remove): Promise<void> => {
      await requireOneLead(remove.id);
      await people.remove(caller, remove);
    },

    devices: (): Promise<Device[]> => devices.list(shopId),
    forget: (caller: Caller, remove: Remove): Promise<void> => devices.remove(caller, remove),

    /** Whether people sign in on the machine itself too. */
    askHere: async (caller: Caller, asks: boolean): Promise<void> => {
      await db.write(async (transaction) => {
        const { id, version, ...body } = await db.shops.get(shopId, shopId, transaction);
        const lead = (await people.list(shopId, {}, transaction)).some(
          ({ role, pin, password }) => mayDo(role, 'leads') && (pin !== null || password !== null),
        );
        if (asks && !lead)
          throw new ProblemError(
            'not_possible_now',
            'First give somebody who leads a PIN or a password.',
          );
        const next = { ...body, signInHere: asks };
        await db.shops.save(caller, { id, seenVersion: version, body: next }, transaction);
      });
    },
  };
}

/** A token's place in a table: its digest, as an identity is written. */
const idOf = (token: string): string => Buffer.from(digestOf(token)).toString('hex').slice(0, 60);
