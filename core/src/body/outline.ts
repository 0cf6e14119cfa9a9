import type { Joint, Point } from './figure.ts';

/** Points along a smooth curve through the joints (Catmull-Rom), thickness blended between them. */
export function smoothJoints(joints: readonly Joint[], perPart = 6): Joint[] {
  const smooth: Joint[] = [];
  for (let index = 0; index + 1 < joints.length; index += 1) {
    const [a, b, c, d] = [
      joints[Math.max(0, index - 1)],
      joints[index],
      joints[index + 1],
      joints[Math.min(joints.length - 1, index + 2)],
    ];
    if (!a || !b || !c || !d) continue;
    for (let at = 0; at < perPart; at += 1) {
      const t = at / perPart;
      smooth.push({
        x: catmullRom(a.x, b.x, c.x, d.x, t),
        y: catmullRom(a.y, b.y, c.y, d.y, t),
        radius: b.radius + (c.radius - b.radius) * t,
      });
    }
  }
  const end = joints.at(-1);
  return end ? [...smooth, end] : smooth;
}

function catmullRom(a: number, b: number, c: number, d: number, t: number): number {
  return b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)));
}

/** The outline of a tapering part between two joints: the four corners of its straight sides. */
export function taper(from: Joint, to: Joint): [Point, Point, Point, Point] {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const distance = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const lean = Math.acos(Math.min(1, Math.max(-1, (from.radius - to.radius) / distance)));
  const at = (joint: Joint, side: 1 | -1): Point => ({
    x: joint.x + joint.radius * Math.cos(angle + side * lean),
    y: joint.y + joint.radius * Math.sin(angle + side * lean),
  });
  return [at(from, 1), at(to, 1), at(to, -1), at(from, -1)];
}
