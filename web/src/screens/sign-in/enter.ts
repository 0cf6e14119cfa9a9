import { useNavigate, useSearchParams } from 'react-router';
import { useSWRConfig } from 'swr';
import { forgetAsked } from '../../data/hooks.ts';

/** After a sign-in: forgets that the session was refused, then goes where the visitor was going. */
export function useEnter(): () => Promise<void> {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const [search] = useSearchParams();
  return async () => {
    forgetAsked();
    await mutate(() => true, undefined, { revalidate: false });
    const to = search.get('to') ?? '/';
    await navigate(to.startsWith('/') && !to.startsWith('//') ? to : '/');
  };
}
