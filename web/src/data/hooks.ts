import useSWR, { type SWRResponse } from 'swr';
import useSWRInfinite from 'swr/infinite';
import type { LiveEvent } from '@wrenfern/core/live/events';
import type { Person } from '@wrenfern/core/people/person';
import type {
  ClassSummaryRow,
  Door,
  ReadyClass,
  Session,
  StudioSettings,
  TeamMember,
  WholeClass,
} from './api-types.ts';
import { request } from './request.ts';

const read = <T>(path: string): Promise<T> => request<T>('GET', path);

const PAGE = 20;

export function useSession(): SWRResponse<Session, Error> {
  return useSWR<Session, Error>('/session', read, { shouldRetryOnError: false });
}

export function useDoor(): SWRResponse<Door, Error> {
  return useSWR<Door, Error>('/door', read);
}

/** `from` is the first moment of today, as an ISO time. */
export function useToday(from: string): SWRResponse<{ classes: ReadyClass[] }, Error> {
  return useSWR<{ classes: ReadyClass[] }, Error>(`/today?from=${encodeURIComponent(from)}`, read);
}

/** Classes before a moment, newest first, a page at a time. */
export function useEarlierClasses(before: string) {
  return useSWRInfinite<{ classes: ClassSummaryRow[] }, Error>(
    (_page, previous: { classes: ClassSummaryRow[] } | null) => {
      if (previous && previous.classes.length < PAGE) return null;
      const last = previous?.classes.at(-1)?.startsAt ?? before;
      return `/classes?limit=${PAGE}&before=${encodeURIComponent(last)}`;
    },
    read,
    { revalidateFirstPage: false },
  );
}

/** Kept still while it is edited: the editor holds the newest plan itself. */
export function useClass(id: string): SWRResponse<WholeClass, Error> {
  return useSWR<WholeClass, Error>(`/classes/${id}`, read, { revalidateOnFocus: false });
}

export function useClassEvents(id: string): SWRResponse<{ events: LiveEvent[] }, Error> {
  return useSWR<{ events: LiveEvent[] }, Error>(`/classes/${id}/events`, read);
}

export function useClassNote(
  id: string,
): SWRResponse<{ effort: number | null; note: string }, Error> {
  return useSWR<{ effort: number | null; note: string }, Error>(`/classes/${id}/note`, read, {
    revalidateOnFocus: false,
  });
}

export function usePeople(): SWRResponse<{ people: Person[] }, Error> {
  return useSWR<{ people: Person[] }, Error>('/people', read);
}

export function usePerson(id: string | undefined): SWRResponse<Person, Error> {
  return useSWR<Person, Error>(id ? `/people/${id}` : null, read, { revalidateOnFocus: false });
}

export function useStudio(): SWRResponse<StudioSettings, Error> {
  return useSWR<StudioSettings, Error>('/studio', read, { revalidateOnFocus: false });
}

export function useTeam(): SWRResponse<{ team: TeamMember[] }, Error> {
  return useSWR<{ team: TeamMember[] }, Error>('/team', read);
}
