import { useSWRConfig } from 'swr';
import { toast } from 'sonner';
import type { BookedPerson, WholeClass } from '../../data/api-types.ts';
import { saveMerged } from '../../data/save-merged.ts';
import { request, sentenceOf } from '../../data/request.ts';

type BookingChange = Partial<Pick<BookedPerson, 'today' | 'todayNote'>> & {
  choices?: BookedPerson['byHand'];
};

interface BookingNow extends Required<BookingChange> {
  revision: number;
}

/** Saves what is particular to one person in one class; resolves to whether it was taken. */
export function useSaveBooking(classId: string) {
  const { mutate } = useSWRConfig();
  return async (booked: BookedPerson, change: BookingChange): Promise<boolean> => {
    const base = { today: booked.today, todayNote: booked.todayNote, choices: booked.byHand };
    try {
      const lesson = await saveMerged<Required<BookingChange>, WholeClass>({
        what: `What holds for ${booked.person.name} today`,
        revision: booked.revision,
        base,
        mine: { ...base, ...change },
        send: (revision, value) =>
          request<WholeClass>('PATCH', `/classes/${classId}/attendees/${booked.person.id}`, {
            revision,
            ...value,
          }),
        theirsOf: (current) => {
          const { revision, ...value } = current as BookingNow;
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
