import { startOfDay } from 'date-fns';
import useSWR, { type SWRResponse } from 'swr';
import useSWRInfinite from 'swr/infinite';
import type {
  Account,
  ClassEvents,
  ClassNote,
  ClassSummaryRow,
  Door,
  EventsRead,
  DeskState,
  ExerciseHistory,
  FeedRow,
  Invitation,
  KeptPlanRow,
  OwnExercise,
  PlanRevisionRow,
  ReadyClass,
  RevisedPerson,
  Room,
  Session,
  StandingGroup,
  StudioSettings,
  TeamMember,
  TrailEntry,
  Wasted,
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

/** The newest classes, those to come included: to begin another from. */
export function useRecentClasses(): SWRResponse<{ classes: ClassSummaryRow[] }, Error> {
  return useSWR<{ classes: ClassSummaryRow[] }, Error>('/classes?limit=60', read);
}

export function useGroups(): SWRResponse<{ groups: StandingGroup[] }, Error> {
  return useSWR<{ groups: StandingGroup[] }, Error>('/groups', read);
}

export function useKeptPlans(): SWRResponse<{ plans: KeptPlanRow[] }, Error> {
  return useSWR<{ plans: KeptPlanRow[] }, Error>('/kept-plans', read);
}

/** From one day to another, year-month-day, both in it. */
export function useWeek(
  from: string,
  until: string,
): SWRResponse<{ classes: ReadyClass[] }, Error> {
  return useSWR<{ classes: ReadyClass[] }, Error>(`/week?from=${from}&until=${until}`, read, {
    keepPreviousData: true,
  });
}

/** Kept still while it is edited: the editor holds the newest plan itself. */
export function useClass(id: string): SWRResponse<WholeClass, Error> {
  return useSWR<WholeClass, Error>(`/classes/${id}`, read, { revalidateOnFocus: false });
}

/** The clocks are compared as the answer arrives: a screen may show it much later. */
async function readEvents(path: string): Promise<EventsRead> {
  const answer = await read<ClassEvents>(path);
  return { ...answer, offsetMs: answer.nowMs - Date.now() };
}

export function useClassEvents(id: string): SWRResponse<EventsRead, Error> {
  return useSWR<EventsRead, Error>(`/classes/${id}/events`, readEvents, {
    revalidateOnFocus: false,
  });
}

export function useClassNote(id: string): SWRResponse<ClassNote, Error> {
  return useSWR<ClassNote, Error>(`/classes/${id}/note`, read, { revalidateOnFocus: false });
}

export function usePlanRevisions(id: string): SWRResponse<{ revisions: PlanRevisionRow[] }, Error> {
  return useSWR<{ revisions: PlanRevisionRow[] }, Error>(`/classes/${id}/revisions`, read);
}

export function useAccount(): SWRResponse<Account, Error> {
  return useSWR<Account, Error>('/account', read);
}

export function useWastebasket(): SWRResponse<{ wasted: Wasted[] }, Error> {
  return useSWR<{ wasted: Wasted[] }, Error>('/wastebasket', read);
}

export function useNearlyFull(): SWRResponse<{ nearly: Room[] }, Error> {
  return useSWR<{ nearly: Room[] }, Error>('/studio/room', read);
}

/** Who looked into health records, newest first, a page at a time. */
export function useTrail() {
  return useSWRInfinite<{ trail: TrailEntry[] }, Error>(
    (_page, previous: { trail: TrailEntry[] } | null) => {
      if (previous?.trail.length === 0) return null;
      const last = previous?.trail.at(-1)?.id;
      return last === undefined ? '/trail' : `/trail?before=${last}`;
    },
    read,
  );
}

export function usePeople(): SWRResponse<{ people: RevisedPerson[] }, Error> {
  return useSWR<{ people: RevisedPerson[] }, Error>('/people', read);
}

export function usePerson(id: string | undefined): SWRResponse<RevisedPerson, Error> {
  return useSWR<RevisedPerson, Error>(id ? `/people/${id}` : null, read, {
    revalidateOnFocus: false,
  });
}

export function useStudio(): SWRResponse<StudioSettings, Error> {
  return useSWR<StudioSettings, Error>('/studio', read, { revalidateOnFocus: false });
}

interface Team {
  team: TeamMember[];
  invitations: Invitation[];
}

export function useDesk(): SWRResponse<DeskState, Error> {
  return useSWR<DeskState, Error>('/studio/desk', read);
}

export function useFeeds(): SWRResponse<{ feeds: FeedRow[] }, Error> {
  return useSWR<{ feeds: FeedRow[] }, Error>('/feeds', read);
}

/** Not asked for those who may not see it. */
export function useTeam(may = true): SWRResponse<Team, Error> {
  return useSWR<Team, Error>(may ? '/team' : null, read);
}
