import { useEffect, useEffectEvent } from 'react';
import type { StoreApi } from 'zustand/vanilla';
import type { Finding, Repair } from '@wrenfern/core/review/rule';
import { bracketMates, dissolve, gatherBehind } from '@wrenfern/core/plan/bracket-edits';
import type { Edit } from '@wrenfern/core/plan/edits';
import { itemsOf, type Plan } from '@wrenfern/core/plan/plan';
import type { KeyHint } from '../../../parts/keys-help.tsx';
import { isTyping } from '../../../parts/typing.ts';
import { nudge } from '@wrenfern/core/review/arrange-rows';
import { findingId, stepFinding } from '@wrenfern/core/review/finding-list';
import type { PlanEditor } from './plan-editor.ts';

/** The field that `/` leads to. */
export const SEARCH_ID = 'catalogue-search';

export const PLAN_KEYS: readonly KeyHint[] = [
  { keys: '/', does: 'Type an exercise: arrows choose, Enter adds, Escape leaves' },
  { keys: 'Ctrl K', does: 'Go to any screen, class or exercise' },
  { keys: 'j and k', does: 'Choose the next or the previous row' },
  { keys: 'Alt ↑ and Alt ↓', does: 'Move the chosen row' },
  { keys: 'n and p', does: 'Open the next or the previous thing to settle' },
  { keys: '1, 2, 3', does: 'Take that repair of the thing that is open' },
  { keys: 's and r', does: 'Put the chosen row and the next into a series, or in rounds' },
  { keys: 'u', does: 'Take apart the series or rounds of the chosen row' },
  { keys: 'Delete', does: 'Remove the chosen row' },
  { keys: 'Ctrl Z', does: 'Undo' },
  { keys: 'Ctrl Shift Z', does: 'Redo' },
  { keys: 'Space on a grip', does: 'Lift a row; arrows move it, Space drops it, Escape lets go' },
  { keys: 'Escape', does: 'Choose nothing' },
];

/** The keys of the Plan screen; fields keep theirs. */
export function usePlanKeys(
  editor: StoreApi<PlanEditor>,
  findings: readonly Finding[],
  repairsOf: (finding: Finding) => readonly Repair[],
): void {
  const repairs = useEffectEvent(repairsOf);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented) return;
      const isCommand = event.ctrlKey || event.metaKey;
      if (isTyping(event)) return;
      if (isCommand && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        if (event.shiftKey) editor.getState().redo();
        else editor.getState().undo();
        return;
      }
      if (isCommand) return;
      const state = editor.getState();
      if (act(state, event) || settle(state, event, findings, repairs)) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [editor, findings]);
}

/** Steps through what is left to settle, and takes repairs by their number. */
function settle(
  editor: PlanEditor,
  event: KeyboardEvent,
  findings: readonly Finding[],
  repairsOf: (finding: Finding) => readonly Repair[],
): boolean {
  if (event.altKey) return false;
  if (event.key === 'n' || event.key === 'p') {
    const next = stepFinding(findings, editor.focusedFinding, event.key === 'n' ? 1 : -1);
    if (!next) return false;
    editor.focusFinding(findingId(next));
    editor.select(next.itemIds[0]);
    return true;
  }
  const number = Number(event.key);
  if (number < 1 || number > 3 || event.key.trim() === '') return false;
  const open = findings.find((finding) => findingId(finding) === editor.focusedFinding);
  const finding = open ?? findings[0];
  const repair = finding && repairsOf(finding)[number - 1];
  if (!repair) return false;
  editor.edit(repair.edit);
  return true;
}

/** From the last of a series or of rounds the next row is taken in, so that pressing again goes on. */
function bracketEdit(plan: Plan, itemId: string, key: 's' | 'r' | 'u'): Edit | undefined {
  const mates = bracketMates(plan, itemId);
  if (key === 'u') return mates && dissolve(plan, mates.bracket.id);
  return gatherBehind(plan, mates?.items.at(-1)?.id ?? itemId, key === 's' ? 'series' : 'rounds');
}

/** True when the key was ours. */
function act(editor: PlanEditor, event: KeyboardEvent): boolean {
  const { selectedId, plan } = editor;
  if (event.key === '/') {
    document.getElementById(SEARCH_ID)?.focus();
    return true;
  }
  if (event.key === 'j' || event.key === 'k') {
    const items = itemsOf(plan);
    const at = items.findIndex(({ id }) => id === selectedId);
    const next = event.key === 'j' ? at + 1 : at < 0 ? items.length - 1 : at - 1;
    const item = items[Math.min(items.length - 1, Math.max(0, next))];
    if (item) {
      editor.select(item.id);
      document.querySelector<HTMLElement>(`[data-item="${item.id}"]`)?.focus();
    }
    return true;
  }
  if (!selectedId) return false;
  if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    const edit = nudge(plan, selectedId, event.key === 'ArrowUp' ? -1 : 1);
    if (edit) editor.edit(edit);
    return true;
  }
  if (!event.altKey && (event.key === 's' || event.key === 'r' || event.key === 'u')) {
    const edit = bracketEdit(plan, selectedId, event.key);
    if (edit) editor.edit(edit);
    return edit !== undefined;
  }
  if (event.key === 'Delete') {
    editor.edit({ type: 'removeItem', itemId: selectedId });
    editor.select(undefined);
    return true;
  }
  if (event.key === 'Escape') {
    editor.select(undefined);
    return true;
  }
  return false;
}
