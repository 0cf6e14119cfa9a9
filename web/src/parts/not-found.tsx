import { Link } from 'react-router';
import { buttonClass } from './button.tsx';

/** Stands in the main part of a screen; where there is no screen yet, `LostPage` is the whole. */
export function NotFound() {
  return (
    <section className="mx-auto max-w-xl p-10">
      <h1 className="text-2xl">Nothing lives here</h1>
      <p className="my-3">The address may be mistyped, or what it showed may have been deleted.</p>
      <Link className={buttonClass('main')} to="/">
        To today
      </Link>
    </section>
  );
}

export function LostPage() {
  return (
    <main>
      <NotFound />
    </main>
  );
}
