import useSWR from 'swr';
import {
  ClassEvents,
  ClassNote,
  KeptPlans,
  PlanRevisions,
  WholeClass,
} from '@wrenfern/contract/classes';
import { read, useAnswer } from './answers.ts';

/** Kept still while it is edited: the editor holds the newest plan itself. */
export function useClass(id: string) {
  return useAnswer(WholeClass, `/classes/${id}`, { revalidateOnFocus: false });
}

/** Events as they were read, and how far the server's clock was ahead of this device's then. */
export interface EventsRead extends ClassEvents {
  offsetMs: number;
}

/** The clocks are compared as the answer arrives: a screen may show it much later. */
async function readEvents(path: string): Promise<EventsRead> {
  const answer = await read(ClassEvents, path);
  return { ...answer, offsetMs: answer.nowMs - Date.now() };
}

export function useClassEvents(id: string) {
  return useSWR<EventsRead, Error>(`/classes/${id}/events`, readEvents, {
    revalidateOnFocus: false,
  });
}

export function useClassNote(id: string) {
  return useAnswer(ClassNote, `/classes/${id}/note`, { revalidateOnFocus: false });
}

export function usePlanRevisions(id: string) {
  return useAnswer(PlanRevisions, `/classes/${id}/revisions`);
}

export function useKeptPlans() {
  return useAnswer(KeptPlans, '/kept-plans');
}
