import { DeskState, Feeds, StudioSettings, Team } from '@wrenfern/contract/studio';
import { useAnswer } from './answers.ts';

export function useStudio() {
  return useAnswer(StudioSettings, '/studio', { revalidateOnFocus: false });
}

export function useDesk() {
  return useAnswer(DeskState, '/studio/desk');
}

export function useFeeds() {
  return useAnswer(Feeds, '/feeds');
}

/** Not asked for those who may not see it. */
export function useTeam(may = true) {
  return useAnswer(Team, may ? '/team' : null);
}
