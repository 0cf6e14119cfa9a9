import type { Ask } from './asks.ts';

/** How far is far enough, as somebody can see or feel it: by what is asked. Common practice. */
const LANDMARKS: Partial<Record<Ask, string>> = {
  belly: 'as far as the belly stays flat',
  legs: 'as low as the low back stays heavy',
  chestLifted: 'down to the blades',
  neckFree: 'as high as the head is light',
  hipBend: 'thigh to a right angle at the most',
  hipAcross: 'knee no farther in than the navel',
  hipBack: 'thigh no farther back than the trunk',
  hipTurnIn: 'kneecap to the front',
  hipTurnOut: 'kneecap to the front',
  hipOutLifted: 'foot no wider than the hip',
  kneeBend: 'heel a hand’s width from the seat',
  kneeBendLoaded: 'seat no lower than the knees',
  kneecaps: 'weight beside the kneecap, not on it',
  armHigh: 'elbow below the shoulder',
  armTurnedIn: 'elbow below the shoulder, palm up',
  armOpen: 'elbow in sight',
  armBehindLoaded: 'hands beside the hips',
  sideShoulder: 'rolled back a little, off the point of the shoulder',
  shoulderLoad: 'weight towards the legs',
  hang: 'shoulder stays in its socket',
  wrist: 'knuckles in line with the forearm',
  elbows: 'weight towards the knees',
  grip: 'fingers loose',
  legNerve: 'before it is felt behind the knee',
  legsApart: 'feet as wide as the mat',
  sittingBend: 'low back as tall as in standing',
  endShare: 'three quarters of the way',
  backEnd: 'three quarters of the way',
  headLow: 'head no lower than the heart',
  hipsHigh: 'hips no higher than the breastbone',
  toes: 'heels down',
  tips: 'over the whole foot',
  rise: 'with a pause half way up',
  flatS: 'up on the side after one minute',
  standS: 'a step, or sit down, in between',
  holdS: 'let go and take it again',
  bellyPress: 'off the belly',
  headRests: 'face level',
  articulates: 'as one piece',
  impact: 'feet stay down',
  standsOnMoving: 'one foot on the floor',
  rolls: 'rock sitting, no farther than the low back',
  plankOnMoving: 'hands and knees on the mat',
  archOverProp: 'flat on the mat, the prop put aside',
  any: 'rest',
};

const BENDS: Record<string, string> = {
  round: 'as far as the low back keeps its curve',
  arch: 'as far as the front ribs stay down',
  turn: 'as far as the hips stay stacked',
  side: 'as far as both sit bones are heavy',
  roundSum: 'as far as the breastbone stays lifted',
  loadedRound: 'as far as the back stays long',
  loadedTurn: 'as far as the hips stay level',
  loadedSide: 'as far as both sides stay long',
  loadedArch: 'as far as the front ribs stay down',
};

export function landmarkOf(ask: Ask): string {
  const bend = BENDS[ask] ?? BENDS[ask.split(' ')[0] ?? ''];
  return LANDMARKS[ask] ?? bend ?? 'as far as it is easy';
}
