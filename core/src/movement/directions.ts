/** The six directions of the spine; left and right are the person's own. */
export const DIRECTIONS = [
  'round',
  'arch',
  'turn-left',
  'turn-right',
  'side-left',
  'side-right',
] as const;
export type Direction = (typeof DIRECTIONS)[number];
