import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Clash } from '@wrenfern/core/merge/merge-three';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { describeDose, Dose } from '@wrenfern/core/movement/dose';
import { Item, itemsOf, type Plan } from '@wrenfern/core/plan/plan';

import { ClashesDialog, showValue, tellClash, type ToldClash } from '../../../parts/clashes.tsx';
import { useEditor } from './plan-context.tsx';

/** Somebody else changed the same place of the plan and saved first. */
export function ConflictDialog() {
  const catalogue = useCatalogue();
  const save = useEditor((editor) => editor.save);
  const mine = useEditor((editor) => editor.plan);
  const settle = useEditor((editor) => editor.settle);
  if (save.status !== 'conflict') return null;
  const clashes = save.clashes.map((clash) =>
    tellPlanClash(clash, [mine, save.theirs.value], catalogue),
  );
  return <ClashesDialog what="This class" clashes={clashes} choose={settle} />;
}

const FIELDS = new Map([
  ['title', 'Title'],
  ['targetS', 'Length in seconds'],
  ['note', 'Note'],
  ['style', 'How it is led'],
  ['machine', 'Machine'],
  ['changeOver', 'Two groups that change over'],
  ['station', 'Where it is done'],
  ['school', 'School'],
  ['segments', 'Order of the parts'],
  ['items', 'Order'],
  ['dose', 'dose'],
  ['options', 'options'],
]);

/** A place in a plan by the names of its parts and exercises. */
function tellPlanClash(clash: Clash, plans: readonly Plan[], catalogue: Catalogue): ToldClash {
  const names = new Map(
    plans.flatMap((plan) => [
      ...plan.segments.map(({ id, name }) => [id, name] as const),
      ...itemsOf(plan).map((item) => [item.id, nameOf(item, catalogue)] as const),
    ]),
  );
  const last = clash.path.at(-1);
  const where = clash.path
    .filter((part) => (part !== 'segments' && part !== 'items') || part === last)
    .map((part) => names.get(String(part)) ?? FIELDS.get(String(part)))
    .filter((word) => word !== undefined);
  return {
    where: where.length > 0 ? where.join(', ') : tellClash(clash).where,
    mine: showPart(clash.mine, catalogue),
    theirs: showPart(clash.theirs, catalogue),
  };
}

function showPart(value: unknown, catalogue: Catalogue): string {
  if (value === undefined) return 'taken out';
  const dose = Dose.safeParse(value);
  if (dose.success) return describeDose(dose.data);
  const item = Item.safeParse(value);
  if (item.success) return nameOf(item.data, catalogue);
  if (Array.isArray(value)) return value.map((part) => showPart(part, catalogue)).join('\n');
  return showValue(value);
}

function nameOf(item: Item, catalogue: Catalogue): string {
  return item.kind === 'pause' ? item.label : catalogue.require(item.exercise).name;
}
