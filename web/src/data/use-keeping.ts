import useSWRInfinite from 'swr/infinite';
import type { z } from 'zod';
import { NearlyFull, Trail, Wastebasket } from '@wrenfern/contract/keeping';
import { read, useAnswer } from './answers.ts';

export function useWastebasket() {
  return useAnswer(Wastebasket, '/wastebasket');
}

export function useNearlyFull() {
  return useAnswer(NearlyFull, '/studio/room');
}

/** Who looked into health records, newest first, a page at a time. */
export function useTrail() {
  return useSWRInfinite<z.infer<typeof Trail>, Error>(
    (_page, previous: z.infer<typeof Trail> | null) => {
      if (previous?.trail.length === 0) return null;
      const last = previous?.trail.at(-1)?.id;
      return last === undefined ? '/trail' : `/trail?before=${last}`;
    },
    (path: string) => read(Trail, path),
  );
}
