import type { Edit, SingleEdit } from './edits.ts';
import {
  Bracket,
  Item,
  Plan,
  PlanDetails,
  Segment,
  SetAside,
  pacingOf,
  placeOf,
  ExerciseItem,
  type PauseItem,
} from './plan.ts';

export type EditResult =
  { ok: true; plan: Plan; inverse: Edit } | { ok: false; reason: EditRefusal };

/** Why an edit can't be made; `id` is what was not found. */
export type EditRefusal =
  | { code: 'no-item'; id: string }
  | { code: 'no-segment'; id: string }
  | { code: 'no-bracket'; id: string }
  | { code: 'wrong-kind'; id: string }
  | { code: 'id-taken'; id: string };

/** Applies an edit without touching the plan given; the inverse restores it exactly. */
export function applyEdit(plan: Plan, edit: Edit): EditResult {
  if (edit.type !== 'together') return applySingle(plan, edit);
  let current = plan;
  const inverses: SingleEdit[] = [];
  for (const single of edit.edits) {
    const result = applySingle(current, single);
    if (!result.ok) return result;
    current = result.plan;
    inverses.unshift(
      ...(result.inverse.type === 'together' ? result.inverse.edits : [result.inverse]),
    );
  }
  return { ok: true, plan: current, inverse: { type: 'together', edits: inverses } };
}

function applySingle(plan: Plan, edit: SingleEdit): EditResult {
  switch (edit.type) {
    case 'addItem':
      return addItem(plan, edit.segmentId, edit.index, edit.item);
    case 'removeItem':
      return removeItem(plan, edit.itemId);
    case 'moveItem':
      return moveItem(plan, edit);
    case 'setDose':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'dose', edit.dose),
        inverse: { type: 'setDose', itemId: item.id, dose: item.dose },
      }));
    case 'setOptions':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'options', edit.options),
        inverse: { type: 'setOptions', itemId: item.id, options: item.options },
      }));
    case 'setTeaching':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'teaching', edit.teaching),
        inverse: { type: 'setTeaching', itemId: item.id, teaching: item.teaching },
      }));
    case 'setPacing':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: { ...withoutPacing(item), ...withoutUndefined(edit.pacing) },
        inverse: { type: 'setPacing', itemId: item.id, pacing: pacingOf(item) },
      }));
    case 'setRest':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: { ...item, restS: edit.restS },
        inverse: { type: 'setRest', itemId: item.id, restS: item.restS },
      }));
    case 'setVariants':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'variants', edit.variants),
        inverse: { type: 'setVariants', itemId: item.id, variants: item.variants },
      }));
    case 'setGear':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'gear', edit.gear),
        inverse: { type: 'setGear', itemId: item.id, gear: item.gear },
      }));
    case 'setProps':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'props', edit.props),
        inverse: { type: 'setProps', itemId: item.id, props: item.props },
      }));
    case 'setKeeps':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'keeps', edit.keeps),
        inverse: { type: 'setKeeps', itemId: item.id, keeps: item.keeps },
      }));
    case 'setPause':
      return changePause(plan, edit.itemId, (item) => ({
        next: { ...item, label: edit.label, durationS: edit.durationS },
        inverse: {
          type: 'setPause',
          itemId: item.id,
          label: item.label,
          durationS: item.durationS,
        },
      }));
    case 'setNote':
      return changeItem(plan, edit.itemId, (item) => ({
        next: { ...item, note: edit.note },
        inverse: { type: 'setNote', itemId: item.id, note: item.note },
      }));
    case 'addBracket':
      return addBracket(plan, edit.bracket, edit.index);
    case 'removeBracket':
      return removeBracket(plan, edit.bracketId);
    case 'setBracket':
      return setBracket(plan, edit.bracket);
    case 'setItemBracket':
      return changeItem(plan, edit.itemId, (item) => ({
        next: inBracket(item, edit.bracketId),
        inverse: {
          type: 'setItemBracket',
          itemId: item.id,
          ...(item.bracket ? { bracketId: item.bracket } : {}),
        },
      }));
    case 'setOnlySide':
      return changeExercise(plan, edit.itemId, (item) => ({
        next: withOptional(item, 'onlySide', edit.side),
        inverse: { type: 'setOnlySide', itemId: item.id, side: item.onlySide },
      }));
    case 'addSegment':
      return addSegment(plan, edit.index, edit.segment);
    case 'removeSegment':
      return removeSegment(plan, edit.segmentId);
    case 'moveSegment':
      return moveSegment(plan, edit.segmentId, edit.index);
    case 'renameSegment':
      return changeSegment(plan, edit.segmentId, (segment) => ({
        next: { ...segment, name: edit.name },
        inverse: { type: 'renameSegment', segmentId: segment.id, name: segment.name },
      }));
    case 'setStation':
      return changeSegment(plan, edit.segmentId, ({ station: before, ...segment }) => ({
        next: { ...segment, ...(edit.station ? { station: edit.station } : {}) },
        inverse: {
          type: 'setStation',
          segmentId: segment.id,
          ...(before ? { station: before } : {}),
        },
      }));
    case 'setPartTarget':
      return changeSegment(plan, edit.segmentId, ({ targetS: before, ...segment }) => ({
        next: { ...segment, ...(edit.targetS === undefined ? {} : { targetS: edit.targetS }) },
        inverse: {
          type: 'setPartTarget',
          segmentId: segment.id,
          ...(before === undefined ? {} : { targetS: before }),
        },
      }));
    case 'setAside':
      return setAside(plan, edit);
    case 'setDetails': {
      const keys = Object.keys(edit.details) as (keyof PlanDetails)[];
      const before = Object.fromEntries(keys.map((key) => [key, plan[key]]));
      return {
        ok: true,
        plan: withoutUndefined({ ...plan, ...edit.details }),
        inverse: { type: 'setDetails', details: before },
      };
    }
  }
}

function setAside(
  plan: Plan,
  { rule, key, reason }: Omit<SetAside, 'reason'> & { reason?: string | undefined },
): EditResult {
  const { setAside: before = [], ...rest } = plan;
  const at = before.findIndex((each) => each.rule === rule && each.key === key);
  const old = before[at];
  const place = at < 0 ? before.length : at;
  const after = before.toSpliced(place, old ? 1 : 0, ...(reason ? [{ rule, key, reason }] : []));
  return {
    ok: true,
    plan: after.length === 0 ? rest : { ...rest, setAside: after },
    inverse: { type: 'setAside', rule, key, ...(old ? { reason: old.reason } : {}) },
  };
}

function refuse(code: EditRefusal['code'], refusedId: string): EditResult {
  return { ok: false, reason: { code, id: refusedId } };
}

function isTaken({ segments, brackets = [] }: Plan, wanted: string): boolean {
  const isWanted = (each: { id: string }) => each.id === wanted;
  return (
    brackets.some(isWanted) ||
    segments.some((segment) => isWanted(segment) || segment.items.some(isWanted))
  );
}

/** An item that lands within a bracket joins it; one that names a bracket keeps it only beside others of it. */
function addItem(plan: Plan, segmentId: string, at: number, item: Item): EditResult {
  const segment = plan.segments.find((candidate) => candidate.id === segmentId);
  if (!segment) return refuse('no-segment', segmentId);
  if (isTaken(plan, item.id)) return refuse('id-taken', item.id);
  const index = clamp(at, segment.items);
  const landed = plan.brackets
    ? inBracket(item, bracketAt(segment.items, index, item.bracket))
    : item;
  return {
    ok: true,
    plan: withItems(plan, segmentId, segment.items.toSpliced(index, 0, landed)),
    inverse: { type: 'removeItem', itemId: item.id },
  };
}

function bracketAt(
  items: readonly Item[],
  at: number,
  own: string | undefined,
): string | undefined {
  const [before, behind] = [items[at - 1]?.bracket, items[at]?.bracket];
  if (before !== undefined && before === behind) return before;
  return own === before || own === behind ? own : undefined;
}

function inBracket(item: Item, bracketId: string | undefined): Item {
  const { bracket: _left, ...free } = item;
  return bracketId === undefined ? free : { ...free, bracket: bracketId };
}

function removeItem(plan: Plan, itemId: string): EditResult {
  const place = placeOf(plan, itemId);
  const segment = plan.segments.find((candidate) => candidate.id === place?.segmentId);
  const item = place && segment?.items[place.index];
  if (!place || !segment || !item) return refuse('no-item', itemId);
  return {
    ok: true,
    plan: withItems(plan, segment.id, segment.items.toSpliced(place.index, 1)),
    inverse: backInBracket(plan, item, {
      type: 'addItem',
      segmentId: segment.id,
      index: place.index,
      item,
    }),
  };
}

/** Where there are brackets, what puts an item back says in which it stood, whatever it lands in. */
function backInBracket({ brackets }: Plan, item: Item, back: SingleEdit): Edit {
  if (!brackets) return back;
  const { id: itemId, bracket: bracketId } = item;
  const edits: SingleEdit[] = [
    back,
    { type: 'setItemBracket', itemId, ...(bracketId ? { bracketId } : {}) },
  ];
  return { type: 'together', edits };
}

/** `index` counts in the segment as it stands once the item has been lifted out. */
function moveItem(
  plan: Plan,
  edit: { itemId: string; segmentId: string; index: number },
): EditResult {
  const from = placeOf(plan, edit.itemId);
  const segment = plan.segments.find((candidate) => candidate.id === from?.segmentId);
  const item = from && segment?.items[from.index];
  if (!from || !segment || !item) return refuse('no-item', edit.itemId);
  const lifted = withItems(plan, segment.id, segment.items.toSpliced(from.index, 1));
  const dropped = addItem(lifted, edit.segmentId, edit.index, item);
  if (!dropped.ok) return dropped;
  return {
    ok: true,
    plan: dropped.plan,
    inverse: backInBracket(plan, item, { type: 'moveItem', itemId: edit.itemId, ...from }),
  };
}

function changeItem(
  plan: Plan,
  itemId: string,
  change: (item: Item) => { next: Item; inverse: SingleEdit },
): EditResult {
  const place = placeOf(plan, itemId);
  const segment = plan.segments.find((candidate) => candidate.id === place?.segmentId);
  const item = place && segment?.items[place.index];
  if (!place || !segment || !item) return refuse('no-item', itemId);
  const { next, inverse } = change(item);
  return {
    ok: true,
    plan: withItems(plan, segment.id, segment.items.with(place.index, next)),
    inverse,
  };
}

function changeExercise(
  plan: Plan,
  itemId: string,
  change: (item: ExerciseItem) => { next: Item; inverse: SingleEdit },
): EditResult {
  if (kindOf(plan, itemId) === 'pause') return refuse('wrong-kind', itemId);
  return changeItem(plan, itemId, (item) => change(item as ExerciseItem));
}

function changePause(
  plan: Plan,
  itemId: string,
  change: (item: PauseItem) => { next: Item; inverse: SingleEdit },
): EditResult {
  if (kindOf(plan, itemId) === 'exercise') return refuse('wrong-kind', itemId);
  return changeItem(plan, itemId, (item) => change(item as PauseItem));
}

function kindOf(plan: Plan, itemId: string): Item['kind'] | undefined {
  return plan.segments.flatMap((segment) => segment.items).find((item) => item.id === itemId)?.kind;
}

function withoutPacing(item: ExerciseItem): ExerciseItem {
  const { explainS: _said, breathed: _led, phases: _breaths, tempo: _kind, ...rest } = item;
  return rest;
}

/** A field that is left out again is not there, as in a document that never had it. */
function withoutUndefined<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, part]) => part !== undefined)) as T;
}

/** Sets a field, or takes it away so that the document stays as it was before it had one. */
function withOptional<
  K extends 'dose' | 'options' | 'teaching' | 'gear' | 'props' | 'keeps' | 'variants' | 'onlySide',
>(item: ExerciseItem, key: K, value: ExerciseItem[K]): ExerciseItem {
  const { [key]: _dropped, ...rest } = item;
  return (value === undefined ? rest : { ...rest, [key]: value }) as ExerciseItem;
}

function addBracket(plan: Plan, bracket: Bracket, at = Infinity): EditResult {
  if (isTaken(plan, bracket.id)) return refuse('id-taken', bracket.id);
  return {
    ok: true,
    plan: withBrackets(plan, (plan.brackets ?? []).toSpliced(at, 0, bracket)),
    inverse: { type: 'removeBracket', bracketId: bracket.id },
  };
}

function removeBracket(plan: Plan, bracketId: string): EditResult {
  const { brackets = [] } = plan;
  const index = brackets.findIndex(({ id: own }) => own === bracketId);
  const bracket = brackets[index];
  if (!bracket) return refuse('no-bracket', bracketId);
  return {
    ok: true,
    plan: withBrackets(plan, brackets.toSpliced(index, 1)),
    inverse: { type: 'addBracket', bracket, index },
  };
}

function setBracket(plan: Plan, bracket: Bracket): EditResult {
  const { brackets = [] } = plan;
  const index = brackets.findIndex(({ id: own }) => own === bracket.id);
  const before = brackets[index];
  if (!before) return refuse('no-bracket', bracket.id);
  return {
    ok: true,
    plan: withBrackets(plan, brackets.with(index, bracket)),
    inverse: { type: 'setBracket', bracket: before },
  };
}

/** A plan without brackets has no list of them, as a document that never had one. */
function withBrackets({ brackets: _before, ...plan }: Plan, brackets: Bracket[]): Plan {
  return brackets.length === 0 ? plan : { ...plan, brackets };
}

function addSegment(plan: Plan, at: number, segment: Segment): EditResult {
  for (const wanted of [segment.id, ...segment.items.map((item) => item.id)]) {
    if (isTaken(plan, wanted)) return refuse('id-taken', wanted);
  }
  return {
    ok: true,
    plan: { ...plan, segments: plan.segments.toSpliced(clamp(at, plan.segments), 0, segment) },
    inverse: { type: 'removeSegment', segmentId: segment.id },
  };
}

function removeSegment(plan: Plan, segmentId: string): EditResult {
  const at = plan.segments.findIndex((segment) => segment.id === segmentId);
  const segment = plan.segments[at];
  if (!segment) return refuse('no-segment', segmentId);
  return {
    ok: true,
    plan: { ...plan, segments: plan.segments.toSpliced(at, 1) },
    inverse: { type: 'addSegment', index: at, segment },
  };
}

function moveSegment(plan: Plan, segmentId: string, to: number): EditResult {
  const at = plan.segments.findIndex((segment) => segment.id === segmentId);
  const segment = plan.segments[at];
  if (!segment) return refuse('no-segment', segmentId);
  const without = plan.segments.toSpliced(at, 1);
  return {
    ok: true,
    plan: { ...plan, segments: without.toSpliced(clamp(to, without), 0, segment) },
    inverse: { type: 'moveSegment', segmentId, index: at },
  };
}

function changeSegment(
  plan: Plan,
  segmentId: string,
  change: (segment: Segment) => { next: Segment; inverse: SingleEdit },
): EditResult {
  const at = plan.segments.findIndex((candidate) => candidate.id === segmentId);
  const segment = plan.segments[at];
  if (!segment) return refuse('no-segment', segmentId);
  const { next, inverse } = change(segment);
  return { ok: true, plan: { ...plan, segments: plan.segments.with(at, next) }, inverse };
}

function withItems(plan: Plan, segmentId: string, items: Item[]): Plan {
  return {
    ...plan,
    segments: plan.segments.map((segment) =>
      segment.id === segmentId ? { ...segment, items } : segment,
    ),
  };
}

function clamp(at: number, list: readonly unknown[]): number {
  return Math.min(at, list.length);
}
