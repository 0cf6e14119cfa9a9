import { NextCard } from './next-card.tsx';
import { ThenCard } from './pause-cards.tsx';
import { RunningVersions, type RunningProps } from './running-versions.tsx';

/** Who does which version, and what comes next with which prop. */
export function VersionsAside(props: RunningProps) {
  const { now } = props;
  return (
    <aside
      aria-label="Versions and what is next"
      className="flex w-[25rem] shrink-0 flex-col gap-3 border-l border-line p-4 max-lg:w-auto max-lg:border-t max-lg:border-l-0 sm:max-lg:grid sm:max-lg:grid-cols-2 sm:max-lg:items-start lg:overflow-y-auto"
    >
      <RunningVersions {...props} />
      <ThenCard {...props} />
      {/* Beside a pause the card above says what comes. */}
      {now.item.kind === 'pause' && now.next?.kind === 'exercise' ? null : <NextCard {...props} />}
    </aside>
  );
}
