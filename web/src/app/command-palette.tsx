import { Command } from 'cmdk';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { showWhen } from '../parts/dates.ts';
import { useRecentClasses } from '../data/use-class-cards.ts';
import { useOwnExercises } from '../data/use-exercises.ts';
import { useSession } from '../data/use-session.ts';

const PLACES = [
  { name: 'Today', to: '/' },
  { name: 'People', to: '/people' },
  { name: 'New person', to: '/people/new' },
  { name: 'Library', to: '/library' },
  { name: 'Studio', to: '/studio' },
] as const;

/** Any screen, any class of late, any exercise, by a few letters. */
export function CommandPalette({ close }: { close: () => void }) {
  const [words, setWords] = useState('');
  return (
    <Command.Dialog
      open
      shouldFilter={false}
      onOpenChange={close}
      label="Go to"
      overlayClassName="fixed inset-0 z-40 bg-black/40"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 overflow-hidden rounded-2xl border border-line bg-paper shadow-xl"
    >
      <Command.Input
        value={words}
        onValueChange={setWords}
        placeholder="Go to a screen, a class or an exercise"
        className="w-full border-b border-line bg-leaf px-4 py-3 text-base outline-none"
      />
      <Places words={words.trim()} close={close} />
    </Command.Dialog>
  );
}

const MOST_CLASSES = 8;

function Places({ words, close }: { words: string; close: () => void }) {
  const navigate = useNavigate();
  const session = useSession();
  const zone = session.data?.studio.timeZone ?? 'UTC';
  const classes = useRecentClasses();
  // The library is large: it is fetched when the palette first opens, not with the shell.
  const own = useOwnExercises();
  const finder = useSWR(
    own.data ? ['find-exercises', own.data] : null,
    async ([, { exercises }]) => {
      const { exerciseFinder } = await import('../data/find-exercises.ts');
      return { find: exerciseFinder(exercises.map(({ exercise }) => exercise)) };
    },
  );
  const has = (name: string) => name.toLowerCase().includes(words.toLowerCase());
  const found = (classes.data?.classes ?? [])
    .filter(({ title }) => has(title))
    .slice(0, MOST_CLASSES);
  const go = (to: string) => () => {
    close();
    void navigate(to);
  };
  return (
    <Command.List className="max-h-[52vh] overflow-y-auto p-2">
      <Command.Empty className="p-4 text-soft">Nothing by these letters.</Command.Empty>
      <Group heading="Screens">
        {PLACES.filter(({ name }) => has(name)).map(({ name, to }) => (
          <Entry key={to} value={name} onSelect={go(to)}>
            {name}
          </Entry>
        ))}
      </Group>
      <Group heading="Classes">
        {found.map(({ id, title, startsAt }) => (
          <Entry key={id} value={`${title} ${id}`} onSelect={go(`/classes/${id}/plan`)}>
            {title} <span className="text-soft">{showWhen(startsAt, zone)}</span>
          </Entry>
        ))}
      </Group>
      <Group heading="Exercises">
        {(finder.data?.find(words) ?? []).map(({ slug, name }) => (
          <Entry key={slug} value={`${name} ${slug}`} onSelect={go(`/library/${slug}`)}>
            {name}
          </Entry>
        ))}
      </Group>
    </Command.List>
  );
}

function Group({ heading, children }: { heading: string; children: React.ReactNode[] }) {
  if (children.length === 0) return null;
  return (
    <Command.Group
      heading={heading}
      className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-[0.8125rem] [&_[cmdk-group-heading]]:text-soft"
    >
      {children}
    </Command.Group>
  );
}

function Entry({
  value,
  onSelect,
  children,
}: {
  value: string;
  onSelect: () => void;
  children: React.ReactNode;
}) {
  return (
    <Command.Item
      value={value}
      onSelect={onSelect}
      className="cursor-pointer rounded-lg px-3 py-1.5 data-[selected=true]:bg-mist"
    >
      {children}
    </Command.Item>
  );
}
