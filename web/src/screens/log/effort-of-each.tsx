import { useState } from 'react';
import { toast } from 'sonner';
import { nextOrder, type LiveEvent } from '@wrenfern/core/live/events';
import { EFFORT_WORDS, effortOfEach, sessionLoad } from '@wrenfern/core/log/session-load';
import { thoseWhoCome } from '@wrenfern/core/people/came';
import { EventsTaken, type WholeClass } from '@wrenfern/contract/classes';
import { request, sentenceOf } from '../../data/request.ts';
import { inputClass } from '../../parts/field.tsx';

interface EffortProps {
  lesson: WholeClass;
  events: readonly LiveEvent[];
  /** How long the class took. */
  tookS: number;
  /** Reads what is kept again. */
  again: () => Promise<unknown>;
}

function effortSaid(events: readonly LiveEvent[], personId: string, rating: number): LiveEvent {
  const order = nextOrder(events);
  return { type: 'effort', id: crypto.randomUUID(), atMs: Date.now(), order, personId, rating };
}

/** How hard it was for each, as they say on the way out, and what that comes to over the time it took. */
export function EffortOfEach({ lesson, events, tookS, again }: EffortProps) {
  const [sending, setSending] = useState<string>();
  const said = effortOfEach(events);
  const coming = thoseWhoCome(lesson.attendees);
  if (coming.length === 0) return null;
  const keep = async (personId: string, rating: number) => {
    setSending(personId);
    try {
      const body = { events: [effortSaid(events, personId, rating)], after: 0 };
      await request(EventsTaken, 'POST', `/classes/${lesson.id}/events`, body);
      await again();
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      setSending(undefined);
    }
  };
  return (
    <section className="mt-6 max-w-xl" aria-label="How hard it was for each">
      <h2 className="text-xl">How hard it was for each</h2>
      <p className="mb-2 text-soft">
        0 rest, 5 hard, 10 all they had. Load is the number times the minutes.
      </p>
      <ul className="divide-y divide-line border-y border-line">
        {coming.map(({ person }) => {
          const rating = said.get(person.id);
          return (
            <li
              key={person.id}
              className="grid grid-cols-[1fr_11rem_5.5rem] items-center gap-3 py-1"
            >
              <span>{person.name}</span>
              <select
                aria-label={`How hard it was for ${person.name}`}
                value={rating ?? ''}
                disabled={sending === person.id}
                onChange={(change) => void keep(person.id, Number(change.target.value))}
                className={inputClass}
              >
                <option value="" disabled>
                  not said
                </option>
                {EFFORT_WORDS.map((words, value) => (
                  <option key={`${value} ${words}`} value={value}>
                    {value} {words}
                  </option>
                ))}
              </select>
              <span className="text-right text-soft">
                {rating === undefined ? '' : `load ${sessionLoad(rating, tookS)}`}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
