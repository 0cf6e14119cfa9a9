import './zod-without-eval.ts';
import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';

let merged: Catalogue = builtInCatalogue;
let ownOnes: readonly Exercise[] = [];

/**
 * Every exercise that can be planned with: the built-in ones and, once `CatalogueGate` has them, the
 * studio's own. Imported by the screens that need it, not by the shell.
 */
export const catalogue: Catalogue = {
  get all() {
    return merged.all;
  },
  get: (slug) => merged.get(slug),
  require: (slug) => merged.require(slug),
};

export function isBuiltIn(slug: string): boolean {
  return builtInCatalogue.get(slug) !== undefined;
}

/** The studio's own exercises, for whoever can't be handed a catalogue. */
export function ownExercises(): readonly Exercise[] {
  return ownOnes;
}

/** Puts the studio's own exercises beside the built-in ones. */
export function mergeOwn(own: readonly Exercise[]): void {
  ownOnes = own;
  merged = own.length === 0 ? builtInCatalogue : createCatalogue([...builtInExercises, ...own]);
}
