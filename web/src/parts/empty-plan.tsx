import { Link } from 'react-router';
import { Empty } from './states.tsx';

/** A class without anything in it, on a screen that needs a plan; `then` says what for. */
export function EmptyPlan({ classId, then }: { classId: string; then: string }) {
  return (
    <div className="mx-auto max-w-xl p-10">
      <Empty title="The plan is empty">
        <Link className="font-semibold text-fern underline" to={`/classes/${classId}/plan`}>
          Plan the class
        </Link>{' '}
        first, then {then}.
      </Empty>
    </div>
  );
}
