import { z } from 'zod';
import { Dose } from '../movement/dose.ts';
import { Gear } from '../movement/gear.ts';
import { Machine, OptionNumber, Side } from '../movement/vocabulary.ts';
import { ItemProps, Keeps } from './item-props.ts';
import {
  Bracket,
  ExerciseItem,
  Item,
  Pacing,
  PlanDetails,
  Segment,
  SetAside,
  TeachingStyle,
} from './plan.ts';

const id = z.string().min(1).max(64);
const index = z.number().int().min(0);

const RemoveItem = z.strictObject({ type: z.literal('removeItem'), itemId: id });
const SetDose = z.strictObject({ type: z.literal('setDose'), itemId: id, dose: Dose.optional() });
const SetRest = z.strictObject({
  type: z.literal('setRest'),
  itemId: id,
  restS: z.number().int().min(0).max(600),
});
const SetPause = z.strictObject({
  type: z.literal('setPause'),
  itemId: id,
  label: z.string().trim().min(1).max(120),
  durationS: z.number().int().min(5).max(1800),
});

/** What makes a class shorter or longer while it is taught. */
export const LengthEdit = z.discriminatedUnion('type', [RemoveItem, SetDose, SetRest, SetPause]);
export type LengthEdit = z.infer<typeof LengthEdit>;

/** The schema is the source of the type; edits made by our own code need no reading. */
export const SingleEdit = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('addItem'), segmentId: id, index, item: Item }),
  RemoveItem,
  z.strictObject({ type: z.literal('moveItem'), itemId: id, segmentId: id, index }),
  SetDose,
  z.strictObject({
    type: z.literal('setOptions'),
    itemId: id,
    options: z.array(OptionNumber).min(1).optional(),
  }),
  z.strictObject({
    type: z.literal('setTeaching'),
    itemId: id,
    teaching: TeachingStyle.optional(),
  }),
  /** All of it at once: what is left out is left open again. */
  z.strictObject({ type: z.literal('setPacing'), itemId: id, pacing: Pacing }),
  SetRest,
  z.strictObject({
    type: z.literal('setVariants'),
    itemId: id,
    variants: ExerciseItem.shape.variants,
  }),
  z.strictObject({ type: z.literal('setGear'), itemId: id, gear: Gear.optional() }),
  z.strictObject({ type: z.literal('setProps'), itemId: id, props: ItemProps.optional() }),
  z.strictObject({ type: z.literal('setKeeps'), itemId: id, keeps: Keeps.optional() }),
  SetPause,
  z.strictObject({ type: z.literal('setNote'), itemId: id, note: z.string().max(1000) }),
  z.strictObject({
    type: z.literal('addBracket'),
    bracket: Bracket,
    index: index.optional(),
  }),
  /** Items that still name it then stand in none. */
  z.strictObject({ type: z.literal('removeBracket'), bracketId: id }),
  z.strictObject({ type: z.literal('setBracket'), bracket: Bracket }),
  z.strictObject({ type: z.literal('setItemBracket'), itemId: id, bracketId: id.optional() }),
  z.strictObject({ type: z.literal('setOnlySide'), itemId: id, side: Side.optional() }),
  z.strictObject({ type: z.literal('addSegment'), index, segment: Segment }),
  z.strictObject({ type: z.literal('removeSegment'), segmentId: id }),
  z.strictObject({ type: z.literal('moveSegment'), segmentId: id, index }),
  z.strictObject({
    type: z.literal('renameSegment'),
    segmentId: id,
    name: z.string().trim().min(1).max(120),
  }),
  /** In a class of two groups: where a part is done by one of them; by all where it is left out. */
  z.strictObject({ type: z.literal('setStation'), segmentId: id, station: Machine.optional() }),
  z.strictObject({
    type: z.literal('setPartTarget'),
    segmentId: id,
    targetS: Segment.shape.targetS,
  }),
  z.strictObject({ type: z.literal('setDetails'), details: PlanDetails.partial() }),
  /** A finding that stands on purpose; told again where no reason is given. */
  SetAside.partial({ reason: true }).extend({ type: z.literal('setAside') }),
]);
export type SingleEdit = z.infer<typeof SingleEdit>;

/** A named change of a plan. Several that belong together are undone together. */
export type Edit = SingleEdit | { type: 'together'; edits: SingleEdit[] };
