import { z } from 'zod';
import { WholeClass } from '@wrenfern/contract/classes';
import { readAnswer, request } from './request.ts';
import { saveMerged } from './save-merged.ts';

const BookedNow = z.object({ revision: z.number().int(), personIds: z.array(z.string()) });

/** Who was booked when somebody began to change it. */
export interface BookedBefore {
  revision: number;
  personIds: string[];
}

export function bookedIn(lesson: WholeClass): BookedBefore {
  return {
    revision: lesson.attendeesRevision,
    personIds: lesson.attendees.map(({ person }) => person.id),
  };
}

/** Books exactly these; whom others booked meanwhile stays booked. */
export function bookPeople(
  classId: string,
  before: BookedBefore,
  personIds: string[],
): Promise<WholeClass> {
  return saveMerged<string[], WholeClass>({
    what: 'Who comes',
    revision: before.revision,
    base: before.personIds,
    mine: personIds,
    send: (revision, ids) =>
      request(WholeClass, 'PUT', `/classes/${classId}/attendees`, { revision, personIds: ids }),
    theirsOf: (current) => {
      const { revision, personIds: ids } = readAnswer(BookedNow, current);
      return { revision, value: ids };
    },
  });
}
