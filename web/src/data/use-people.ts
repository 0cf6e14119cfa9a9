import { PeopleList, RevisedPerson, StandingGroups } from '@wrenfern/contract/people';
import { useAnswer } from './answers.ts';

export function usePeople() {
  return useAnswer(PeopleList, '/people');
}

export function usePerson(id: string | undefined) {
  return useAnswer(RevisedPerson, id ? `/people/${id}` : null, { revalidateOnFocus: false });
}

export function useGroups() {
  return useAnswer(StandingGroups, '/groups');
}
