import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { lastAbout } from '@wrenfern/core/live/run-class';
import type { Choice } from '@wrenfern/core/people/choice';
import { signOf } from '@wrenfern/core/people/signs';
import type { WholeClass } from '@wrenfern/contract/classes';
import { Button } from '../../parts/button.tsx';
import { SeenSigns } from './seen-signs.tsx';
import type { Run } from './use-run.ts';

/** Somebody in a version, and how they do it where that is their own. */
export interface Doing {
  id: string;
  name: string;
  marks: readonly string[];
}

interface PersonChipProps {
  person: Doing;
  lesson: WholeClass;
  exercise: Exercise;
  choice: Choice;
  itemId: string;
  run: Pick<Run, 'record' | 'state'>;
}

/** Moves a person up or down, or takes down what is seen in them: one press, then another. */
export function PersonChip(props: PersonChipProps) {
  const { person, exercise, itemId, run } = props;
  const [open, setOpen] = useState(false);
  const [isSeeing, setSeeing] = useState(false);
  const done = () => {
    setOpen(false);
    setSeeing(false);
  };
  return (
    <Popover.Root open={open} onOpenChange={(next) => (next ? setOpen(true) : done())}>
      <Popover.Trigger className="min-h-11 rounded-xl bg-mist px-3 text-lg hover:brightness-110">
        {person.name}
        {person.marks.length > 0 ? (
          <span className="block text-[0.8125rem] leading-tight text-soft">
            {person.marks.join(', ')}
          </span>
        ) : null}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={`What ${person.name} does`}
          collisionPadding={10}
          sideOffset={4}
          className="z-50 max-h-(--radix-popover-content-available-height) w-80 max-w-[94vw] overflow-y-auto rounded-2xl border border-line bg-leaf p-4 text-lg text-ink shadow-lg"
        >
          {isSeeing ? (
            <SeenSigns {...props} done={done} />
          ) : (
            <>
              <p className="mb-2 font-semibold">{person.name} does</p>
              <div className="flex flex-col gap-2">
                {exercise.options.map((option) => (
                  <Button
                    key={option.number}
                    className="min-h-11 justify-start text-left"
                    onClick={() => {
                      run.record({
                        type: 'moved',
                        itemId,
                        personId: person.id,
                        option: option.number,
                      });
                      done();
                    }}
                  >
                    {option.number} · {option.name}
                  </Button>
                ))}
                <Button look="quiet" className="min-h-11" onClick={() => setSeeing(true)}>
                  Something seen …
                </Button>
                <TakeBack {...props} done={done} />
              </div>
            </>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The last press about them here, when it was the wrong person or the wrong button. */
function TakeBack({ person, itemId, run, done }: PersonChipProps & { done: () => void }) {
  const last = lastAbout(run.state, itemId, person.id);
  if (!last) return null;
  const what = last.type === 'moved' ? `option ${last.option}` : signOf(last.sign).seen;
  return (
    <Button
      look="quiet"
      className="min-h-11 text-left"
      onClick={() => {
        run.record({ type: 'takeBack', eventId: last.id });
        done();
      }}
    >
      Take back “{what}”
    </Button>
  );
}
