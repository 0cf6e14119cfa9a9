import type { BackPart } from '../trunk-curve.ts';

/** Shares of body weight, degrees, thousandths of weight × stature, centimetres, newtons, a share. */
export type MeasureUnit = 'w' | '°' | '‰' | 'cm' | 'N' | 'share';

/** What is measured once for a body. */
export const WHOLE_MEASURES = {
  wrist: { unit: 'w', name: 'weight on bent-back wrists' },
  axial: { unit: 'w', name: 'weight through the low back' },
  belly: { unit: '‰', name: 'work of the belly' },
  legs: { unit: '‰', name: 'pull of free legs at the pelvis' },
  legsApart: { unit: '°', name: 'angle between the thighs' },
  oneLegStand: { unit: 'share', name: 'standing on one leg' },
  legUneven: { unit: 'w', name: 'difference between the legs' },
  headLow: { unit: 'cm', name: 'head below the heart' },
  hipsHigh: { unit: 'cm', name: 'hips above the heart' },
  neckFree: { unit: '‰', name: 'a head held free' },
  chestLifted: { unit: 'share', name: 'chest lifted from lying' },
  headRests: { unit: 'w', name: 'weight of a head that lies' },
  neckWeight: { unit: 'w', name: 'weight on head and neck' },
  bellyPress: { unit: 'w', name: 'weight on the belly' },
  flat: { unit: 'share', name: 'on the back, chest level' },
  roundSum: { unit: '°', name: 'rounding of the whole back' },
  loadedRound: { unit: '°', name: 'rounding under load' },
  loadedArch: { unit: '°', name: 'arching under load' },
  loadedSide: { unit: '°', name: 'side-bending under load' },
  loadedTurn: { unit: '°', name: 'turning under load' },
  backEnd: { unit: 'share', name: 'the back, of its range' },
  endShare: { unit: 'share', name: 'a joint, of its range' },
  backHold: { unit: '‰', name: 'what the back holds' },
  sideHold: { unit: '‰', name: 'what the side of the trunk holds' },
  hipHold: { unit: '‰', name: 'what both hips hold' },
  kneeHold: { unit: '‰', name: 'what both knees hold' },
  shoulderHold: { unit: '‰', name: 'what both shoulders hold' },
  tips: { unit: 'share', name: 'of the way to tipping' },
  rise: { unit: 'cm', name: 'the head rises in the movement' },
  margin: { unit: 'cm', name: 'from the weight to the rim of the base' },
} as const satisfies Record<string, { unit: MeasureUnit; name: string }>;
export type WholeMeasure =
  keyof typeof WHOLE_MEASURES | `${'round' | 'arch' | 'side' | 'turn'} ${BackPart}`;

/** What is measured on each side of a body. */
export const SIDE_MEASURES = {
  elbows: { unit: 'w', name: 'weight on the forearm' },
  kneecaps: { unit: 'w', name: 'weight on the knee' },
  toes: { unit: 'w', name: 'weight on bent toes' },
  sideShoulder: { unit: 'w', name: 'weight on the shoulder, lying on it' },
  sideHip: { unit: 'w', name: 'weight on the hip, lying on it' },
  hipBend: { unit: '°', name: 'bend of the hip' },
  sittingBend: { unit: '°', name: 'bend of the hip, sitting on the floor' },
  hipBack: { unit: '°', name: 'thigh behind the pelvis' },
  hipAcross: { unit: '°', name: 'thigh across the midline' },
  hipTurnIn: { unit: '°', name: 'thigh turned in' },
  hipTurnOut: { unit: '°', name: 'thigh turned out' },
  hipOutLifted: { unit: '°', name: 'free leg lifted to the side' },
  kneeBend: { unit: '°', name: 'bend of the knee' },
  kneeBendLoaded: { unit: '°', name: 'bend of a knee that carries' },
  armHigh: { unit: '°', name: 'arm from the side, lifted' },
  armTurnedIn: { unit: '°', name: 'arm out to the side, turned in' },
  armBehind: { unit: '°', name: 'arm behind the chest' },
  armBehindLoaded: { unit: '°', name: 'arm behind the chest, carrying' },
  armOpen: { unit: '°', name: 'arm out and turned out' },
  shoulderLoad: { unit: 'w', name: 'weight through the arm' },
  hang: { unit: 'N', name: 'pull away from the shoulder' },
  grip: { unit: 'N', name: 'pull in the hand' },
  legNerve: { unit: '°', name: 'stretch along the back of the leg' },
} as const satisfies Record<string, { unit: MeasureUnit; name: string }>;
export type SideMeasure = keyof typeof SIDE_MEASURES;
