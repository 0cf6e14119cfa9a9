import { useState } from 'react';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { memberOn } from '@wrenfern/core/people/attendee';
import type { Choice } from '@wrenfern/core/people/choice';
import {
  remediesFor,
  sayRemedy,
  signsIn,
  type Remedy,
  type Seen,
} from '@wrenfern/core/people/remedies';
import { itemsOf } from '@wrenfern/core/plan/plan';
import { SIGN_IDS, signOf, type SignId } from '@wrenfern/core/people/signs';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { Button } from '../../parts/button.tsx';
import type { Run } from './use-run.ts';

interface SeenSignsProps {
  person: { id: string; name: string };
  lesson: WholeClass;
  exercise: Exercise;
  choice: Choice;
  itemId: string;
  run: Pick<Run, 'record'>;
  done: () => void;
}

/** What is seen in somebody, then what to try: the smallest change first. */
export function SeenSigns(props: SeenSignsProps) {
  const [sign, setSign] = useState<SignId>();
  const seen = useSeen(props);
  const signs = seen ? signsIn(seen) : SIGN_IDS.filter((id) => id === 'stop');
  return sign === undefined ? (
    <>
      <p className="mb-2 font-semibold">{props.person.name}: what is it?</p>
      <div className="flex flex-wrap gap-1.5">
        {signs.map((id) => (
          <Button
            key={id}
            className={id === 'stop' ? 'min-h-11 border-copper text-copper' : 'min-h-11'}
            onClick={() => setSign(id)}
          >
            {signOf(id).seen}
          </Button>
        ))}
      </div>
    </>
  ) : (
    <Remedies {...props} sign={sign} />
  );
}

function Remedies(props: SeenSignsProps & { sign: SignId }) {
  const { person, exercise, itemId, run, done, sign } = props;
  const seen = useSeen(props);
  const { seen: words, cue, onWhen } = signOf(sign);
  const found: Remedy[] = seen ? remediesFor(sign, seen) : [{ kind: 'rest' }];
  const remedies = hasLadder(props) ? found : found.filter(({ kind }) => kind !== 'option');
  const take = (remedy: Remedy) => {
    run.record({ type: 'seen', itemId, personId: person.id, sign, remedy });
    done();
  };
  return (
    <>
      <p className="font-semibold">
        {person.name}: {words}
      </p>
      <p className={sign === 'stop' ? 'text-copper' : ''}>{cue}</p>
      <p className="mb-2 text-base text-soft">On when: {onWhen}.</p>
      <div className="flex flex-col gap-2">
        {remedies.map((remedy) => (
          <Button
            key={JSON.stringify(remedy)}
            className="min-h-11 justify-start text-left"
            onClick={() => take(remedy)}
          >
            {remedy.kind === 'cue'
              ? 'Said it, and it helped'
              : sayRemedy(remedy, seen?.exercise ?? exercise)}
          </Button>
        ))}
      </div>
    </>
  );
}

/** What they really do: the item's exercise, or what stands in for it; nothing in a rest. */
function useSeen({ person, lesson, choice, exercise }: SeenSignsProps): Seen | undefined {
  const catalogue = useCatalogue();
  const attendee = lesson.attendees.find((each) => each.person.id === person.id);
  if (!attendee || choice.kind === 'rest') return undefined;
  const { option, how } = choice;
  const { restrictions } = memberOn(attendee, lesson.day);
  const done = choice.kind === 'swap' ? catalogue.require(choice.exercise) : exercise;
  return { exercise: done, option, how, restrictions };
}

/** Options by number are the item's own, and those of a series are no ladder. */
function hasLadder({ lesson, itemId, choice }: SeenSignsProps): boolean {
  const item = itemsOf(lesson.plan).find(({ id }) => id === itemId);
  return choice.kind === 'option' && item?.kind === 'exercise' && !item.variants;
}
