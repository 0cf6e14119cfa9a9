import { useSWRConfig } from 'swr';
import { toast } from 'sonner';
import type { BookedPerson, WholeClass } from '../../data/api-types.ts';
import { request, sentenceOf } from '../../data/request.ts';

type BookingChange = Partial<Pick<BookedPerson, 'today' | 'todayNote'>> & {
  choices?: BookedPerson['byHand'];
};

/** Saves what is particular to one person in one class; resolves to whether it was taken. */
export function useSaveBooking(classId: string) {
  const { mutate } = useSWRConfig();
  return async (personId: string, change: BookingChange): Promise<boolean> => {
    try {
      const lesson = await request<WholeClass>(
        'PATCH',
        `/classes/${classId}/attendees/${personId}`,
        change,
      );
      await mutate(`/classes/${classId}`, lesson, { revalidate: false });
      return true;
    } catch (error) {
      toast.error(sentenceOf(error));
      return false;
    }
  };
}
