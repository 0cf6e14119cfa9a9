import { useMemo } from 'react';
import { Outlet, useOutletContext } from 'react-router';
import { Failed, Loading } from '../parts/states.tsx';
import { CatalogueProvider } from '../data/catalogue.tsx';
import { useOwnExercises } from '../data/use-exercises.ts';

/** Opens once the studio's own exercises are known, for a plan may stand on them. */
export function Component() {
  const own = useOwnExercises();
  // What the frame outside hands down goes on to the screens.
  const handed: unknown = useOutletContext();
  const { data } = own;
  const exercises = useMemo(() => data?.exercises.map(({ exercise }) => exercise), [data]);
  if (own.error && !data) return <Failed error={own.error} retry={() => void own.mutate()} />;
  if (!exercises) return <Loading what="the exercises" />;
  return (
    <CatalogueProvider own={exercises}>
      <Outlet context={handed} />
    </CatalogueProvider>
  );
}
