import { mergeThree, type Clash } from '@wrenfern/core/merge/merge-three';
import { RequestProblem, sentenceOf } from './request.ts';

/** A document and how often it was saved. */
export interface Saved<T> {
  revision: number;
  value: T;
}

/** What has not reached the server, and what it was made from; that may be unknown after an update. */
export interface Unsaved<T> extends Saved<T> {
  base?: T | undefined;
}

/** How what is on the screen stands against what is saved. */
export type SaveState<T> =
  | { status: 'saved' }
  | { status: 'waiting' }
  | { status: 'saving' }
  | { status: 'offline' }
  | { status: 'refused'; sentence: string }
  | { status: 'conflict'; theirs: Saved<T>; clashes: Clash[] };

interface AutosaveParts<T> {
  /** What was read from the server, and made from what. */
  saved: { revision: number; base: T | undefined };
  /** What is on the screen now. */
  read: () => T;
  /** Puts another document on the screen: theirs, or both merged. */
  put: (value: T) => void;
  /** Sends a document; resolves to its new revision. */
  send: (revision: number, value: T) => Promise<{ revision: number }>;
  /** The newer document, when a refusal says that there is one. */
  theirsOf: (problem: RequestProblem) => Saved<T>;
  /** Kept on this device while it has not reached the server. */
  keep: (unsaved: Unsaved<T> | undefined) => void;
  isSame: (one: T, other: T) => boolean;
  tell: (state: SaveState<T>) => void;
  /** Calls back once after so many milliseconds. */
  later: (ms: number, call: () => void) => () => void;
}

export interface Autosave<T> {
  state: () => SaveState<T>;
  revision: () => number;
  /** The document on the screen is another now. */
  changed: () => void;
  /** Saves without waiting; resolves when nothing is under way any more. */
  saveNow: () => Promise<void>;
  /** Ends a conflict: what does not touch is kept from both, the rest as said. */
  settle: (keep: 'mine' | 'theirs') => void;
}

const SAVE_AFTER_MS = 700;
const TRY_AGAIN_MS = 4000;
const TRY_AGAIN_MOST_MS = 60_000;

/**
 * Saves by itself, one save at a time: what is changed while one is under way waits for its answer,
 * and goes out with the revision that it brings. So nobody is in conflict with themselves.
 *
 * Long because it is one machine: each step reads and sets the same five things, and handing them from
 * function to function would hide which of them a step may change.
 */
export function createAutosave<T>(parts: AutosaveParts<T>): Autosave<T> {
  let { revision, base } = parts.saved;
  let state: SaveState<T> = { status: 'saved' };
  let underWay: Promise<void> | undefined;
  let tries = 0;
  let cancelTimer = () => {};

  const tell = (next: SaveState<T>) => {
    state = next;
    parts.tell(next);
  };
  const schedule = (ms: number) => {
    cancelTimer();
    cancelTimer = parts.later(ms, () => void saveNow());
  };
  const keep = () => parts.keep({ revision, value: parts.read(), base });

  const waitFor = (ms: number) => {
    keep();
    tell({ status: 'waiting' });
    schedule(ms);
  };

  /** The server has this; what is on the screen may be further on. */
  const arrived = (sent: T, at: number) => {
    revision = at;
    base = sent;
    tries = 0;
    if (parts.isSame(parts.read(), sent)) {
      parts.keep(undefined);
      tell({ status: 'saved' });
    } else waitFor(SAVE_AFTER_MS);
  };

  const beaten = (sent: T, theirs: Saved<T>) => {
    // An earlier save of ours arrived, only its answer did not.
    if (parts.isSame(theirs.value, sent)) {
      arrived(sent, theirs.revision);
      return;
    }
    const { value, clashes } = mergeThree<T | undefined>(base, parts.read(), theirs.value, 'mine');
    if (clashes.length > 0) tell({ status: 'conflict', theirs, clashes });
    else adopt(value ?? theirs.value, theirs);
  };

  const adopt = (value: T, theirs: Saved<T>) => {
    revision = theirs.revision;
    base = theirs.value;
    parts.put(value);
    if (parts.isSame(value, theirs.value)) {
      parts.keep(undefined);
      tell({ status: 'saved' });
    } else waitFor(0);
  };

  const failed = (sent: T, error: unknown) => {
    if (error instanceof RequestProblem && error.code === 'stale') {
      beaten(sent, parts.theirsOf(error));
      return;
    }
    if (!(error instanceof RequestProblem) || !isPassing(error)) {
      tell({ status: 'refused', sentence: sentenceOf(error) });
      return;
    }
    tell({ status: 'offline' });
    tries += 1;
    schedule(Math.min(TRY_AGAIN_MOST_MS, TRY_AGAIN_MS * 2 ** (tries - 1)));
  };

  const save = async () => {
    const sent = parts.read();
    tell({ status: 'saving' });
    try {
      const answer = await parts.send(revision, sent);
      arrived(sent, answer.revision);
    } catch (error) {
      failed(sent, error);
    }
  };

  const saveNow = async (): Promise<void> => {
    cancelTimer();
    if (underWay) return underWay;
    if (state.status === 'saved' || state.status === 'conflict') return;
    underWay = save().finally(() => {
      underWay = undefined;
    });
    return underWay;
  };

  return {
    state: () => state,
    revision: () => revision,
    saveNow,
    changed() {
      keep();
      // What is under way, or undecided, is answered first.
      if (underWay || state.status === 'conflict') return;
      tell({ status: 'waiting' });
      schedule(SAVE_AFTER_MS);
    },
    settle(side) {
      if (state.status !== 'conflict') return;
      const { theirs } = state;
      const { value } = mergeThree<T | undefined>(base, parts.read(), theirs.value, side);
      adopt(value ?? theirs.value, theirs);
    },
  };
}

/** Worth trying again by itself: no line, or a server that has to breathe. */
function isPassing({ status }: RequestProblem): boolean {
  return status === 0 || status === 429 || status >= 500;
}
