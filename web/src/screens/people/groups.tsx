import { Users } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { Person } from '@wrenfern/core/people/person';
import { StandingGroup } from '@wrenfern/contract/people';
import { useGroups } from '../../data/use-people.ts';
import { readAnswer, request, send, sentenceOf } from '../../data/request.ts';
import { saveMerged } from '../../data/save-merged.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { Field, inputClass } from '../../parts/field.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { TickPeople } from '../../parts/tick-people.tsx';

/** Standing groups: people who usually come together, for new classes to start from. */
export function Groups({ people }: { people: readonly Person[] }) {
  const [chosen, setChosen] = useState<StandingGroup | 'new'>();
  return (
    <Sheet
      title="Standing groups"
      description="Who usually comes together. A new class can start from one; changing it changes no class that is there."
      onOpenChange={() => setChosen(undefined)}
      trigger={
        <Button className="min-h-10">
          <Users size={18} aria-hidden /> Groups
        </Button>
      }
    >
      {chosen ? (
        <GroupForm
          group={chosen === 'new' ? undefined : chosen}
          people={people}
          done={() => setChosen(undefined)}
        />
      ) : (
        <GroupList choose={setChosen} />
      )}
    </Sheet>
  );
}

function GroupList({ choose }: { choose: (group: StandingGroup | 'new') => void }) {
  const groups = useGroups();
  if (groups.error && !groups.data) {
    return <Failed error={groups.error} retry={() => void groups.mutate()} />;
  }
  if (!groups.data) return <Loading what="the groups" />;
  return (
    <div className="flex flex-col gap-3">
      <ul className="divide-y divide-line border-y border-line">
        {groups.data.groups.map((group) => (
          <li key={group.id} className="flex items-center gap-3 py-1.5">
            <span className="flex-1 font-semibold">{group.name}</span>
            <span className="text-soft">{group.personIds.length} people</span>
            <Button look="quiet" onClick={() => choose(group)}>
              Change<span className="sr-only"> {group.name}</span>
            </Button>
          </li>
        ))}
      </ul>
      {groups.data.groups.length === 0 ? <p className="text-soft">There is none yet.</p> : null}
      <Button look="main" className="self-start" onClick={() => choose('new')}>
        A new group
      </Button>
    </div>
  );
}

type GroupValue = Pick<StandingGroup, 'name' | 'personIds'>;

/** A new one, or on top of what a colleague saved meanwhile. */
function saveGroup(group: StandingGroup | undefined, mine: GroupValue): Promise<unknown> {
  if (!group) return send('POST', '/groups', mine);
  return saveMerged<GroupValue, StandingGroup>({
    what: group.name,
    revision: group.revision,
    base: { name: group.name, personIds: group.personIds },
    mine,
    send: (revision, value) =>
      request(StandingGroup, 'PUT', `/groups/${group.id}`, { revision, ...value }),
    theirsOf: (current) => {
      const { revision, name, personIds } = readAnswer(StandingGroup, current);
      return { revision, value: { name, personIds } };
    },
  });
}

interface GroupFormProps {
  group: StandingGroup | undefined;
  people: readonly Person[];
  done: () => void;
}

function GroupForm({ group, people, done }: GroupFormProps) {
  const { mutate } = useSWRConfig();
  const [name, setName] = useState(group?.name ?? '');
  const [held, setHeld] = useState<ReadonlySet<string>>(new Set(group?.personIds));
  const finish = async (work: () => Promise<unknown>) => {
    try {
      await work();
      await mutate('/groups');
      done();
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  const save = () => finish(() => saveGroup(group, { name: name.trim(), personIds: [...held] }));
  return (
    <div className="flex flex-col gap-3">
      <Field label="Name">
        {(named) => (
          <input
            {...named}
            value={name}
            maxLength={120}
            placeholder="e.g. Thursday evening"
            onChange={(event) => setName(event.target.value)}
            className={inputClass}
          />
        )}
      </Field>
      <TickPeople label="People of the group" people={people} ticked={held} onChange={setHeld} />
      <div className="flex flex-wrap gap-2">
        <Button look="main" disabled={name.trim() === ''} onClick={() => void save()}>
          Keep
        </Button>
        <Button onClick={done}>Back</Button>
        {group ? (
          <Button
            look="warn"
            className="ml-auto"
            onClick={() => void finish(() => send('DELETE', `/groups/${group.id}`))}
          >
            Take the group away
          </Button>
        ) : null}
      </div>
    </div>
  );
}
