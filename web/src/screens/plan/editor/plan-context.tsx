import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { StoreApi } from 'zustand/vanilla';
import type { Analysis } from '@wrenfern/core';
import type { Plan } from '@wrenfern/core/plan/plan';
import type { Timeline } from '@wrenfern/core/plan/timing/timeline';
import type { Machines } from '@wrenfern/core/room/machines';
import type { BookedPerson } from '@wrenfern/contract/classes';
import type { PlanEditor } from './plan-editor.ts';

interface PlanScreen {
  editor: StoreApi<PlanEditor>;
  analysis: Analysis;
  /** The seconds of the class as it might be. */
  retime: (plan: Plan) => Timeline;
  attendees: BookedPerson[];
  machines: Machines;
  /** False for whoever may only look. */
  mayEdit: boolean;
  /** What the class would be if what is being dragged were dropped where it is held. */
  preview: Analysis | undefined;
}

export const PlanScreenContext = createContext<PlanScreen | undefined>(undefined);

export function usePlanScreen(): PlanScreen {
  const screen = useContext(PlanScreenContext);
  if (!screen) throw new Error('outside the plan screen');
  return screen;
}

export function useEditor<T>(pick: (editor: PlanEditor) => T): T {
  return useStore(usePlanScreen().editor, pick);
}
