import { startOfDay } from 'date-fns';
import useSWR, { type SWRResponse } from 'swr';
import useSWRInfinite from 'swr/infinite';
import type { LiveEvent } from '@wrenfern/core/live/events';
import type { Person } from '@wrenfern/core/people/person';
import type {
  ClassSummaryRow,
  Door,
  ExerciseHistory,
  OwnExercise,
  ReadyClass,
  Session,
  StudioSettings,
  TeamMember,
  WholeClass,
} from './api-types.ts';
import { request } from './request.ts';

/** Answers asked for before the hook that reads them was there. Each is read once. */
const ahead = new Map<string, Promise<unknown>>();

const read = <T>(path: string): Promise<T> => {
  const asked = ahead.get(path) as Promise<T> | undefined;
  ahead.delete(path);
  return asked ?? request<T>('GET', path);
};

/** Asks for what Today needs while its code is still being read. */
export function askForToday(): void {
  for (const path of ['/session', todayPath(startOfToday())]) {
    const answer = request<unknown>('GET', path);
    // A refusal is told by the hook that reads this answer.
    answer.catch(() => undefined);
    ahead.set(path, answer);
  }
}

/** After a sign-in, what was asked as a stranger is worth nothing. */
export function forgetAsked(): void {
  ahead.clear();
}

/** The first moment of today on this device, as an ISO time. */
export function startOfToday(): string {
  return startOfDay(new Date()).toISOString();
}

const todayPath = (from: string) => `/today?from=${encodeURIComponent(from)}`;

const PAGE = 20;

export function useSession(): SWRResponse<Session, Error> {
  return useSWR<Session, Error>('/session', read, { shouldRetryOnError: false });
}

export function useDoor(): SWRResponse<Door, Error> {
  return useSWR<Door, Error>('/door', read);
}

/** The studio's own exercises, each in its latest version. */
export function useOwnExercises(): SWRResponse<{ exercises: OwnExercise[] }, Error> {
  return useSWR<{ exercises: OwnExercise[] }, Error>('/exercises', read);
}

export function useVersions(slug: string | undefined) {
  return useSWR<{ versions: OwnExercise[] }, Error>(
    slug ? `/exercises/${slug}/versions` : null,
    read,
  );
}

export function useExerciseHistory(slug: string): SWRResponse<ExerciseHistory, Error> {
  return useSWR<ExerciseHistory, Error>(`/exercises/${slug}/history`, read);
}

/** `from` is the first moment of today, as an ISO time. */
export function useToday(from: string): SWRResponse<{ classes: ReadyClass[] }, Error> {
  return useSWR<{ classes: ReadyClass[] }, Error>(todayPath(from), read);
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
