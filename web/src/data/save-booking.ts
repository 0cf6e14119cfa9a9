import { useSWRConfig } from 'swr';
import { toast } from 'sonner';
import { z } from 'zod';
import { Machine } from '@wrenfern/core/movement/vocabulary';
import { Came } from '@wrenfern/core/people/came';
import { HandChoices } from '@wrenfern/core/people/choice';
import { CautionEntry } from '@wrenfern/core/people/person';
import { type BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { saveMerged } from './save-merged.ts';
import { readAnswer, request, sentenceOf } from './request.ts';

type BookingChange = Partial<Pick<BookedPerson, 'today' | 'todayNote'>> & {
  choices?: BookedPerson['byHand'];
  /** Null: nobody looked. */
  came?: Came | null;
  /** Null: wherever there is room. */
  startsOn?: Machine | null;
};

const BookingNow = z.object({
  revision: z.number().int(),
  today: z.array(CautionEntry),
  todayNote: z.string(),
  came: Came.nullable(),
  startsOn: Machine.nullable(),
  choices: HandChoices,
});

/** Saves what is particular to one person in one class; resolves to whether it was taken. */
export function useSaveBooking(classId: string) {
  const { mutate } = useSWRConfig();
  return async (booked: BookedPerson, change: BookingChange): Promise<boolean> => {
    const base = {
      today: booked.today,
      todayNote: booked.todayNote,
      came: booked.came ?? null,
      startsOn: booked.startsOn ?? null,
      choices: booked.byHand,
    };
    try {
      const lesson = await saveMerged<Required<BookingChange>, WholeClass>({
        what: `What holds for ${booked.person.name} today`,
        revision: booked.revision,
        base,
        mine: { ...base, ...change },
        send: (revision, value) =>
          request(WholeClass, 'PATCH', `/classes/${classId}/attendees/${booked.person.id}`, {
            revision,
            ...value,
          }),
        theirsOf: (current) => {
          const { revision, ...value } = readAnswer(BookingNow, current);
          return { revision, value };
        },
      });
      await mutate(`/classes/${classId}`, lesson, { revalidate: false });
      return true;
    } catch (error) {
      toast.error(sentenceOf(error));
      return false;
    }
  };
}
