import { STEADY_PACE } from '@wrenfern/core/plan/timing/pace';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import type { StudioSettings } from '@wrenfern/contract/studio';

/** A studio that has set nothing of its own. */
export const STUDIO: StudioSettings = {
  name: 'Tilework Studio',
  slug: 'tilework',
  isDemo: false,
  timeZone: 'UTC',
  cupboard: {},
  pace: STEADY_PACE,
  machines: PLAIN_MACHINES,
  schools: [],
  ownBounds: [],
  retentionMonths: null,
  needsSecondFactor: false,
  revision: 1,
};
