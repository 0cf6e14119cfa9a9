import { useParams } from 'react-router';
import { NotFound } from '../../parts/not-found.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { RequestProblem } from '../../data/request.ts';
import { usePerson } from '../../data/use-people.ts';
import { RecordForm } from './record-form.tsx';

/** One person's lasting record. */
export function Component() {
  const { id } = useParams();
  const isNew = id === 'new';
  const person = usePerson(isNew ? undefined : id);
  if (isNew) return <RecordForm key="new" known={undefined} />;
  if (person.error instanceof RequestProblem && person.error.code === 'not-found') {
    return <NotFound />;
  }
  if (person.error && !person.data) {
    return <Failed error={person.error} retry={() => void person.mutate()} />;
  }
  if (!person.data) return <Loading what="the record" />;
  return <RecordForm key={person.data.id} known={person.data} />;
}
