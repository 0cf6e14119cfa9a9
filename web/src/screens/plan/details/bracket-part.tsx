import { useMemo } from 'react';
import { isTwoSided } from '@wrenfern/core/movement/dose';
import { capital } from '@wrenfern/core/movement/words';
import { bracketMates, dissolve, gatherBehind } from '@wrenfern/core/plan/bracket-edits';
import { bracketWords } from '@wrenfern/core/plan/bracket-words';
import { applyEdit } from '@wrenfern/core/plan/apply-edit';
import type { Bracket, Item } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { doseOf } from '@wrenfern/core/plan/usual';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Button } from '../../../parts/button.tsx';
import { Select } from '../../../parts/select.tsx';
import { Stepper } from '../../../parts/stepper.tsx';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';

/** What an item is gone through together with; nothing where it is done by itself. */
export function BracketPart({ item }: { item: Item }) {
  const plan = useEditor((editor) => editor.plan);
  const mates = bracketMates(plan, item.id);
  return mates ? <Gathered bracket={mates.bracket} items={mates.items} /> : null;
}

const SIDES = [
  { value: 'right', name: 'right first' },
  { value: 'left', name: 'left first' },
] as const;

function Gathered({ bracket, items }: { bracket: Bracket; items: readonly Item[] }) {
  const edit = useEditor((editor) => editor.edit);
  const plan = useEditor((editor) => editor.plan);
  const last = items.at(-1);
  const more = last && gatherBehind(plan, last.id, bracket.kind);
  return (
    <section className="flex flex-col gap-2 rounded-xl border border-fern-light p-3">
      <h3 className="text-base text-fern">{capital(bracketWords(bracket))}</h3>
      <p className="text-soft">
        {bracket.kind === 'series'
          ? 'All of it on one side, then all of it on the other.'
          : 'All of it in turn, and again from the top.'}
      </p>
      {bracket.kind === 'series' ? (
        <Select
          label="Which side"
          value={bracket.first}
          choices={SIDES}
          onChange={(first) => edit({ type: 'setBracket', bracket: { ...bracket, first } })}
        />
      ) : (
        <Stepper
          label="rounds"
          value={bracket.times}
          min={2}
          max={10}
          step={1}
          onChange={(times) => edit({ type: 'setBracket', bracket: { ...bracket, times } })}
        />
      )}
      {bracket.kind === 'series' ? <WhatItSaves bracketId={bracket.id} items={items} /> : null}
      <div className="flex flex-wrap gap-2">
        {more ? (
          <Button onClick={() => edit(more)} title={bracket.kind === 'series' ? 's' : 'r'}>
            Take in the next
          </Button>
        ) : null}
        <Button onClick={() => edit(dissolve(plan, bracket.id))} title="u">
          Take apart
        </Button>
      </div>
    </section>
  );
}

/** What the series takes, beside each exercise done on both sides by itself. */
function WhatItSaves({ bracketId, items }: { bracketId: string; items: readonly Item[] }) {
  const catalogue = useCatalogue();
  const plan = useEditor((editor) => editor.plan);
  const { analysis, retime } = usePlanScreen();
  const apart = useMemo(() => {
    const result = applyEdit(plan, dissolve(plan, bracketId));
    return result.ok ? retime(result.plan) : undefined;
  }, [plan, bracketId, retime]);
  if (!apart) return null;
  const ids = new Set(items.map(({ id }) => id));
  const secondsIn = (timeline: Pick<typeof apart, 'items'>) =>
    timeline.items.reduce((sum, each) => sum + (ids.has(each.itemId) ? each.durationS : 0), 0);
  const turned = items.filter((item) => {
    if (item.kind === 'pause') return false;
    const exercise = catalogue.get(item.exercise);
    return exercise && isTwoSided(doseOf(item, exercise, rulesOf(plan.school)));
  }).length;
  return (
    <p className="rounded-lg bg-mist p-2">
      <strong>As a series it takes {showClock(secondsIn(analysis.timeline))}.</strong> Each on both
      sides by itself would take {showClock(secondsIn(apart))}
      {turned > 1 ? `, with ${2 * turned - 2} more turns` : ''}.
    </p>
  );
}

/** How an item by itself comes to be done together with the next. */
export function WithTheNext({ item: { id: itemId, bracket } }: { item: Item }) {
  const edit = useEditor((editor) => editor.edit);
  const plan = useEditor((editor) => editor.plan);
  const series = gatherBehind(plan, itemId, 'series');
  const rounds = gatherBehind(plan, itemId, 'rounds');
  if (bracket || !series || !rounds) return null;
  return (
    <section aria-label="Together with the next row" className="flex flex-col gap-1">
      <span className="font-semibold">With the next row</span>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => edit(series)} title="s">
          One series
        </Button>
        <Button onClick={() => edit(rounds)} title="r">
          In rounds
        </Button>
      </div>
    </section>
  );
}
