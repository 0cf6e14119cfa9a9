import type { Role } from '@wrenfern/contract/account';
import type { RouteName } from '@wrenfern/contract/answers';

/** `anyone` also means visitors who have not signed in. */
type Who = 'anyone' | readonly Role[];

const ALL = ['owner', 'instructor', 'cover', 'reader'] as const;
const TEACHERS = ['owner', 'instructor', 'cover'] as const;
const STAFF = ['owner', 'instructor'] as const;
const OWNER = ['owner'] as const;

/**
 * Which role may call which route; nothing else says so. A route that is missing here can't be
 * registered. `cover` reaches only classes that were handed over (see `closed-router.ts`), `reader`
 * gets plans and the library without people.
 */
export const ACCESS = {
  'GET /openapi.json': 'anyone',
  'GET /session': 'anyone',
  'POST /session': 'anyone',
  'DELETE /session': 'anyone',
  'GET /door': 'anyone',
  'POST /demo-session': 'anyone',
  'POST /set-up': 'anyone',
  'POST /links/look': 'anyone',
  'POST /links/use': 'anyone',

  'GET /account': ALL,
  'PUT /account/pace': ALL,
  'GET /account/taught': ALL,
  'PUT /account/password': ALL,
  'DELETE /account/sessions': ALL,
  'DELETE /account/sessions/:id': ALL,
  'POST /account/second-factor': ALL,
  'PUT /account/second-factor': ALL,
  'DELETE /account/second-factor': ALL,
  'POST /account/recovery-codes': ALL,

  'GET /today': ALL,
  'GET /week': ALL,
  'POST /week/copy': STAFF,
  'GET /classes': ALL,
  'POST /classes': STAFF,
  'GET /classes/:id': ALL,
  'PATCH /classes/:id': STAFF,
  'DELETE /classes/:id': STAFF,
  'PUT /classes/:id/plan': TEACHERS,
  'GET /classes/:id/revisions': STAFF,
  'GET /classes/:id/revisions/:revision': STAFF,
  'PUT /classes/:id/cover': STAFF,
  'PUT /classes/:id/attendees': STAFF,
  'PATCH /classes/:id/attendees/:personId': TEACHERS,
  'GET /classes/:id/events': TEACHERS,
  'POST /classes/:id/events': TEACHERS,
  'GET /classes/:id/events/stream': TEACHERS,
  'GET /classes/:id/wall': TEACHERS,
  'POST /classes/:id/wall': TEACHERS,
  'DELETE /classes/:id/wall': TEACHERS,
  'GET /wall/:token/stream': 'anyone',
  'GET /classes/:id/note': TEACHERS,
  'PUT /classes/:id/note': TEACHERS,

  'GET /groups': STAFF,
  'POST /groups': STAFF,
  'PUT /groups/:id': STAFF,
  'DELETE /groups/:id': STAFF,
  'GET /kept-plans': ['owner', 'instructor', 'reader'],
  'GET /kept-plans/:id': ['owner', 'instructor', 'reader'],
  'POST /kept-plans': STAFF,
  'PUT /kept-plans/:id': STAFF,
  'DELETE /kept-plans/:id': STAFF,

  'GET /classes.ics': ALL,
  'GET /feeds': ALL,
  'POST /feeds': ALL,
  'DELETE /feeds/:id': ALL,
  'GET /feeds/:token/classes.ics': 'anyone',

  'GET /exercises': ALL,
  'PUT /exercises/:slug': STAFF,
  'DELETE /exercises/:slug': STAFF,
  'GET /exercises/:slug/versions': STAFF,
  'GET /exercises/:slug/history': ['owner', 'instructor', 'reader'],

  'GET /people': STAFF,
  'POST /people': STAFF,
  'POST /people/import': STAFF,
  'GET /people/:id': STAFF,
  'PUT /people/:id': STAFF,
  'DELETE /people/:id': STAFF,
  'GET /people/:id/attended': STAFF,
  'GET /people/:id/export': OWNER,
  'DELETE /people/:id/everything': OWNER,

  'GET /studio': ALL,
  'PATCH /studio': OWNER,
  'GET /studio/room': STAFF,
  'GET /studio/taught': STAFF,
  'GET /studio/set-aside': STAFF,
  'GET /studio/desk': STAFF,
  'POST /studio/desk': OWNER,
  'DELETE /studio/desk': OWNER,
  'GET /desk/:studioId/classes': 'anyone',
  'POST /desk/:studioId/messages': 'anyone',
  'POST /studio/archive': OWNER,
  'POST /studio/archive/look': OWNER,
  'PUT /studio/archive': OWNER,
  'POST /studio/invitations': OWNER,
  'GET /team': STAFF,
  'POST /team/invitations': OWNER,
  'DELETE /team/invitations/:id': OWNER,
  'PATCH /team/:id': OWNER,
  'DELETE /team/:id': OWNER,
  'POST /team/:id/reset': OWNER,
  'DELETE /team/:id/sessions': OWNER,
  'DELETE /team/:id/second-factor': OWNER,

  'GET /wastebasket': STAFF,
  'POST /wastebasket/:kind/:id': STAFF,
  'DELETE /wastebasket/:kind/:id': OWNER,
  'DELETE /wastebasket': OWNER,

  'GET /trail': OWNER,
} as const satisfies Record<RouteName, Who>;

/** What somebody may call who still has to set up the second factor that the studio asks for. */
export function isForSettingUp(route: RouteName): boolean {
  return route.includes(' /account');
}

export function mayCall(role: Role, route: RouteName): boolean {
  const who: Who = ACCESS[route];
  return who === 'anyone' || who.includes(role);
}
