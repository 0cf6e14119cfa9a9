import type { CautionId } from '@wrenfern/core/people/cautions/cautions';

/**
 * What a careful teacher advises somebody at an exercise, written from the trade before the numbers were looked at
 * (common practice): where the exercise stays as it is, where it is changed, and where it is left.
 */
export interface AdviceCase {
  /** Cautions of the record, with what it says besides. */
  who: readonly (
    CautionId | ({ caution: CautionId } & Partial<Record<string, string | number | undefined>>)
  )[];
  exercise: string;
  /** The option that the person does without any caution. */
  own: number;
  /**
   * `as asked`: too careful would be a fault. `kept`: the same option, helped or smaller or fewer where it must be.
   * `changed`: the same exercise, but not as asked. `less`: not as asked, another exercise will do too.
   * `left`: another exercise or rest.
   */
  advised: 'as asked' | 'kept' | 'changed' | 'less' | 'left';
  because: string;
}

type Row = [
  who: AdviceCase['who'][number] | AdviceCase['who'],
  exercise: string,
  own: number,
  advised: AdviceCase['advised'],
  because: string,
];

const week = (caution: CautionId, weeks: number, more: object = {}) => ({
  caution,
  weeks,
  ...more,
});
const onSide = (caution: CautionId, side: 'left' | 'right', more: object = {}) => ({
  caution,
  side,
  ...more,
});

const ROWS: readonly Row[] = [
  // Wrists: first what spares them on the same rung, then another.
  ['wrist', 'plank', 3, 'less', 'two thirds of the weight on bent-back hands'],
  ['wrist', 'cat-cow', 3, 'kept', 'forearms or fists keep the cat'],
  ['wrist', 'bird-dog', 1, 'as asked', 'on the forearms already'],
  ['wrist', 'side-plank', 1, 'as asked', 'forearm and knees'],
  ['wrist', 'push-up-series', 3, 'less', 'all of it is on the hands'],
  ['wrist', 'chest-lift', 2, 'as asked', 'no hand bears'],
  ['wrist', 'footwork', 1, 'as asked', 'hands rest'],
  ['wrist', 'long-stretch', 2, 'less', 'plank on the bar'],
  ['wrist', 'knee-stretch', 1, 'kept', 'fists or a softer hand on the bar'],
  ['carpal-tunnel', 'leg-pull-front', 3, 'less', 'hands bent back under the weight'],
  ['carpal-tunnel', 'bridge-roll', 2, 'as asked', 'hands lie'],
  // Knees
  ['knee', 'bird-dog', 2, 'kept', 'a pad under the knee'],
  ['knee', 'kneeling-hinge', 1, 'kept', 'a pad under the knees'],
  ['knee', 'shell-stretch', 2, 'less', 'the knee is folded under the seat'],
  ['knee', 'heel-sit-rise', 2, 'less', 'the knee is folded under the weight'],
  ['knee', 'chest-lift', 2, 'as asked', 'feet stand, nothing presses'],
  ['knee', 'side-leg-lift', 1, 'as asked', 'lying on the side'],
  ['knee', 'jumping', 2, 'less', 'it lands'],
  ['knee', 'footwork', 1, 'kept', 'a bend under spring that is measured'],
  ['knee', 'thigh-stretch', 1, 'kept', 'kneeling on a pad'],
  ['knee-replacement', 'kneeling-hinge', 1, 'left', 'no kneeling before it is cleared'],
  ['knee-replacement', 'bridge-roll', 2, 'as asked', 'feet stand'],
  // Back that must not round
  ['rounding-out', 'roll-up', 3, 'left', 'the whole back rounds under load'],
  ['rounding-out', 'spine-stretch', 2, 'left', 'seated rounding'],
  ['rounding-out', 'cat-cow', 3, 'less', 'its rounding half is out'],
  ['rounding-out', 'bridge-roll', 2, 'as asked', 'hinged, not rolled'],
  ['rounding-out', 'toe-tap', 2, 'as asked', 'the back is still'],
  ['rounding-out', 'rolling-ball', 2, 'left', 'a round back rolled on'],
  ['rounding-out', 'short-box-round', 1, 'left', 'rounding on the box'],
  ['rounding-out', 'short-box-flat', 1, 'as asked', 'the back is long'],
  ['rounding-out', 'reformer-bridge', 1, 'as asked', 'hinged'],
  ['rounding-out', 'clam', 2, 'as asked', 'side-lying, the back is still'],
  ['loaded-rounding-out', 'pelvic-tilt', 2, 'as asked', 'a small tail curl lying stays'],
  ['loaded-rounding-out', 'cat-cow', 3, 'as asked', 'the cat is not loaded'],
  ['loaded-rounding-out', 'shell-stretch', 2, 'as asked', 'a rest shape'],
  ['loaded-rounding-out', 'half-roll-back', 3, 'left', 'it begins from sitting, so it is loaded'],
  ['loaded-rounding-out', 'saw', 2, 'left', 'rounded and turned, sitting'],
  ['loaded-rounding-out', 'standing-roll-down', 3, 'left', 'standing rounding'],
  ['loaded-rounding-out', 'stomach-massage', 1, 'left', 'round on the carriage'],
  ['loaded-rounding-out', 'elephant', 1, 'as asked', 'the flat one'],
  [
    'rounding-uncomfortable',
    'pelvic-tilt',
    2,
    'changed',
    'half range is enough: the tiny rock is that',
  ],
  ['rounding-uncomfortable', 'roll-up', 3, 'left', 'loaded rounding'],
  [{ caution: 'disc', way: 'rounding' }, 'spine-stretch', 2, 'left', 'the sensitive way'],
  [{ caution: 'disc', way: 'rounding' }, 'swan-prep', 2, 'as asked', 'the other way is free'],
  [{ caution: 'disc', way: 'arching' }, 'swan-prep', 3, 'less', 'the sensitive way'],
  [{ caution: 'disc', way: 'arching' }, 'cat-cow', 1, 'as asked', 'no arch in it'],
  ['disc', 'roll-up', 2, 'left', 'the way is not known: no rounding'],
  // Back that must not arch
  ['arch-sensitive', 'swan-prep', 3, 'less', 'a large arch'],
  ['arch-sensitive', 'swan-dive', 2, 'left', 'a large arch, rocked'],
  ['arch-sensitive', 'bridge-hinge-roll', 1, 'kept', 'to a line, not past it'],
  ['arch-sensitive', 'knees-to-chest', 2, 'as asked', 'the back opens the other way'],
  ['arch-sensitive', 'swan-long-box', 2, 'less', 'a large arch'],
  [
    'slipped-vertebra',
    'swan-prep',
    2,
    'less',
    'no arch in the low back: a cushion takes it away, or another',
  ],
  ['slipped-vertebra', 'jumping', 2, 'less', 'it lands'],
  ['slipped-vertebra', 'toe-tap', 1, 'as asked', 'still trunk, short lever'],
  ['slipped-vertebra', 'double-leg-lower', 3, 'less', 'two long legs pull the low back'],
  ['fused', 'bridge-articulate', 3, 'less', 'bone by bone is not to be had'],
  ['fused', 'bridge-roll', 2, 'as asked', 'hinged'],
  ['low-back-pain', 'clam', 2, 'as asked', 'nothing is banned'],
  ['low-back-pain', 'double-leg-lower', 3, 'less', 'far too much for the belly on that day'],
  ['low-back-pain', 'bridge-roll', 2, 'as asked', 'it is welcome'],
  // Bone
  ['osteoporosis', 'chest-lift', 2, 'less', 'the chest is curled up from lying'],
  ['osteoporosis', 'roll-up', 3, 'left', 'loaded rounding'],
  ['osteoporosis', 'rolling-ball', 2, 'left', 'rolling on a round back'],
  ['osteoporosis', 'saw', 2, 'left', 'loaded turning and rounding'],
  ['osteoporosis', 'standing-hinge', 1, 'as asked', 'a hinge is what they should learn'],
  ['osteoporosis', 'squat', 2, 'as asked', 'legs under load are good for bone'],
  ['osteoporosis', 'side-leg-lift', 1, 'as asked', 'nothing bends'],
  ['osteoporosis', 'jumping', 2, 'less', 'it lands'],
  ['osteoporosis', 'short-spine', 2, 'left', 'rolled up on the shoulders'],
  ['osteoporosis', 'footwork', 1, 'as asked', 'lying flat, legs under load'],
  ['osteoporosis', 'roll-over', 2, 'left', 'on the shoulders'],
  ['osteopenia', 'rolling-ball', 2, 'left', 'rolling stays out'],
  ['osteopenia', 'bridge-roll', 2, 'as asked', 'hinged'],
  // Pregnancy
  [week('pregnancy', 8), 'chest-lift', 2, 'as asked', 'in the first weeks a low lift is well'],
  [week('pregnancy', 8), 'double-leg-lower', 3, 'less', 'both long legs'],
  [week('pregnancy', 20), 'chest-lift', 2, 'left', 'no curl from lying'],
  [week('pregnancy', 20), 'breaststroke-prep', 1, 'left', 'not on the belly'],
  [week('pregnancy', 20), 'side-leg-lift', 1, 'as asked', 'side-lying is welcome'],
  [week('pregnancy', 20), 'plank', 3, 'less', 'too much for the belly'],
  [week('pregnancy', 20), 'cat-small', 1, 'as asked', 'all fours is welcome'],
  [week('pregnancy', 20), 'jumping', 2, 'less', 'it lands'],
  [week('pregnancy', 20), 'long-stretch', 2, 'left', 'a plank on the machine'],
  [week('pregnancy', 20), 'toe-tap', 2, 'less', 'two legs in the air'],
  [week('pregnancy', 30), 'clam', 2, 'as asked', 'side-lying'],
  [week('pregnancy', 30), 'chair-breath', 1, 'as asked', 'sitting'],
  [week('pregnancy', 30), 'swimming', 3, 'left', 'on the belly'],
  // After a birth or an operation
  [week('after-birth', 3), 'toe-tap', 2, 'less', 'too soon for two legs'],
  [week('after-birth', 3), 'plank', 2, 'left', 'too soon for a plank'],
  [week('after-birth', 3), 'breath-three-way', 1, 'as asked', 'breath is where it begins'],
  [week('after-birth', 3), 'pelvic-tilt', 1, 'as asked', 'small tilts'],
  [week('after-birth', 9, { gate: 1 }), 'knee-fold', 2, 'as asked', 'one leg floats'],
  [week('after-birth', 9, { gate: 1 }), 'toe-tap', 2, 'less', 'two legs before the gate'],
  [week('after-birth', 20, { gate: 3 }), 'toe-tap', 2, 'as asked', 'both gates are passed'],
  [week('belly-surgery', 3), 'plank', 3, 'left', 'a fresh belly'],
  [week('belly-surgery', 3), 'hundred', 3, 'less', 'a fresh belly'],
  ['belly-separation', 'chest-lift', 2, 'less', 'no lift that could dome'],
  ['belly-separation', 'hundred', 4, 'less', 'legs long and chest lifted'],
  ['belly-separation', 'knee-fold', 2, 'as asked', 'one leg'],
  ['belly-separation', 'clam', 2, 'as asked', 'the belly is at rest'],
  ['hernia', 'double-leg-lower', 3, 'less', 'pressure'],
  ['prolapse', 'jumping', 2, 'less', 'it lands'],
  ['prolapse', 'bridge-roll', 2, 'as asked', 'hips raised low are welcome'],
  ['pelvic-girdle', 'standing-balance', 2, 'left', 'on one leg'],
  // Hip
  [
    onSide('hip-replacement', 'right', { weeks: 4, way: 'posterior' }),
    'knees-to-chest',
    2,
    'less',
    'past a right angle',
  ],
  [
    onSide('hip-replacement', 'right', { weeks: 4, way: 'posterior' }),
    'crossed-knee-twist',
    2,
    'less',
    'across and turned in',
  ],
  [
    onSide('hip-replacement', 'right', { weeks: 4, way: 'posterior' }),
    'bridge-roll',
    2,
    'as asked',
    'the hip opens, under a right angle',
  ],
  [
    onSide('hip-replacement', 'right', { weeks: 4, way: 'anterior' }),
    'knees-to-chest',
    2,
    'as asked',
    'bending is free',
  ],
  [
    onSide('hip-replacement', 'right', { weeks: 4, way: 'anterior' }),
    'prone-leg-lift',
    2,
    'less',
    'the leg behind the line',
  ],
  [
    { caution: 'hip-replacement', weeks: 4 },
    'shell-stretch',
    2,
    'less',
    'deep bending, the way in is not known',
  ],
  [{ caution: 'hip-replacement', weeks: 4 }, 'feet-in-straps', 1, 'less', 'the frog bends deep'],
  [onSide('hip-pinch', 'left'), 'knees-to-chest', 2, 'less', 'a pinch in front'],
  ['tight-hips', 'spine-twist', 2, 'less', 'sit higher until the back is tall'],
  ['tight-hamstrings', 'saw', 2, 'less', 'sit higher, soft knees'],
  [
    onSide('sciatica', 'right'),
    'hamstring-strap',
    2,
    'less',
    'a straight leg far up pulls the nerve',
  ],
  [onSide('sciatica', 'right'), 'bridge-roll', 2, 'as asked', 'it is welcome'],
  // Shoulder and neck
  [onSide('shoulder', 'right'), 'arm-raise-ribs', 3, 'less', 'the arm goes overhead'],
  ['shoulder', 'chest-lift', 3, 'as asked', 'arms forward, low'],
  ['shoulder', 'clam', 2, 'kept', 'lying on it is looked at'],
  ['shoulder', 'short-box-flat', 3, 'less', 'overhead with a pole'],
  ['shoulder', 'footwork', 1, 'as asked', 'arms lie'],
  ['unstable-shoulder', 'leg-pull-back', 2, 'less', 'arms behind under the weight'],
  ['neck', 'chest-lift', 2, 'kept', 'the hands carry the head'],
  ['neck', 'hundred', 3, 'less', 'a held head: hands or down'],
  ['neck', 'bridge-roll', 2, 'as asked', 'the head lies'],
  ['neck', 'coordination', 2, 'less', 'a held head'],
  ['neck', 'clam', 2, 'as asked', 'the head lies'],
  ['forward-head', 'bridge-roll', 2, 'kept', 'a towel under the head, out before the hips lift'],
  // Head and heart
  ['eye-pressure', 'roll-over', 2, 'left', 'upside down'],
  ['eye-pressure', 'standing-roll-down', 3, 'less', 'the head hangs'],
  ['eye-pressure', 'bridge-roll', 2, 'as asked', 'the head is level'],
  ['blood-pressure', 'scissors-high', 3, 'less', 'upside down'],
  ['blood-pressure', 'clam', 2, 'as asked', 'lying, easy'],
  ['blood-pressure', 'long-spine', 2, 'less', 'upside down'],
  ['blood-pressure', 'roll-over', 1, 'left', 'hips above the heart'],
  // Whole body
  ['balance', 'standing-balance', 2, 'changed', 'a hand on the wall'],
  ['balance', 'clam', 2, 'as asked', 'nobody falls lying'],
  ['balance', 'scooter', 2, 'less', 'hands on the bar'],
  ['balance', 'side-splits', 1, 'left', 'standing on a carriage that moves, no hand'],
  ['hypermobile', 'clam', 2, 'as asked', 'middle range'],
  ['hypermobile', 'rocking-prone', 2, 'less', 'pulled to the end'],
  ['reflux', 'roll-over', 2, 'less', 'hips high'],
  ['recent-surgery', 'clam', 2, 'left', 'nothing before it is released'],
  ['tired', 'plank', 3, 'changed', 'a rung less, or half'],
  ['first-time', 'teaser', 3, 'changed', 'the first rung, seven tenths of the dose'],
  // Hands on a chair, a softer ball, springs, the box: the same option kept
  [onSide('hip-pinch', 'right'), 'quadruped-rock', 1, 'kept', 'the trunk rises from a chair'],
  ['hip-pinch', 'chest-lift', 2, 'as asked', 'the hip bends little'],
  ['frozen-shoulder', 'cat-cow', 1, 'kept', 'the arm comes lower from a chair'],
  ['low-back-pain', 'plank-step', 3, 'changed', 'hands on a ball go on no chair'],
  ['low-back-pain', 'long-stretch', 2, 'kept', 'one more spring carries the plank'],
  ['low-back-pain', 'footwork', 1, 'as asked', 'nothing is banned'],
  ['hypermobile', 'arch-over-ball', 2, 'kept', 'less air, less of the range'],
  ['tight-hamstrings', 'rowing-front', 1, 'kept', 'sitting on the box'],
  ['tight-hamstrings', 'scooter', 1, 'as asked', 'nobody sits'],
  ['balance', 'standing-arms', 2, 'kept', 'feet split or a hand near'],
  ['balance', 'long-box-pulling', 1, 'as asked', 'lying on the front'],
  // Nobody, whatever they have or have not
  [[], 'plank', 3, 'as asked', 'no caution, no sign'],
  [[], 'footwork', 1, 'as asked', 'no caution, no sign'],
  [[], 'roll-up', 3, 'as asked', 'no caution, no sign'],
];

export const ADVICE_CASES: readonly AdviceCase[] = ROWS.map(
  ([who, exercise, own, advised, because]) => ({
    who: Array.isArray(who) ? (who as AdviceCase['who']) : [who as AdviceCase['who'][number]],
    exercise,
    own,
    advised,
    because,
  }),
);
