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

export function useSession(): SWRResponse<Session> {
  return useSWR<Session>('/session', read, { shouldRetryOnError: false });
}

export function useDoor(): SWRResponse<Door> {
  return useSWR<Door>('/door', read);
}

/** `from` is the first moment of today, as an ISO time. */
export function useToday(from: string): SWRResponse<{ classes: ReadyClass[] }> {
  return useSWR<{ classes: ReadyClass[] }>(`/today?from=${encodeURIComponent(from)}`, read);
}

/** Classes before a moment, newest first, a page at a time. */
export function useEarlierClasses(before: string) {
  return useSWRInfinite<{ classes: ClassSummaryRow[] }>(
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
export function useClass(id: string): SWRResponse<WholeClass> {
  return useSWR<WholeClass>(`/classes/${id}`, read, { revalidateOnFocus: false });
}

export function useClassEvents(id: string): SWRResponse<{ events: LiveEvent[] }> {
  return useSWR<{ events: LiveEvent[] }>(`/classes/${id}/events`, read);
}

export function useClassNote(id: string): SWRResponse<{ effort: number | null; note: string }> {
  return useSWR<{ effort: number | null; note: string }>(`/classes/${id}/note`, read, {
    revalidateOnFocus: false,
  });
}

export function usePeople(): SWRResponse<{ people: Person[] }> {
  return useSWR<{ people: Person[] }>('/people', read);
}

export function usePerson(id: string | undefined): SWRResponse<Person> {
  return useSWR<Person>(id ? `/people/${id}` : null, read, { revalidateOnFocus: false });
}

export function useStudio(): SWRResponse<StudioSettings> {
  return useSWR<StudioSettings>('/studio', read, { revalidateOnFocus: false });
}

export function useTeam(): SWRResponse<{ team: TeamMember[] }> {
  return useSWR<{ team: TeamMember[] }>('/team', read);
}
