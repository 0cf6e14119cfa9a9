import { z } from 'zod';

/** How a class is led. It says, for what the plan leaves open, whether a repetition follows the breath. */
const CLASS_STYLES = ['slow', 'steady', 'brisk'] as const;
export const ClassStyle = z.enum(CLASS_STYLES);
export type ClassStyle = z.infer<typeof ClassStyle>;

export const STYLE_WORDS: Record<ClassStyle, string> = {
  slow: 'slow, led by the breath',
  steady: 'steady, breath with the effort',
  brisk: 'brisk, flowing',
};
