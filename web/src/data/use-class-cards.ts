import { startOfDay } from 'date-fns';
import useSWRInfinite from 'swr/infinite';
import type { z } from 'zod';
import { ClassList, ReadyClasses } from '@wrenfern/contract/class-cards';
import { askAhead, read, useAnswer } from './answers.ts';

const PAGE = 20;

/** Asks for what Today needs while its code is still being read. */
export function askForToday(): void {
  for (const path of ['/session', todayPath(startOfToday())]) askAhead(path);
}

/** The first moment of today on this device, as an ISO time. */
export function startOfToday(): string {
  return startOfDay(new Date()).toISOString();
}

export const todayPath = (from: string) => `/today?from=${encodeURIComponent(from)}`;

/** `from` is the first moment of today, as an ISO time. */
export function useToday(from: string) {
  return useAnswer(ReadyClasses, todayPath(from));
}

/** From one day to another, year-month-day, both in it. */
export function useWeek(from: string, until: string) {
  return useAnswer(ReadyClasses, `/week?from=${from}&until=${until}`, { keepPreviousData: true });
}

type Page = z.infer<typeof ClassList>;

/** Classes before a moment, newest first, a page at a time. */
export function useEarlierClasses(before: string) {
  return useSWRInfinite<Page, Error>(
    (_page, previous: Page | null) => {
      if (previous && previous.classes.length < PAGE) return null;
      const last = previous?.classes.at(-1)?.startsAt ?? before;
      return `/classes?limit=${PAGE}&before=${encodeURIComponent(last)}`;
    },
    (path: string) => read(ClassList, path),
    { revalidateFirstPage: false },
  );
}

/** The newest classes, those to come included: to begin another from. */
export function useRecentClasses() {
  return useAnswer(ClassList, '/classes?limit=60');
}
