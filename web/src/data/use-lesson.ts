import { useOutletContext } from 'react-router';
import type { WholeClass } from '@wrenfern/contract/classes';

/** What the frame round a class hands to its screens. */
export interface ClassOutlet {
  lesson: WholeClass;
  reload: () => Promise<unknown>;
}

/** The class that the frame has loaded. */
export function useLesson(): ClassOutlet {
  return useOutletContext<ClassOutlet>();
}
