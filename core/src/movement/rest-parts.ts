/** Parts that a body can rest on. Apart from the schema, so that drawing needs no validation. */
export const REST_PARTS = [
  'pelvis',
  'waist',
  'ribs',
  'shoulders',
  'head',
  'elbows',
  'hands',
  'knees',
  'feet',
  'toes',
] as const;
