import { tempoOf } from '../../movement/exercise.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import type { Problem, Rule, RuleContext, Worked } from '../rule.ts';

/** How much of the work goes by the clock, at the least. Common practice. */
const SHARE = 0.75;

/** What is done bone by bone or breath by breath has its own time. */
const NOT_BY_THE_CLOCK: ReadonlySet<string> = new Set([
  'articulate-small',
  'articulate-large',
  'breath',
  'roll-down',
]);

export const byTheClock: Rule = {
  id: 'by-the-clock',
  name: 'By the clock',
  statement:
    'The work goes by the clock, three quarters of it at the least; breath and what moves bone by bone never do.',
  kind: 'shape',
  why: 'A clock drives; it suits what can be done at anybody’s level for as long as it runs, and hurries what is felt for.',
  usually: 'off',
  speaksFrom: 'class',
  find: (context) => [...hurried(context), ...tooLittle(context)],
};

function hurried({ worked }: RuleContext): Problem[] {
  return worked
    .filter(({ exercise, option, dose, item }) => {
      const tempo = item.tempo ?? tempoOf(exercise, option);
      const isFelt = exercise.family === 'awareness' || NOT_BY_THE_CLOCK.has(tempo);
      return dose.kind === 'timed' && isFelt;
    })
    .map(({ exercise, item }) => ({
      key: item.id,
      itemIds: [item.id],
      sentence: `${exercise.name} goes by the clock, and is felt bone by bone or breath by breath.`,
      candidates: () => [
        {
          label: 'By its own count',
          edit: { type: 'setDose' as const, itemId: item.id, dose: exercise.dose },
        },
      ],
    }));
}

function tooLittle({ worked }: RuleContext): Problem[] {
  const work = worked.filter(isWork);
  const seconds = (of: readonly Worked[]) =>
    of.reduce((sum, { timed }) => sum + secondsOf(timed, 'work', 'set-rest'), 0);
  const all = seconds(work);
  const clocked = seconds(work.filter(({ dose }) => dose.kind === 'timed'));
  if (all === 0 || clocked >= SHARE * all) return [];
  const percent = Math.round((100 * clocked) / all);
  return [
    {
      key: 'share',
      itemIds: [],
      sentence: `${percent} % of the work goes by the clock; three quarters do, or it is another kind of class.`,
      candidates: () => [],
    },
  ];
}

/** Warming up and letting go are by count. */
const WORK = 2;

const isWork = ({ exercise, timed }: Worked) =>
  exercise.family !== 'release' && exercise.family !== 'awareness' && timed.effort >= WORK;
