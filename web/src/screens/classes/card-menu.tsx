import { Ellipsis } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ReadyClass } from '@wrenfern/contract/class-cards';
import { Button, buttonClass } from '../../parts/button.tsx';
import { inputClass } from '../../parts/field.tsx';
import { dayIn, momentIn, timeIn } from '@wrenfern/core/week/studio-time';
import { useClassChanges } from './use-class-changes.ts';

/** What can be done with one class of the week: another time, calling it off, opening it. */
export function CardMenu({ lesson, zone }: { lesson: ReadyClass; zone: string }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={`More about ${lesson.title}`}
        className="grid size-6 shrink-0 place-items-center rounded hover:bg-mist not-first:ml-auto"
      >
        <Ellipsis size={16} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={lesson.title}
          collisionPadding={10}
          className="z-50 flex w-80 max-w-[92vw] flex-col gap-4 rounded-xl border border-line bg-leaf p-4 shadow-lg"
        >
          <div className="flex gap-2">
            <Link className={buttonClass('main')} to={`/classes/${lesson.id}/plan`}>
              Plan
            </Link>
            <Link className={buttonClass()} to={`/classes/${lesson.id}/teach`}>
              Teach
            </Link>
            {lesson.taught ? (
              <Link className={buttonClass()} to={`/classes/${lesson.id}/log`}>
                Log
              </Link>
            ) : null}
          </div>
          {lesson.taught ? null : (
            <>
              <MoveForm lesson={lesson} zone={zone} done={() => setOpen(false)} />
              <CallOff lesson={lesson} done={() => setOpen(false)} />
            </>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

interface FormProps {
  lesson: ReadyClass;
  done: () => void;
}

function MoveForm({ lesson, zone, done }: FormProps & { zone: string }) {
  const { change } = useClassChanges();
  const [day, setDay] = useState(dayIn(zone, lesson.startsAt));
  const [time, setTime] = useState(timeIn(zone, lesson.startsAt));
  const move = async (following: boolean) => {
    if (!day || !time) return;
    done();
    await change(
      lesson,
      { startsAt: momentIn(zone, day, time), following },
      `${lesson.title} is moved`,
      { startsAt: lesson.startsAt, following },
    );
  };
  return (
    <div className="flex flex-col gap-2">
      <div className="grid grid-cols-2 gap-2">
        <input
          type="date"
          aria-label="Day"
          value={day}
          onChange={(event) => setDay(event.target.value)}
          className={inputClass}
        />
        <input
          type="time"
          aria-label="Time"
          value={time}
          onChange={(event) => setTime(event.target.value)}
          className={inputClass}
        />
      </div>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void move(false)}>
          {lesson.isRepeated ? 'Move this one' : 'Move it'}
        </Button>
        {lesson.isRepeated ? (
          <Button onClick={() => void move(true)}>Move all that follow</Button>
        ) : null}
      </div>
    </div>
  );
}

function CallOff({ lesson, done }: FormProps) {
  const { change } = useClassChanges();
  const [reason, setReason] = useState('');
  const set = async (calledOff: string | null, following: boolean, said: string) => {
    done();
    await change(lesson, { calledOff, following }, said, {
      calledOff: lesson.calledOff,
      following,
    });
  };
  if (lesson.calledOff !== null) {
    return (
      <Button
        className="self-start"
        onClick={() => void set(null, false, `${lesson.title} takes place`)}
      >
        It takes place after all
      </Button>
    );
  }
  const said = `${lesson.title} is called off`;
  const isSaid = reason.trim() !== '';
  return (
    <div className="flex flex-col gap-2">
      <input
        aria-label="Why it is called off"
        placeholder="Called off because …"
        maxLength={200}
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        className={inputClass}
      />
      <div className="flex flex-wrap gap-2">
        <Button look="warn" disabled={!isSaid} onClick={() => void set(reason.trim(), false, said)}>
          {lesson.isRepeated ? 'Call this one off' : 'Call it off'}
        </Button>
        {lesson.isRepeated ? (
          <Button
            look="warn"
            disabled={!isSaid}
            onClick={() => void set(reason.trim(), true, `${said}, with all that follow`)}
          >
            And all that follow
          </Button>
        ) : null}
      </div>
    </div>
  );
}
