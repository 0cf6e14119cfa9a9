import { useState } from 'react';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import { listWords } from '@wrenfern/core/movement/words';
import { notOn } from '@wrenfern/core/plan/empty-plan';
import type { SingleEdit } from '@wrenfern/core/plan/edits';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { makeOneGroup, makeTwoGroups } from '@wrenfern/core/plan/two-group-edits';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Button } from '../../../parts/button.tsx';
import { ON_CHOICES, type On } from '../../../parts/on-choices.ts';
import { SegmentedRadio } from '../../../parts/segmented-radio.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { useEditor } from '../editor/plan-context.tsx';

/** What the class is on. Changing names what does not exist there, before anything is left out. */
export function MachinePart() {
  const catalogue = useCatalogue();
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const [wanted, setWanted] = useState<Machine>();
  const items = exerciseItemsOf(plan).flatMap((item) => {
    const exercise = catalogue.get(item.exercise);
    return exercise ? [{ id: item.id, exercise }] : [];
  });
  const missingOn = (machine: Machine) =>
    notOn(
      machine,
      items.map(({ exercise }) => exercise),
    );
  const changeTo = (machine: Machine) => {
    setWanted(undefined);
    const removed: SingleEdit[] = items
      .filter(({ exercise }) => exercise.machine !== machine)
      .map(({ id }) => ({ type: 'removeItem', itemId: id }));
    const one = makeOneGroup(plan, machine);
    const after: SingleEdit[] =
      one?.type === 'together' ? one.edits : [{ type: 'setDetails', details: { machine } }];
    edit({ type: 'together', edits: [...removed, ...after] });
  };
  const choose = (on: On) => {
    if (on === 'both') {
      const two = makeTwoGroups(plan);
      if (two) edit(two);
    } else if (missingOn(on).length === 0) changeTo(on);
    else setWanted(on);
  };
  const now: On = isMixed(plan) ? 'both' : plan.machine;
  return (
    <section aria-label="Mat or machine" className="flex flex-col gap-2">
      <SegmentedRadio label="On" choices={ON_CHOICES} value={now} onChange={choose} />
      {isMixed(plan) ? (
        <div className="flex flex-col gap-2">
          <p className="text-[0.8125rem] text-soft">
            Two groups: one on the machines while the other is on the mat, then they change over.
          </p>
          <div className="w-32">
            <Stepper
              label="changing over"
              unit="s"
              value={plan.changeOver.durationS}
              min={30}
              max={600}
              through={CHANGE_OVER_S}
              onChange={(durationS) =>
                edit({ type: 'setDetails', details: { changeOver: { durationS } } })
              }
            />
          </div>
        </div>
      ) : null}
      {wanted ? (
        <div role="alert" className="rounded-xl bg-copper-soft p-3">
          <p className="text-copper">
            Not on the {wanted}: {listWords(missingOn(wanted))}.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button look="warn" onClick={() => changeTo(wanted)}>
              Leave them out and change
            </Button>
            <Button onClick={() => setWanted(undefined)}>
              {now === 'both' ? 'Keep both' : `Keep the ${now}`}
            </Button>
          </div>
        </div>
      ) : null}
    </section>
  );
}

/** Lengths that one plans changing over in. */
const CHANGE_OVER_S = [60, 90, 120, 150, 180, 240, 300];
