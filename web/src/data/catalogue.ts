import './zod-without-eval.ts';
import { builtInCatalogue } from '@wrenfern/library';

/** Every exercise that can be planned with. Imported by the screens that need it, not by the shell. */
export const catalogue = builtInCatalogue;
