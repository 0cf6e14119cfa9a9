import { Link } from 'react-router';
import type { WholeClass } from '@wrenfern/contract/classes';
import { buttonClass } from '../../parts/button.tsx';

export function AfterClass({ lesson }: { lesson: WholeClass }) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col justify-center gap-5 p-6 text-lg">
      <h1 className="text-4xl">That was {lesson.title}</h1>
      <p className="text-soft">It is in the log: what was planned, and what it really took.</p>
      <div className="flex flex-wrap gap-3">
        <Link
          className={buttonClass('main', 'min-h-14 px-8 text-xl')}
          to={`/classes/${lesson.id}/log`}
        >
          See the log
        </Link>
        <Link className={buttonClass('plain', 'min-h-14 px-6')} to="/">
          To today
        </Link>
      </div>
    </main>
  );
}
