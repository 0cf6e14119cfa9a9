import { clsx } from 'clsx';
import { capital } from '@wrenfern/core/movement/words';
import { bracketWords } from '@wrenfern/core/plan/bracket-words';
import { showClock } from '@wrenfern/core/plan/show-time';
import { useEditor } from '../editor/plan-context.tsx';
import type { ScoreBracket } from './score-layout.ts';

/** The frame of a series or of rounds round its rows; it lies behind them. */
export function BracketFrame({ bracket: { top, height, itemIds } }: { bracket: ScoreBracket }) {
  const isChosen = useEditor(({ selectedId }) => itemIds.includes(selectedId ?? ''));
  return (
    <li
      aria-hidden
      className={clsx(
        'pointer-events-none absolute -right-1 left-11 rounded-2xl border-2',
        isChosen ? 'border-fern' : 'border-fern-light',
      )}
      style={{ top, height }}
    />
  );
}

/** What the rows below are: "series, right first · 4:32". */
export function BracketHead({ bracket }: { bracket: ScoreBracket }) {
  return (
    <li className="relative flex h-[22px] items-center pl-15 text-[0.8125rem] text-fern">
      <span className="font-semibold">{capital(bracketWords(bracket.bracket))}</span>
      <span className="text-soft">&nbsp;· {showClock(bracket.durationS)}</span>
    </li>
  );
}

/** When each pass begins. */
export function BracketFoot({ bracket: { passes } }: { bracket: ScoreBracket }) {
  return (
    <li className="relative mb-2 flex h-6 items-center gap-x-3 overflow-hidden pl-15 text-[0.8125rem] text-soft">
      {passes.map(({ words, startS }, index) => (
        <span key={startS} className="whitespace-nowrap">
          {index === 0 ? '' : 'then '}
          {words} from {showClock(startS)}
        </span>
      ))}
    </li>
  );
}
