import { clsx } from 'clsx';
import { Check, DoorOpen } from 'lucide-react';
import { CAUTIONS, type CautionId } from '@wrenfern/core/people/cautions/cautions';
import type { Came } from '@wrenfern/core/people/came';
import type { BookedPerson, WholeClass } from '@wrenfern/contract/classes';
import { useSaveBooking } from '../../data/save-booking.ts';
import { Button } from '../../parts/button.tsx';
import { TodaySheet } from '../options/today-sheet.tsx';
import type { Change } from './what-changes.ts';

const STATES = CAUTIONS.filter(({ group }) => group === 'today');

interface CardProps {
  lesson: WholeClass;
  booked: BookedPerson;
  changes: readonly Change[];
  /** Why they should not simply join in. */
  refused: string | undefined;
}

/** One person at the door. Names no condition: a tablet there is seen by everybody. */
export function CheckInCard({ lesson, booked, changes, refused }: CardProps) {
  const save = useSaveBooking(lesson.id);
  const { came, today } = booked;
  const mark = (as: Came) => void save(booked, { came: came === as ? null : as });
  const has = (id: CautionId) => today.some(({ caution }) => caution === id);
  const toggle = (id: CautionId) =>
    void save(booked, {
      today: has(id)
        ? today.filter(({ caution }) => caution !== id)
        : [...today, { caution: id, clearedBy: '', note: '' }],
    });
  const others = today.filter(({ caution }) => !STATES.some(({ id }) => id === caution)).length;
  return (
    <li
      className={clsx(
        'flex flex-col gap-3 rounded-2xl border bg-leaf p-4',
        came === 'here' ? 'border-fern' : 'border-line',
        came === 'cancelled late' && 'opacity-60',
      )}
    >
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="min-w-0 flex-1 text-xl leading-tight">
          {booked.person.name}
          {booked.person.saidAs ? (
            <span className="block font-text text-base font-normal text-soft">
              {booked.person.saidAs}
            </span>
          ) : null}
        </h2>
        <Button
          look={came === 'here' ? 'main' : 'plain'}
          className="min-h-11"
          aria-pressed={came === 'here'}
          aria-label={`${booked.person.name} is here`}
          onClick={() => mark('here')}
        >
          <Check size={18} aria-hidden /> Here
        </Button>
        <Button
          look="quiet"
          className="min-h-11"
          aria-pressed={came === 'cancelled late'}
          aria-label={`${booked.person.name} does not come`}
          onClick={() => mark('cancelled late')}
        >
          <DoorOpen size={18} aria-hidden />{' '}
          {came === 'cancelled late' ? 'Comes after all' : 'Not coming'}
        </Button>
      </div>
      {came === 'cancelled late' ? null : (
        <>
          <div className="flex flex-wrap gap-2">
            {STATES.map(({ id, name }) => (
              <button
                key={id}
                type="button"
                aria-pressed={has(id)}
                onClick={() => toggle(id)}
                className={clsx(
                  'min-h-11 rounded-full border px-3.5',
                  has(id)
                    ? 'border-fern bg-mist font-semibold text-fern'
                    : 'border-line-strong/50 bg-leaf hover:bg-mist',
                )}
              >
                {name}
              </button>
            ))}
            <TodaySheet lesson={lesson} booked={booked}>
              <Button look="quiet" className="min-h-11">
                Something else{others > 0 ? ` (${others})` : ''}
              </Button>
            </TodaySheet>
          </div>
          {refused ? (
            <p role="alert" className="font-semibold text-copper first-letter:uppercase">
              {refused}
            </p>
          ) : null}
          <WhatChanges changes={changes} />
        </>
      )}
    </li>
  );
}

function WhatChanges({ changes }: { changes: readonly Change[] }) {
  if (changes.length === 0) return null;
  return (
    <details>
      <summary className="min-h-7 cursor-pointer text-fern">
        {changes.length === 1
          ? 'One exercise changes today'
          : `${changes.length} exercises change today`}
      </summary>
      <ul className="mt-1 flex flex-col gap-1 text-[0.8125rem]">
        {changes.map(({ itemId, exercise, was, is }) => (
          <li key={itemId}>
            <span className="font-semibold">{exercise}:</span> {is}{' '}
            <span className="text-soft">instead of {was}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
