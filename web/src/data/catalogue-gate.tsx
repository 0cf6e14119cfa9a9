import { useMemo } from 'react';
import { Outlet, useOutletContext } from 'react-router';
import { Failed, Loading } from '../parts/states.tsx';
import { mergeOwn } from './catalogue.ts';
import { useOwnExercises } from './hooks.ts';

/** Opens once the studio's own exercises are known, for a plan may stand on them. */
export function Component() {
  const own = useOwnExercises();
  // What the frame outside hands down goes on to the screens.
  const handed: unknown = useOutletContext();
  const { data } = own;
  const state = useMemo(() => {
    if (!data) return '';
    mergeOwn(data.exercises.map(({ exercise }) => exercise));
    return data.exercises.map(({ exercise, version }) => `${exercise.slug} ${version}`).join(',');
  }, [data]);
  if (own.error && !data) return <Failed error={own.error} retry={() => void own.mutate()} />;
  if (!data) return <Loading what="the exercises" />;
  // A change of the catalogue is a change of everything that was worked out from it.
  return <Outlet key={state} context={handed} />;
}
