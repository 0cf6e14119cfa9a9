import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { doseOf } from '@wrenfern/core/plan/usual';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { useEditor } from '../editor/plan-context.tsx';

/** Seconds of work, and of changing, that people set a clock to. Common practice. */
const WORK_S = [20, 30, 40, 45, 50, 60, 90, 120] as const;
const CHANGE_S = [0, 5, 10, 15, 20, 30, 45, 60] as const;

/** In a class by the clock: one control for the work and the change of all its sets. */
export function Intervals() {
  const catalogue = useCatalogue();
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const timed = timedSets(plan, catalogue);
  const [first] = timed;
  if (!first || timed.length < 2) return null;
  const isOne = timed.every(
    ({ dose }) => dose.onS === first.dose.onS && dose.offS === first.dose.offS,
  );
  const set = (change: { onS: number } | { offS: number }) =>
    edit({
      type: 'together',
      edits: timed.map(({ itemId, dose }) => ({
        type: 'setDose',
        itemId,
        dose: { ...dose, ...change },
      })),
    });
  return (
    <section aria-label="By the clock" className="flex flex-col gap-1">
      <div className="grid grid-cols-2 gap-2">
        <Stepper
          label="work"
          unit="s"
          value={first.dose.onS}
          min={5}
          max={600}
          through={WORK_S}
          onChange={(onS) => set({ onS })}
        />
        <Stepper
          label="change"
          unit="s"
          value={first.dose.offS}
          min={0}
          max={300}
          through={CHANGE_S}
          onChange={(offS) => set({ offS })}
        />
      </div>
      <p className="text-[0.8125rem] text-soft">
        Of all {timed.length} sets by the clock{isOne ? '' : '; now not all are alike'}.
      </p>
    </section>
  );
}

function timedSets(plan: Plan, catalogue: Catalogue) {
  const school = rulesOf(plan.school);
  return exerciseItemsOf(plan).flatMap((item) => {
    const exercise = catalogue.get(item.exercise);
    const dose = exercise && !item.variants ? doseOf(item, exercise, school) : undefined;
    return dose?.kind === 'timed' ? [{ itemId: item.id, dose }] : [];
  });
}
