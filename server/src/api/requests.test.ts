import { describe, expect, it } from 'vitest';
import { findUnbounded } from '@wrenfern/core/movement/bounds';
import { ACCESS } from '../auth/access.ts';
import { BODIES, QUERIES } from './requests.ts';

/** Routes that change something by their address alone. */
const BARE = [
  'DELETE /session',
  'DELETE /account/sessions',
  'DELETE /account/sessions/:id',
  'DELETE /classes/:id',
  'POST /classes/:id/wall',
  'DELETE /classes/:id/wall',
  'DELETE /exercises/:slug',
  'DELETE /feeds/:id',
  'DELETE /groups/:id',
  'DELETE /kept-plans/:id',
  'DELETE /people/:id',
  'DELETE /people/:id/everything',
  'DELETE /team/:id',
  'DELETE /team/:id/sessions',
  'DELETE /team/:id/second-factor',
  'DELETE /team/invitations/:id',
  'DELETE /wastebasket',
  'DELETE /wastebasket/:kind/:id',
  'POST /studio/invitations',
  'POST /studio/desk',
  'DELETE /studio/desk',
  // These take a zip file.
  'POST /studio/archive/look',
  'PUT /studio/archive',
  'POST /team/:id/reset',
  'POST /wastebasket/:kind/:id',
];

describe('what a request holds', () => {
  it.each([...Object.entries(BODIES), ...Object.entries(QUERIES)])(
    'has an end to every list and text in %s',
    (_route, schema) => {
      expect(findUnbounded(schema)).toEqual([]);
    },
  );

  it('is said for every route that changes something', () => {
    const changing = Object.keys(ACCESS).filter((route) => !route.startsWith('GET '));
    expect(changing.filter((route) => !(route in BODIES)).sort()).toEqual([...BARE].sort());
  });
});
