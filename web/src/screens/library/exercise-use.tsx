import { Link } from 'react-router';
import { useExerciseHistory } from '../../data/use-exercises.ts';
import { useSession } from '../../data/use-session.ts';
import { showDay } from '../../parts/dates.ts';
import { Failed, Loading } from '../../parts/states.tsx';

/** The classes that an exercise stands in, newest first. */
export function ExerciseUse({ slug }: { slug: string }) {
  const history = useExerciseHistory(slug);
  const session = useSession();
  const { data } = history;
  if (history.error && !data) {
    return <Failed error={history.error} retry={() => void history.mutate()} />;
  }
  if (!data || !session.data) return <Loading what="its classes" />;
  const { timeZone } = session.data.studio;
  if (data.count === 0) return <p className="text-soft">In none of your classes yet.</p>;
  return (
    <>
      <p>
        In {data.count} {data.count === 1 ? 'class' : 'classes'}
        {data.count > data.classes.length ? `; the latest ${data.classes.length}:` : ':'}
      </p>
      <ul className="mt-1 flex flex-col gap-0.5">
        {data.classes.map(({ id, title, startsAt, taught }) => (
          <li key={id}>
            <Link className="text-fern underline" to={`/classes/${id}/${taught ? 'log' : 'plan'}`}>
              {title}
            </Link>{' '}
            <span className="text-soft">
              {showDay(startsAt, timeZone)}, {taught ? 'taught' : 'planned'}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
