import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { readPeople, writePeople } from '@wrenfern/core/formats/csv/people-csv';
import { PeopleTaken, type RevisedPerson } from '@wrenfern/contract/people';
import { request, sentenceOf } from '../../data/request.ts';
import { TableExchange } from '../../parts/table-exchange.tsx';

/** All records out as a table, and in from one. */
export function PeopleTable({ people }: { people: readonly RevisedPerson[] }) {
  const { mutate } = useSWRConfig();
  const revisions = new Map(people.map(({ id, revision }) => [id, revision]));
  return (
    <TableExchange
      what="People"
      fileName="people"
      hint="One row for each, with at least a column “name”. Whoever has the name of a record changes it; a column that is missing changes nothing. A saved file shows how the rest is written. It holds health notes: keep it where nobody else reads it."
      write={() => writePeople(people.map(({ revision: _, ...person }) => person))}
      read={(text) =>
        readPeople(
          text,
          people.map(({ revision: _, ...person }) => person),
        )
      }
      take={async (values) => {
        try {
          const taken = await request(PeopleTaken, 'POST', '/people/import', {
            people: values.map(({ id, person }) => ({
              id,
              revision: id ? (revisions.get(id) ?? 0) : 0,
              person,
            })),
          });
          toast.success(`${taken.added} came in, ${taken.changed} changed.`);
          return true;
        } catch (error) {
          toast.error(`Nothing was taken. ${sentenceOf(error)}`);
          return false;
        } finally {
          await mutate((key) => typeof key === 'string' && key.startsWith('/people'));
        }
      }}
    />
  );
}
