import { z } from 'zod';
import { CautionEntry, Person } from '@wrenfern/core/people/person';
import { AttendedClass } from '@wrenfern/core/log/suggest-record';
import { HandChoices } from '@wrenfern/core/people/choice';
import { Remedy } from '@wrenfern/core/people/remedies';
import { SIGN_IDS } from '@wrenfern/core/people/signs';

/** What is kept about a person, as it is sent to be saved. */
export const PersonBody = Person.omit({ id: true });
export type PersonBody = z.infer<typeof PersonBody>;

/** A record and how often it was saved. */
export const RevisedPerson = Person.extend({ revision: z.number() });
export type RevisedPerson = z.infer<typeof RevisedPerson>;
export const PeopleList = z.object({ people: z.array(RevisedPerson) });
export const PeopleTaken = z.object({ added: z.number(), changed: z.number() });

/** All that is kept about one person, to be given to them. */
export const PersonEverything = Person.extend({
  format: z.literal('wrenfern-person/1'),
  since: z.iso.datetime(),
  changed: z.iso.datetime(),
  classes: z.array(
    z.object({
      title: z.string(),
      startsAt: z.iso.datetime(),
      taught: z.boolean(),
      today: z.array(CautionEntry),
      todayNote: z.string(),
      choices: HandChoices,
      moved: z.array(z.object({ itemId: z.string(), option: z.number(), at: z.iso.datetime() })),
      seen: z.array(
        z.object({
          itemId: z.string(),
          sign: z.enum(SIGN_IDS),
          remedy: Remedy,
          at: z.iso.datetime(),
        }),
      ),
    }),
  ),
});

/** The last taught classes that somebody came to, newest first. */
export const AttendedClasses = z.object({ classes: z.array(AttendedClass) });
export type AttendedClasses = z.infer<typeof AttendedClasses>;

/** People who usually come together. */
export const StandingGroup = z.object({
  id: z.string(),
  name: z.string(),
  personIds: z.array(z.string()),
  revision: z.number(),
});
export type StandingGroup = z.infer<typeof StandingGroup>;
export const StandingGroups = z.object({ groups: z.array(StandingGroup) });
