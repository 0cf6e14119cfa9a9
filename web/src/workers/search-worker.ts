import { expose } from 'comlink';
import '../data/zod-without-eval.ts';
import highsBinary from 'highs/runtime?url';
import { fitClass, type ClassContext } from '@wrenfern/core';
import type { Fit } from '@wrenfern/core/fit/fit-to-time';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { createCatalogue, type Catalogue } from '@wrenfern/core/movement/catalogue';
import { draftPlan, type DraftProgress, type DraftResult } from '@wrenfern/core/draft/draft-plan';
import { nextBest } from '@wrenfern/core/draft/next-best';
import { loadSolver, type Solve } from '@wrenfern/core/draft/solver';
import type { DraftWishes } from '@wrenfern/core/draft/wishes';
import { groupOf } from '@wrenfern/core/review/group';
import { gathersOf, type Gather } from '@wrenfern/core/search/gathers';
import {
  searchOrder,
  type OrderProgress,
  type OrderResult,
} from '@wrenfern/core/search/order-plan';
import type { Attendee } from '@wrenfern/core/people/attendee';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { TimingContext } from '@wrenfern/core/plan/timing/time-plan';
import { builtInExercises } from '@wrenfern/library';

/** What a search knows of a class: only what can be sent to a worker. */
export interface SearchContext {
  own: readonly Exercise[];
  attendees: readonly Attendee[];
  day: string;
  timing: TimingContext;
}

export interface OrderLocksSent {
  pinned: string[];
  joined: string[];
  partsStay: boolean;
}

/** The best order, and the blocks that the class lacks. */
export interface OrderAnswer extends OrderResult {
  gathers: Gather[];
}

/** Progress without what only the worker can do. */
export type OrderStep = Omit<OrderProgress, 'result'>;
export type DraftStep = Omit<DraftProgress, 'result'>;

/** So long the search runs before it listens for a word to stop. */
const TURN_MS = 60;

/** The newest search; a word to stop, or another search, makes every earlier one an old one. */
let newest = 0;
const begin = (): number => (newest += 1);
const isOld = (search: number): boolean => search !== newest;

let solver: Promise<Solve> | undefined;

const worker = {
  /** Ends what is running with the best so far. */
  stop(): void {
    newest += 1;
  },

  async order(
    plan: Plan,
    context: SearchContext,
    locks: OrderLocksSent,
    onStep: (step: OrderStep) => void,
  ): Promise<OrderAnswer> {
    const mine = begin();
    const input = {
      plan,
      catalogue: catalogueWith(context.own),
      timing: context.timing,
      group: groupOf(context.attendees, context.day),
    };
    const search = searchOrder({
      ...input,
      locks: {
        pinned: new Set(locks.pinned),
        joined: new Set(locks.joined),
        partsStay: locks.partsStay,
      },
    });
    let heardAt = performance.now();
    let step = search.next();
    while (!step.done) {
      if (performance.now() - heardAt > TURN_MS) {
        const { phase, bestS, nowS, states } = step.value;
        onStep({ phase, bestS, nowS, states });
        await turn();
        if (isOld(mine)) return { ...step.value.result(), gathers: gathersOf(input) };
        heardAt = performance.now();
      }
      step = search.next();
    }
    return { ...step.value, gathers: gathersOf(input) };
  },

  /** Undefined when it was stopped before it had anything. */
  async draft(
    wishes: DraftWishes,
    context: SearchContext,
    onStep: (step: DraftStep) => void,
  ): Promise<DraftResult | undefined> {
    const mine = begin();
    const solve = await (solver ??= loadSolver(() => highsBinary));
    const search = draftPlan(wishes, { ...context, catalogue: catalogueWith(context.own) }, solve);
    let step = search.next();
    while (!step.done) {
      const { phase, ready, of } = step.value;
      onStep({ phase, ready, of });
      await turn();
      if (isOld(mine)) return step.value.result();
      step = search.next();
    }
    return step.value;
  },

  /** What would bring a class to a length. */
  fit(
    plan: Plan,
    own: readonly Exercise[],
    context: ClassContext,
    targetS: number,
    open?: ReadonlySet<string>,
  ): Fit {
    return fitClass(plan, catalogueWith(own), context, targetS, open);
  },

  nextBest(plan: Plan, itemId: string, wishes: DraftWishes, context: SearchContext) {
    const catalogue = catalogueWith(context.own);
    return nextBest(plan, itemId, wishes, { ...context, catalogue }, 4).map(
      ({ exercise, plan: next, why }) => ({ name: exercise.name, plan: next, why }),
    );
  },
};
export type SearchWorker = typeof worker;

expose(worker);

function catalogueWith(own: readonly Exercise[]): Catalogue {
  return createCatalogue([...builtInExercises, ...own]);
}

/** Lets a message in. */
function turn(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, 0));
}
