import { screen } from '@testing-library/react';
import { useStore } from 'zustand';
import { describe, expect, it } from 'vitest';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { builtInCatalogue } from '@wrenfern/library';
import { analyseClass } from '../../data/class-analysis.ts';
import { RequestProblem } from '../../data/request.ts';
import { makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { createPlanEditor } from '../plan/editor/plan-editor.ts';
import { SettleHere, SinceChanged } from './settle-here.tsx';

standInForServer();

const plain = makeLesson();
/** Its own plan with one count that nobody says. */
const plan: Plan = {
  ...plain.plan,
  segments: plain.plan.segments.map((segment) => ({
    ...segment,
    items: segment.items.map((item) =>
      item.kind === 'exercise' && item.exercise === 'clam' && item.dose?.kind === 'repetitions'
        ? { ...item, dose: { ...item.dose, count: 11 } }
        : item,
    ),
  })),
};

function show(send: () => Promise<{ revision: number }>) {
  const editor = createPlanEditor({
    plan,
    revision: 3,
    send,
    keepUnsaved: () => undefined,
    later: () => () => undefined,
  });
  function Screen() {
    const now = useStore(editor, (state) => state.plan);
    const lesson = { ...plain, plan: now };
    const finding = analyseClass(lesson, now, builtInCatalogue).findings.find(
      ({ rule }) => rule === 'odd-dose',
    );
    return (
      <>
        {finding ? <SettleHere finding={finding} settle={{ editor, lesson }} /> : 'settled'}
        <SinceChanged settle={{ editor, lesson }} />
      </>
    );
  }
  return { editor, ...showScreen(<Screen />, { answers: {} }) };
}

const counts = (of: Plan) =>
  exerciseItemsOf(of).flatMap(({ dose }) => (dose?.kind === 'repetitions' ? [dose.count] : []));

describe('what is left to settle, on the spot', () => {
  it('is settled by one press, and back again by one', async () => {
    const { editor, user } = show(() => Promise.resolve({ revision: 4 }));
    await user.click(await screen.findByRole('button', { name: /^Make it 1[02] / }));
    expect(await screen.findByText('settled')).toBeTruthy();
    expect(counts(editor.getState().plan)).not.toContain(11);
    await user.click(screen.getByRole('button', { name: 'Undo the last change' }));
    expect(counts(editor.getState().plan)).toContain(11);
    expect(screen.queryByRole('button', { name: 'Undo the last change' })).toBeNull();
  });

  it('says when it could not be saved', async () => {
    const { editor, user } = show(() =>
      Promise.reject(new RequestProblem('offline', 0, 'No line')),
    );
    await user.click(await screen.findByRole('button', { name: /^Make it 1[02] / }));
    await editor.getState().saveNow();
    expect(await screen.findByText(/^No line/)).toBeTruthy();
  });
});
