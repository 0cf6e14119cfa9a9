import { ArrowDownWideNarrow, ArrowLeftRight, Columns2, Sprout, Timer } from 'lucide-react';
import { useState } from 'react';
import { useLesson } from '../../data/use-lesson.ts';
import { Button } from '../../parts/button.tsx';
import { ComparePlans } from './editor/compare-plans.tsx';
import { DraftPanel } from './draft/draft-panel.tsx';
import { ExchangePanel } from './exchange/exchange-panel.tsx';
import { FitPanel } from './fit/fit-panel.tsx';
import { OrderPanel } from './order/order-panel.tsx';
import { useEditor } from './editor/plan-context.tsx';

/** What Wrenfern can work out for the whole class. */
export function PlanTools({ isMain = false }: { isMain?: boolean }) {
  const { lesson } = useLesson();
  const plan = useEditor((editor) => editor.plan);
  const [opened] = useState(plan);
  return (
    <>
      <OrderPanel
        lesson={lesson}
        trigger={
          <Button title="The best running order under the school">
            <ArrowDownWideNarrow size={15} aria-hidden /> Order for me
          </Button>
        }
      />
      <DraftPanel
        lesson={lesson}
        opensItself={isMain}
        trigger={
          <Button title="Three classes from what you wish for">
            <Sprout size={15} aria-hidden /> Draft for me
          </Button>
        }
      />
      <FitPanel
        trigger={
          <Button title="What makes the class shorter or longer, and what it costs">
            <Timer size={15} aria-hidden /> Fit to time
          </Button>
        }
      />
      <ExchangePanel
        trigger={
          <Button title="On paper, as a file, from notes">
            <ArrowLeftRight size={15} aria-hidden /> Out and in
          </Button>
        }
      />
      <ComparePlans
        lesson={lesson}
        one={{ name: 'When you opened it', plan: opened }}
        other={{ name: 'Now', plan }}
        trigger={
          <Button
            title="This class beside what it was when you opened it"
            disabled={opened === plan}
          >
            <Columns2 size={15} aria-hidden /> Compare
          </Button>
        }
      />
    </>
  );
}
