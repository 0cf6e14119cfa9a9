import './zod-without-eval.ts';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { builtInCatalogue, builtInExercises } from '@wrenfern/library';

interface Known {
  catalogue: Catalogue;
  /** The studio's own exercises, for whoever can't be handed a catalogue. */
  own: readonly Exercise[];
}

const KnownExercises = createContext<Known>({ catalogue: builtInCatalogue, own: [] });

/** Hands down every exercise that can be planned with: the built-in ones and the studio's own. */
export function CatalogueProvider({
  own,
  children,
}: {
  own: readonly Exercise[];
  children: ReactNode;
}) {
  const known = useMemo(() => ({ catalogue: withOwn(own), own }), [own]);
  return <KnownExercises value={known}>{children}</KnownExercises>;
}

export function useCatalogue(): Catalogue {
  return useContext(KnownExercises).catalogue;
}

export function useKnownExercises(): Known {
  return useContext(KnownExercises);
}

export function withOwn(own: readonly Exercise[]): Catalogue {
  return own.length === 0 ? builtInCatalogue : createCatalogue([...builtInExercises, ...own]);
}

export function isBuiltIn(slug: string): boolean {
  return builtInCatalogue.get(slug) !== undefined;
}
