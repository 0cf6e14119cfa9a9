import { useEffect } from 'react';
import type { Timeline } from '@wrenfern/core/plan/timing/timeline';
import { isTyping } from '../../parts/typing.ts';
import type { Run } from './use-run.ts';

/** Keys and page-turning pedals: these send arrows, Page Up and Page Down, or Space. */
export function useTeachKeys(run: Run, timeline: Timeline, begin: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat || isTyping(event) || event.ctrlKey || event.metaKey) return;
      const onButton = event.target instanceof HTMLElement && event.target.closest('button, a');
      if (event.key === ' ' && onButton) return;
      const { status, itemIndex } = run.state;
      if (status === 'ended') return;
      const goTo = (index: number) => {
        const item = timeline.items[index];
        if (item) run.record({ type: 'goTo', itemId: item.itemId });
      };
      switch (event.key) {
        case ' ':
        case 'ArrowRight':
        case 'ArrowDown':
        case 'PageDown':
          if (status === 'ready') begin();
          // A pedal pressed once too often must not end the class.
          else goTo(itemIndex + 1);
          break;
        case 'ArrowLeft':
        case 'ArrowUp':
        case 'PageUp':
          if (status !== 'ready') goTo(itemIndex - 1);
          break;
        case 'p':
        case 'P':
          if (status === 'running') run.record({ type: 'pause' });
          else if (status === 'paused') run.record({ type: 'resume' });
          break;
        default:
          return;
      }
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [run, timeline, begin]);
}
