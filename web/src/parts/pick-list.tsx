interface PickListProps<Key extends string> {
  choices: readonly { key: Key; name: string; about?: string }[];
  onPick: (key: Key) => void;
}

/** What was found, each taken with one press; nothing where nothing was. */
export function PickList<Key extends string>({ choices, onPick }: PickListProps<Key>) {
  if (choices.length === 0) return null;
  return (
    <ul className="flex flex-col overflow-hidden rounded-xl border border-line bg-leaf">
      {choices.map(({ key, name, about }) => (
        <li key={key}>
          <button
            type="button"
            onClick={() => onPick(key)}
            className="flex min-h-11 w-full flex-col items-start justify-center px-3 py-1.5 text-left hover:bg-mist"
          >
            <span className="font-semibold">{name}</span>
            {about ? <span className="text-[0.8125rem] text-soft">{about}</span> : null}
          </button>
        </li>
      ))}
    </ul>
  );
}
