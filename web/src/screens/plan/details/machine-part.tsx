import { useState } from 'react';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import { listWords } from '@wrenfern/core/movement/words';
import { notOn } from '@wrenfern/core/plan/empty-plan';
import { exerciseItemsOf } from '@wrenfern/core/plan/plan';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Button } from '../../../parts/button.tsx';
import { SegmentedRadio } from '../../../parts/segmented-radio.tsx';
import { useEditor } from '../editor/plan-context.tsx';

const MACHINES: { value: Machine; name: string }[] = [
  { value: 'mat', name: 'Mat' },
  { value: 'reformer', name: 'Reformer' },
];

/** What the class is on. Changing over names what does not exist there, before anything is left out. */
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
    edit({
      type: 'together',
      edits: [
        ...items
          .filter(({ exercise }) => exercise.machine !== machine)
          .map(({ id }) => ({ type: 'removeItem' as const, itemId: id })),
        { type: 'setDetails', details: { machine } },
      ],
    });
  };
  return (
    <section aria-label="Mat or machine">
      <SegmentedRadio
        label="On"
        choices={MACHINES}
        value={plan.machine}
        onChange={(machine) => {
          if (missingOn(machine).length === 0) changeTo(machine);
          else setWanted(machine);
        }}
      />
      {wanted ? (
        <div role="alert" className="mt-2 rounded-xl bg-copper-soft p-3">
          <p className="text-copper">
            Not on the {wanted}: {listWords(missingOn(wanted))}.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button look="warn" onClick={() => changeTo(wanted)}>
              Leave them out and change
            </Button>
            <Button onClick={() => setWanted(undefined)}>Keep the {plan.machine}</Button>
          </div>
        </div>
      ) : null}
    </section>
  );
}
