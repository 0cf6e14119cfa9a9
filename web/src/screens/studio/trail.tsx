import { Link } from 'react-router';
import type { TrailEntry } from '@wrenfern/contract/keeping';
import { useTrail } from '../../data/use-keeping.ts';
import { useSession } from '../../data/use-session.ts';
import { Button } from '../../parts/button.tsx';
import { showWhen } from '../../parts/dates.ts';
import { Empty, Failed, Loading } from '../../parts/states.tsx';

/** What was done with what, around the words for it. */
const DID: Record<TrailEntry['action'], (what: string) => string> = {
  read: (what) => `opened ${what}`,
  changed: (what) => `changed ${what}`,
  deleted: (what) => `put ${what} into the wastebasket`,
  restored: (what) => `took ${what} out of the wastebasket`,
  exported: (what) => `took a copy of ${what}`,
  erased: (what) => `erased ${what} for good`,
};

/** As many as the server tells at once. */
const PAGE = 100;

/** Who looked into health records; only owners see it. */
export function Component() {
  const { data, error, size, setSize, isValidating, mutate } = useTrail();
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  const entries = data?.flatMap(({ trail }) => trail) ?? [];
  const hasMore = data?.at(-1)?.trail.length === PAGE;
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the trail" />;
  return (
    <div className="max-w-3xl pt-8">
      <Link to="/studio" className="text-fern underline">
        Studio
      </Link>
      <h1 className="mt-1 mb-2 text-3xl">Who looked into records</h1>
      <p className="mb-4 text-soft">
        Opening the same again within ten minutes counts once. Kept for 400 days.
      </p>
      {entries.length === 0 ? (
        <Empty title="Nobody yet">As soon as somebody opens a record, it stands here.</Empty>
      ) : (
        <ul className="divide-y divide-line border-y border-line">
          {entries.map((entry) => (
            <li key={entry.id} className="flex flex-wrap gap-x-4 py-2">
              <span className="w-44 text-soft">{showWhen(entry.at, zone)}</span>
              <span className="flex-1">
                <span className="font-semibold">{entry.who}</span>{' '}
                {DID[entry.action](whatOf(entry))}
              </span>
            </li>
          ))}
        </ul>
      )}
      {hasMore ? (
        <Button className="mt-3" disabled={isValidating} onClick={() => void setSize(size + 1)}>
          {isValidating ? 'Loading …' : 'Show more'}
        </Button>
      ) : null}
    </div>
  );
}

function whatOf({ subject, name }: TrailEntry): string {
  if (subject === 'people') return 'the list of people';
  if (subject === 'class') return `who comes to ${name ?? 'a class that is gone'}`;
  return `the record of ${name ?? 'somebody who is gone'}`;
}
