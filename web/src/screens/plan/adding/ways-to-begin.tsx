import { FileInput, PencilLine, Sprout, type LucideIcon } from 'lucide-react';
import type { ButtonHTMLAttributes } from 'react';
import { useLesson } from '../../../data/use-lesson.ts';
import { DraftPanel } from '../draft/draft-panel.tsx';
import { ExchangePanel } from '../exchange/exchange-panel.tsx';
import { SEARCH_ID } from '../editor/plan-keys.ts';

/** What an empty class offers: typed by hand, drafted from wishes, or brought from notes. */
export function WaysToBegin() {
  const { lesson } = useLesson();
  return (
    <div className="mx-auto grid max-w-3xl gap-3 px-4 pb-8 sm:grid-cols-2 xl:grid-cols-3">
      <Way
        icon={PencilLine}
        title="Type it"
        words="Press / and type: “clam 10 each”, Enter, the next, Enter. Or drag exercises in from the left."
        className="max-lg:hidden"
        onClick={() => document.getElementById(SEARCH_ID)?.focus()}
      />
      <DraftPanel
        lesson={lesson}
        trigger={
          <Way
            icon={Sprout}
            title="Draft it for me"
            words="Say what you wish for and how long; three whole classes are worked out for who comes."
          />
        }
      />
      <ExchangePanel
        trigger={
          <Way
            icon={FileInput}
            title="From notes or a file"
            words="Paste a class as you scribbled it, or open a plan; you see line by line what was understood."
          />
        }
      />
    </div>
  );
}

function Way({
  icon: Icon,
  title,
  words,
  className = '',
  ...rest
}: {
  icon: LucideIcon;
  title: string;
  words: string;
} & ButtonHTMLAttributes<HTMLButtonElement>) {
  return (
    <button
      type="button"
      {...rest}
      className={`flex min-h-36 flex-col items-start gap-1.5 rounded-2xl border border-line-strong/70 bg-leaf p-4 text-left hover:border-fern hover:bg-mist ${className}`}
    >
      <Icon size={26} className="text-fern" aria-hidden />
      <span className="title text-lg">{title}</span>
      <span className="text-soft">{words}</span>
    </button>
  );
}
