import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise } from '../movement/exercise.ts';
import type { ExerciseItem, School } from '../plan/plan.ts';
import { memberOn, type Attendee } from './attendee.ts';
import type { Choice, HandChoice } from './choice.ts';
import { asksOf, departures, eachOnce, ownReason, passedOver, withDose } from './departures.ts';
import { insteadOf } from './instead-of.ts';
import { offerItem, type OfferedItem } from './offered-item.ts';
import type { Reason } from './reasons.ts';
import { restShapeFor } from './rest-shapes.ts';
import { bestOf, standingOf, type Standing, type Strand } from './standing.ts';
import { cheapestWay, plainHits } from './ways.ts';

/**
 * What somebody does at an item: the cheapest departure that keeps within all bounds (`ways.ts`), on each side; with
 * none, another exercise with a shared aim; with none of those, a rest that is allowed too.
 */
export function chooseOption(
  attendee: Attendee,
  item: ExerciseItem,
  catalogue: Catalogue,
  day: string,
  school: School,
): Choice {
  const offer = offerItem(item, school, catalogue);
  return chooseAmong(offer.offered, standingOf(memberOn(attendee, day), offer));
}

/** More than a studio's different people at one exercise. */
const MOST_CHOSEN = 2000;
const CHOSEN = new WeakMap<Catalogue, WeakMap<Exercise, Map<string, Choice>>>();

function chosenOf({ catalogue, exercise }: OfferedItem): Map<string, Choice> {
  const ofCatalogue = CHOSEN.get(catalogue) ?? new WeakMap<Exercise, Map<string, Choice>>();
  CHOSEN.set(catalogue, ofCatalogue);
  const chosen = ofCatalogue.get(exercise) ?? new Map<string, Choice>();
  ofCatalogue.set(exercise, chosen);
  return chosen;
}

/** What somebody does of the cued options; the same choice for all for whom it comes to the same. */
export function chooseAmong(cued: readonly number[], standing: Standing): Choice {
  // What is chosen by hand is chosen for one person.
  if (standing.byHand) return chooseFor(cued, standing);
  const chosen = chosenOf(standing.offer);
  const key = `${standing.key} ${cued.join(' ')}`;
  const known = chosen.get(key) ?? chooseFor(cued, standing);
  if (chosen.size >= MOST_CHOSEN) chosen.clear();
  chosen.set(key, known);
  return known;
}

function chooseFor(cued: readonly number[], standing: Standing): Choice {
  const { byHand, strands } = standing;
  const [right, left] = strands.map((strand) =>
    byHand ? handChoice(byHand, standing, strand) : chooseOn(cued, standing, strand),
  );
  if (!right) throw new Error('an item has no side');
  return left && !isSame(left, right) ? { ...inTurn(right), onLeft: inTurn(left) } : inTurn(right);
}

/** Each reason once, and behind them when more may be tried again. */
function inTurn(choice: Choice): Choice {
  if (choice.reasons.length < 2) return choice;
  const once = eachOnce(choice.reasons);
  const again = once.filter(({ code }) => code === 'again');
  return { ...choice, reasons: [...once.filter(({ code }) => code !== 'again'), ...again] };
}

function isSame(one: Choice, other: Choice): boolean {
  const bare = ({ reasons: _reasons, ...rest }: Choice) => JSON.stringify(rest);
  return bare(one) === bare(other);
}

function chooseOn(cued: readonly number[], standing: Standing, strand: Strand): Choice {
  const best = bestOf(cued, strand);
  if (!best) return otherwiseOf(standing, strand);
  const { option, way } = best;
  const how = withDose(way, strand.easing.dose);
  return {
    kind: 'option',
    option,
    ...(how ? { how } : {}),
    reasons: [
      ...passedOver(standing, strand, option),
      ...departures(way, option),
      ...strand.easing.by.map((caution): Reason => ({ code: 'eased', caution })),
      ownReason(strand.own, option),
    ],
  };
}

const OTHERWISE = new WeakMap<Strand, Choice>();

/** What is done where none of the options is: asked again for every set of cued options, found out once. */
export function otherwiseOf(standing: Standing, strand: Strand): Choice {
  const known = OTHERWISE.get(strand) ?? sharedOtherwise(standing, strand);
  OTHERWISE.set(strand, known);
  return known;
}

/** The same for all for whom it comes to the same. */
function sharedOtherwise(standing: Standing, strand: Strand): Choice {
  const { offer, member } = standing;
  const { own, easing } = strand;
  const chosen = chosenOf(offer);
  const key = `otherwise ${strand.asking.key} ${own.option} ${easing.own} ${easing.dose} ${member.cautions.join(' ')} ${offer.offered.join(' ')}`;
  const known = chosen.get(key) ?? insteadOf(standing, strand);
  chosen.set(key, known);
  return known;
}

/** What the hand decides is the exercise and the option; how it is done keeps within the bounds where it can. */
function handChoice(
  byHand: HandChoice,
  { offer, member }: Standing,
  { asking, easing }: Strand,
): Choice {
  const reasons: Reason[] = [{ code: 'by-hand' }];
  const rest = (): Choice => ({
    kind: 'rest',
    shape: restShapeFor(offer.exercise.position, member.restrictions),
    reasons,
  });
  if (byHand.kind === 'rest') return rest();
  const target = byHand.kind === 'swap' ? offer.catalogue.get(byHand.exercise) : offer.exercise;
  const option = target?.options[byHand.option - 1];
  if (!option) return rest();
  const way = cheapestWay(option, asking);
  reasons.push(
    ...(way ? departures(way, option.number) : asksOf(plainHits(option, asking), option.number)),
  );
  const how = way && withDose(way, easing.dose);
  return { ...byHand, ...(how ? { how } : {}), reasons };
}
