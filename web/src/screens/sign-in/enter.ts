import { useNavigate, useSearchParams } from 'react-router';
import { useSWRConfig } from 'swr';
import { forgetAsked } from '../../data/answers.ts';

/** After a sign-in: forgets that the session was refused, then goes where the visitor was going. */
export function useEnter(): () => Promise<void> {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  return async () => {
    forgetAsked();
    // Asked again, also what was asked a moment ago: two seconds of refusals would be taken for answers.
    await mutate(() => true, undefined);
    const to = search.get('to') ?? '/';
    await navigate(to.startsWith('/') && !to.startsWith('//') ? to : '/');
  };
}
