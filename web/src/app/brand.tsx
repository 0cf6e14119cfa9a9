import { Link } from 'react-router';

/** The name, and the way home. */
export function Brand() {
  return (
    <Link
      to="/"
      className="flex items-center gap-2 rounded-lg px-1 text-fern"
      aria-label="Wrenfern, to today"
    >
      <svg
        viewBox="0 0 24 24"
        width={24}
        height={24}
        aria-hidden
        fill="none"
        stroke="currentColor"
        strokeWidth={1.6}
        strokeLinejoin="round"
        strokeLinecap="round"
      >
        <path d="M12 22V7" />
        <path
          d="M12 18c-4.6 0-6.4-2.4-6.4-5.4 3.9 0 6.4 1.6 6.4 5.4ZM12 15.5c4.6 0 6.4-2.4 6.4-5.4-3.9 0-6.4 1.6-6.4 5.4Z"
          fill="currentColor"
          fillOpacity={0.25}
        />
        <path
          d="M12 8.5c-1.7-1.8-1.7-4.3 0-6.5 1.7 2.2 1.7 4.7 0 6.5Z"
          fill="currentColor"
          fillOpacity={0.25}
        />
      </svg>
      <span className="title hidden text-xl lg:inline">Wrenfern</span>
    </Link>
  );
}
