import type { DriveStep } from 'driver.js';
import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { Machine } from '@wrenfern/core/movement/vocabulary';

interface Stop {
  /** What is shown; a stop whose place this screen does not show is left out. */
  at: string;
  title: string;
  says: string;
}

/** What a newcomer wants to know of a plan, in two minutes. */
const STOPS: Record<Machine, readonly Stop[]> = {
  mat: stops(
    '[data-walk="lanes"]',
    'Beside the rows',
    'Position, props and sides as bands: a long band means that nobody has to move or fetch anything. On the right, how effort swells and comes down again.',
  ),
  reformer: stops(
    '[aria-label^="Gear: "]',
    'The gear, as bands',
    'Springs, bar, headrest, loops, box: one band is one setting. Where a band ends, everybody changes something, and the seconds for it are counted. Press a band to change a whole block.',
  ),
};

function stops(lanes: string, lanesTitle: string, lanesSay: string): Stop[] {
  return [
    {
      at: '[aria-label="Running order"] [data-item]',
      title: 'A class is read from the top',
      says: 'Each row is an exercise, as tall as it is long. Drag it, or choose it and use Alt and arrows. What you change is saved by itself and can be undone.',
    },
    {
      at: '[aria-label="Exercises to add"]',
      title: 'Type it as you scribble it',
      says: 'Press / and write “clam 10 each”, Enter, the next, Enter. Behind the name stands how much.',
    },
    { at: lanes, title: lanesTitle, says: lanesSay },
    {
      at: '[aria-label="Details"]',
      title: 'What is chosen',
      says: 'Choose a row, and here are its options, its count, what to say and why it takes as long as it does. With nothing chosen it is about the whole class.',
    },
    {
      at: '[data-testid="total"]',
      title: 'How long it really takes',
      says: 'Repetitions, changes of side, fetching things, your words. Press “why” for the reasons. The mark is the end of the hour.',
    },
    {
      at: '[data-testid="save-state"]',
      title: 'What is still to settle',
      says: 'Order, time, props, people without an option. Press n for the next one; each has a reason, and repairs that were tried.',
    },
    {
      at: 'nav[aria-label="This class"]',
      title: 'Before, in and after the class',
      says: 'Options: who does which, by their record. Teach: what is now, what comes, how late you are. Log: how it was.',
    },
  ];
}

/** Runs once where a class was opened to be walked through; Escape or the cross leaves it at any stop. */
export function useWalk(machine: Machine): void {
  const { state } = useLocation() as { state: unknown };
  const navigate = useNavigate();
  const isWanted = typeof state === 'object' && state !== null && 'walk' in state;
  useEffect(() => {
    if (!isWanted) return;
    let leave = () => {};
    let isGone = false;
    void begin(machine, () => {
      // Said once: going back to this page does not begin it again.
      if (!isGone) void navigate('.', { replace: true, state: null });
    }).then((end) => {
      if (isGone) end();
      leave = end;
    });
    return () => {
      isGone = true;
      leave();
    };
  }, [isWanted, machine, navigate]);
}

async function begin(machine: Machine, left: () => void): Promise<() => void> {
  const [{ driver }] = await Promise.all([
    import('driver.js'),
    import('driver.js/dist/driver.css'),
  ]);
  const steps = STOPS[machine]
    .filter(({ at }) => document.querySelector<HTMLElement>(at)?.offsetParent)
    .map(({ at, title, says }): DriveStep => ({
      element: at,
      popover: { title, description: says },
    }));
  const walk = driver({
    steps,
    // While it glides it hears no key: a key pressed at once would be lost.
    animate: false,
    showProgress: true,
    progressText: '{{current}} of {{total}}',
    nextBtnText: 'Next',
    prevBtnText: 'Back',
    doneBtnText: 'That is all',
    popoverClass: 'walk',
    overlayOpacity: 0.35,
    stagePadding: 2,
    onDestroyed: left,
  });
  walk.drive();
  return () => walk.destroy();
}
