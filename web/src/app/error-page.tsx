import { Link, useRouteError } from 'react-router';
import { buttonClass } from '../parts/button.tsx';

export function ErrorPage() {
  const error = useRouteError();
  const said = error instanceof Error ? error.message : String(error);
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="text-2xl">This page has stumbled</h1>
      <p className="my-3">
        What you have saved is safe. Load the page again; if it happens twice, tell whoever looks
        after your Wrenfern what stands below.
      </p>
      <pre className="mb-4 overflow-auto rounded-lg border border-line bg-leaf p-3 text-[0.8125rem]">
        {said}
      </pre>
      <a className={buttonClass('main')} href={window.location.pathname}>
        Load again
      </a>
    </main>
  );
}

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
