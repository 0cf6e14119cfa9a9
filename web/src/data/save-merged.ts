import { create } from 'zustand';
import { mergeThree, type Clash, type Side } from '@wrenfern/core/merge/merge-three';
import { RequestProblem } from './request.ts';

/** A question that waits for its answer: whose change is kept where both changed the same. */
interface Question {
  what: string;
  clashes: readonly Clash[];
  answer: (keep: Side) => void;
}

/** Questions are asked one at a time, by whatever shows them. */
export const useQuestion = create<{ asked: Question | undefined }>(() => ({ asked: undefined }));

export type Ask = (what: string, clashes: readonly Clash[]) => Promise<Side>;

const askOnScreen: Ask = (what, clashes) =>
  new Promise((resolve) => {
    useQuestion.setState({
      asked: {
        what,
        clashes,
        answer: (keep) => {
          useQuestion.setState({ asked: undefined });
          resolve(keep);
        },
      },
    });
  });

interface MergedSave<T, Answer> {
  /** For the question: "This record". */
  what: string;
  /** What was read, and at which revision. */
  revision: number;
  base: T;
  mine: T;
  send: (revision: number, value: T) => Promise<Answer>;
  /** The newer one, from a refusal that says so. */
  theirsOf: (current: unknown) => { revision: number; value: T };
  ask?: Ask;
}

/** Others may be quick, but not for ever. */
const ROUNDS = 5;

/**
 * Saves what was changed on top of whatever was saved meanwhile: what does not touch is kept from
 * both without a word; where both changed the same, somebody decides.
 */
export async function saveMerged<T, Answer>(parts: MergedSave<T, Answer>): Promise<Answer> {
  const { what, send, theirsOf, ask = askOnScreen } = parts;
  let { revision, base, mine } = parts;
  for (let round = 1; ; round += 1) {
    try {
      return await send(revision, mine);
    } catch (error) {
      if (!(error instanceof RequestProblem) || error.code !== 'stale' || round === ROUNDS) {
        throw error;
      }
      const theirs = theirsOf(error.details.current);
      const merged = mergeThree(base, mine, theirs.value, 'mine');
      const keep = merged.clashes.length > 0 ? await ask(what, merged.clashes) : 'mine';
      mine = mergeThree(base, mine, theirs.value, keep).value;
      base = theirs.value;
      revision = theirs.revision;
    }
  }
}
