/** Minutes that short routines and classes last. */
export const CLASS_LENGTHS = [
  1, 2, 3, 5, 8, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60, 75, 90, 120, 150, 180,
] as const;
