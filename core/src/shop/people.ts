import { z } from 'zod';
import { documentFields, idSchema, instantSchema, nameSchema } from '../document/schema.ts';
import { ROLES } from './roles.ts';

export const roleSchema = z.enum(ROLES);

const pinSchema = z.string().regex(/^\d{4,8}$/, 'A PIN has 4 to 8 digits.');
const passwordSchema = z.string().min(10, 'A password has 10 characters or more.').max(200);

/** Somebody of the shop; what they sign in with is never read back. */
export const personSchema = z.object({
  ...documentFields,
  name: nameSchema,
  role: roleSchema,
  hasPin: z.boolean(),
  hasPassword: z.boolean(),
});
export const savePersonRequest = z.strictObject({
  name: nameSchema,
  role: roleSchema,
  /** For shared tablets; left out it stays as it is, null takes it away. */
  pin: pinSchema.nullable().optional(),
  /** For a device of one's own. */
  password: passwordSchema.nullable().optional(),
});

/** A tablet that was paired, and what it may do while nobody has signed in on it. */
export const deviceSchema = z.object({
  ...documentFields,
  name: nameSchema,
  role: roleSchema,
  pairedAt: instantSchema,
});

/** Who stands at the page. */
export const sessionSchema = z.object({
  /** Nothing else is answered before somebody signs in. */
  needsSignIn: z.boolean(),
  name: z.string(),
  role: roleSchema,
  /** Name of the paired tablet; null elsewhere. */
  device: z.string().nullable(),
  /** Who can sign in here by a PIN: on a paired tablet, and on the machine itself. */
  people: z.array(z.object({ id: idSchema, name: z.string() })),
  /** On the machine itself: whether somebody has to sign in there too. */
  signInHere: z.boolean(),
});

export const signInRequest = z.union([
  z.strictObject({ personId: idSchema, pin: pinSchema }),
  z.strictObject({ name: nameSchema, password: z.string().min(1).max(200) }),
]);
export const pairRequest = z.strictObject({ code: z.string().min(4).max(12), device: nameSchema });
export const pairingRequest = z.strictObject({ role: roleSchema });
export const pairingSchema = z.object({
  code: z.string(),
  expiresAt: instantSchema,
  /** Addresses at which a tablet on the same network opens the page that takes the code. */
  links: z.array(z.string()),
});

export type Person = z.infer<typeof personSchema>;
export type SavePersonRequest = z.infer<typeof savePersonRequest>;
export type Device = z.infer<typeof deviceSchema>;
export type Session = z.infer<typeof sessionSchema>;
export type SignInRequest = z.infer<typeof signInRequest>;
export type Pairing = z.infer<typeof pairingSchema>;
