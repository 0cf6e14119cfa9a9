import { Machines } from '@wrenfern/core/room/machines';

/** Six reformers of the demo studio, whose springs it named itself. */
export const DEMO_MACHINES: Machines = Machines.parse({
  reformers: 6,
  springs: [
    { name: 'kiln', strength: 'heavy', count: 3 },
    { name: 'glaze', strength: 'medium', count: 1 },
    { name: 'slip', strength: 'light', count: 1 },
  ],
  bars: { high: 'third notch', middle: 'second notch', low: 'first notch' },
  extras: ['long box', 'jump board'],
});
