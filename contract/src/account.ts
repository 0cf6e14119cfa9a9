import { OwnPace } from '@wrenfern/core/plan/timing/pace';
import { z } from 'zod';

export const ROLES = ['owner', 'instructor', 'cover', 'reader'] as const;
export const Role = z.enum(ROLES);
export type Role = z.infer<typeof Role>;

/** Who is signed in, and where. */
export const Session = z.object({
  user: z.object({
    id: z.string(),
    name: z.string(),
    role: Role,
    /** The studio asks for a second factor, and this user has none yet. */
    lacksSecondFactor: z.boolean(),
  }),
  studio: z.object({
    name: z.string(),
    slug: z.string(),
    isDemo: z.boolean(),
    timeZone: z.string(),
    needsSecondFactor: z.boolean(),
  }),
});
export type Session = z.infer<typeof Session>;

/** What the first page needs to know. */
export const Door = z.object({
  demo: z.boolean(),
  isSetUp: z.boolean(),
  allowStudios: z.boolean(),
});
export type Door = z.infer<typeof Door>;

/** What a one-time link is for. */
export const LinkPurpose = z.object({
  kind: z.enum(['invite', 'reset']),
  studio: z.string(),
  name: z.string(),
  email: z.string(),
  role: Role,
});
export type LinkPurpose = z.infer<typeof LinkPurpose>;

/** After a link was used; not signed in where a second factor is asked for at the door. */
export const LinkUsed = z.object({ signedIn: z.boolean() });

export const Account = z.object({
  name: z.string(),
  email: z.string(),
  role: Role,
  until: z.string().nullable(),
  hasSecondFactor: z.boolean(),
  recoveryCodesLeft: z.number(),
  /** How quick this one teaches; null where that is as the studio does. */
  pace: OwnPace.nullable(),
  sessions: z.array(
    z.object({
      /** Names the session; it does not open it. */
      id: z.string(),
      device: z.string(),
      startedAt: z.iso.datetime(),
      seenAt: z.iso.datetime(),
      isThis: z.boolean(),
    }),
  ),
});
export type Account = z.infer<typeof Account>;

/** A second factor before its first right code. */
export const ProposedFactor = z.object({ secret: z.string(), uri: z.string() });
export type ProposedFactor = z.infer<typeof ProposedFactor>;

/** Told once and never again. */
export const NewRecoveryCodes = z.object({ recoveryCodes: z.array(z.string()) });
