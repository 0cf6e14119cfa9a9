import { useRouteError } from 'react-router';
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
