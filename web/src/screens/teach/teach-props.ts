import type { WholeClass } from '@wrenfern/contract/classes';
import type { EventsRead } from '../../data/use-classes.ts';

export interface TeachProps {
  lesson: WholeClass;
  known: EventsRead;
  onStarted: () => void;
}
