/** Least and most degrees, in the words of a pose. */
export type JointRange = readonly [least: number, most: number];

/**
 * How far a practised body goes. American Academy of Orthopaedic Surgeons, Joint Motion: Method of
 * Measuring and Recording (1965), from memory: hip flexion 120, extension 30, abduction 45, adduction
 * 30, turn 45 both ways; knee 135; shoulder 180 forward, 60 back, turn 70 in and 90 out; elbow 150; wrist 70
 * back, 80 forward; ankle 20 up, 50 down; thoracolumbar flexion 80, extension 25, side-bend 35, turn 45; neck 45,
 * 45, 45, 60. Bodies that practise go
 * beyond the clinic's means in the hip (a held knee: +25), the knee (sitting on the heels: +10)
 * in opening the folded hip, in the shoulder behind the back, and in arching; these are common practice and stand here as they are used. The back is drawn
 * with three joints; what they may do together is less than each may by itself, and more than the clinic's 80 only
 * for backs that practise.
 */
export const JOINT_LIMITS = {
  'low back': { round: [-32, 45], side: [-20, 20], turn: [-18, 18] },
  'middle back': { round: [-30, 38], side: [-22, 22], turn: [-26, 26] },
  'upper back': { round: [-30, 45], side: [-22, 22], turn: [-32, 32] },
  'whole back': { round: [-70, 100], side: [-50, 50], turn: [-55, 55] },
  neck: { round: [-45, 45], side: [-45, 45], turn: [-60, 60] },
  hip: { flex: [-30, 146], out: [-40, 76], turn: [-45, 72] },
  knee: [-5, 148],
  shoulder: { flex: [-78, 192], turn: [-90, 100] },
  elbow: [0, 152],
  wrist: [-80, 90],
  ankle: [-32, 76],
} as const satisfies Record<string, JointRange | Record<string, JointRange>>;
