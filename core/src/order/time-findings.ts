import type { Catalogue } from '../movement/catalogue.ts';
import type { Dose } from '../movement/dose.ts';
import { applyEdit, type Edit } from '../plan/edits.ts';
import { doseOf, exerciseItemsOf, type ExerciseItem, type Plan } from '../plan/plan.ts';
import { showClock } from '../plan/show-time.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import type { Finding, Repair } from './rule.ts';

/** Nobody notices less than this. */
const TOLERANCE_S = 60;

/** A class well under its time has room for more. */
const UNDER_S = 300;

const CUTS_OFFERED = 2;

/** Whether the class fits its hour, and what would make it fit. */
export function timeFindings(
  plan: Plan,
  catalogue: Catalogue,
  timeline: Timeline,
  retime: (plan: Plan) => Timeline,
): Finding[] {
  if (timeline.items.length === 0) return [];
  const shared = {
    rule: 'fits-the-hour',
    kind: 'shape' as const,
    statement: 'The class fits the time it was announced for.',
    key: 'time',
    itemIds: [],
  };
  const range = `likely ${showClock(timeline.likely.lowS)} to ${showClock(timeline.likely.highS)}`;
  if (timeline.overS > TOLERANCE_S) {
    return [
      {
        ...shared,
        why: 'When a class runs late it is the release at the end that gets lost.',
        sentence: `${showClock(timeline.overS)} over ${showClock(timeline.targetS)} (${range}).`,
        repairs: rankCuts(plan, catalogue, timeline, retime),
      },
    ];
  }
  if (timeline.overS < -UNDER_S) {
    return [
      {
        ...shared,
        why: 'There is room for another exercise, a second set or a longer rest.',
        sentence: `${showClock(-timeline.overS)} left of ${showClock(timeline.targetS)} (${range}).`,
        repairs: [],
      },
    ];
  }
  return [];
}

/** Repetitions never go below the usual least; sides stay equal because the dose is shared. */
function rankCuts(
  plan: Plan,
  catalogue: Catalogue,
  timeline: Timeline,
  retime: (plan: Plan) => Timeline,
): Repair[] {
  const cuts = exerciseItemsOf(plan).flatMap((item) => {
    const shorter = shorterDose(item, catalogue);
    if (!shorter) return [];
    const name = catalogue.require(item.exercise).name;
    const edit: Edit = { type: 'setDose', itemId: item.id, dose: shorter.dose };
    return [{ label: `${name}: ${shorter.words}`, edit, item }];
  });
  const measured = cuts.map((cut) => ({ ...cut, savedS: saved(plan, cut.edit, timeline, retime) }));
  measured.sort((a, b) => b.savedS - a.savedS);
  const single = measured
    .filter((cut) => cut.savedS > 0)
    .slice(0, CUTS_OFFERED)
    .map(({ label, edit, savedS }) => ({ label: `${label}, saves ${showClock(savedS)}`, edit }));
  const all = together(measured, timeline.overS);
  return all ? [all, ...single] : single;
}

type Cut = { label: string; edit: Edit; savedS: number };

/** As few cuts as bring the class to its time, or as near as they can, taken together. */
function together(cuts: Cut[], overS: number): Repair | undefined {
  let savedS = 0;
  const taken: Cut[] = [];
  for (const cut of cuts) {
    if (savedS >= overS || cut.savedS <= 0) break;
    taken.push(cut);
    savedS += cut.savedS;
  }
  if (taken.length < 2) return undefined;
  const edits = taken.flatMap((cut) => (cut.edit.type === 'together' ? [] : [cut.edit]));
  const ofAll = savedS < overS ? ` of ${showClock(overS)}` : '';
  return {
    label: `Fewer repetitions in ${taken.length} exercises, saves ${showClock(savedS)}${ofAll}`,
    edit: { type: 'together', edits },
  };
}

function saved(
  plan: Plan,
  edit: Edit,
  timeline: Timeline,
  retime: (plan: Plan) => Timeline,
): number {
  const result = applyEdit(plan, edit);
  return result.ok ? timeline.totalS - retime(result.plan).totalS : 0;
}

function shorterDose(
  item: ExerciseItem,
  catalogue: Catalogue,
): { dose: Dose; words: string } | undefined {
  const exercise = catalogue.require(item.exercise);
  const dose = doseOf(item, exercise);
  if (exercise.family === 'release') return undefined;
  if (dose.sets > 1) return { dose: { ...dose, sets: dose.sets - 1 }, words: 'one set less' };
  if (dose.kind !== 'repetitions' && dose.kind !== 'breaths') return undefined;
  const { least } = exercise.usual;
  if (dose.kind !== exercise.dose.kind || dose.count <= least) return undefined;
  const count = Math.max(least, dose.count - 2);
  return { dose: { ...dose, count }, words: `${count} instead of ${dose.count}` };
}
