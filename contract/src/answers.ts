import type { z } from 'zod';
import {
  Account,
  Door,
  LinkPurpose,
  LinkUsed,
  ProposedFactor,
  NewRecoveryCodes,
  Session,
} from './account.ts';
import {
  ClassEvents,
  ClassesMade,
  ClassNote,
  Cover,
  EventsTaken,
  KeptPlan,
  KeptPlans,
  PlanRevisions,
  PlanSaved,
  SavedPlan,
  WeekCopied,
  WholeClass,
  WholeKeptPlan,
} from './classes.ts';
import { ExerciseHistory, ExerciseVersions, OwnExercise, OwnExercises } from './exercises.ts';
import { NearlyFull, Trail, Wastebasket } from './keeping.ts';
import {
  AttendedClasses,
  PeopleList,
  PeopleTaken,
  PersonEverything,
  RevisedPerson,
  StandingGroup,
  StandingGroups,
} from './people.ts';
import { WallAddress, WallDoor } from './wall.ts';
import { ClassList, ReadyClasses } from './class-cards.ts';
import {
  DeskClasses,
  DeskOutcome,
  DeskSecret,
  DeskState,
  Feeds,
  Invited,
  LinkPath,
  LookedInto,
  NewFeed,
  StudioInvitation,
  StudioSettings,
  Team,
  TeamMember,
  SetAsideOften,
  TaughtParts,
} from './studio.ts';

/** What a route answers when it does what was asked. */
export type Answer =
  | { kind: 'data'; status: 200 | 201; schema: z.ZodType }
  /** Nothing but that it was done. */
  | { kind: 'done'; status: 201 | 204 }
  /** A file or a stream, written as it is. */
  | { kind: 'file'; status: 200; type: string };

const read = <S extends z.ZodType>(schema: S) => ({ kind: 'data', status: 200, schema }) as const;
const made = <S extends z.ZodType>(schema: S) => ({ kind: 'data', status: 201, schema }) as const;
const DONE = { kind: 'done', status: 204 } as const;
const file = (type: string) => ({ kind: 'file', status: 200, type }) as const;

/** What each route answers, by its name. The server writes with it, the browser reads with it. */
export const ANSWERS = {
  'GET /openapi.json': file('application/json'),
  'GET /session': read(Session),
  'POST /session': DONE,
  'DELETE /session': DONE,
  'GET /door': read(Door),
  'POST /demo-session': DONE,
  'POST /set-up': { kind: 'done', status: 201 },
  'POST /links/look': read(LinkPurpose),
  'POST /links/use': made(LinkUsed),

  'GET /account': read(Account),
  'PUT /account/pace': DONE,
  'GET /account/taught': read(TaughtParts),
  'PUT /account/password': DONE,
  'DELETE /account/sessions': DONE,
  'DELETE /account/sessions/:id': DONE,
  'POST /account/second-factor': read(ProposedFactor),
  'PUT /account/second-factor': read(NewRecoveryCodes),
  'DELETE /account/second-factor': DONE,
  'POST /account/recovery-codes': read(NewRecoveryCodes),

  'GET /today': read(ReadyClasses),
  'GET /week': read(ReadyClasses),
  'POST /week/copy': made(WeekCopied),
  'GET /classes': read(ClassList),
  'POST /classes': made(ClassesMade),
  'GET /classes/:id': read(WholeClass),
  'PATCH /classes/:id': read(WholeClass),
  'DELETE /classes/:id': DONE,
  'PUT /classes/:id/plan': read(PlanSaved),
  'GET /classes/:id/revisions': read(PlanRevisions),
  'GET /classes/:id/revisions/:revision': read(SavedPlan),
  'PUT /classes/:id/cover': read(Cover),
  'PUT /classes/:id/attendees': read(WholeClass),
  'PATCH /classes/:id/attendees/:personId': read(WholeClass),
  'GET /classes/:id/events': read(ClassEvents),
  'POST /classes/:id/events': made(EventsTaken),
  'GET /classes/:id/events/stream': file('text/event-stream'),
  'GET /classes/:id/wall': read(WallDoor),
  'POST /classes/:id/wall': made(WallAddress),
  'DELETE /classes/:id/wall': DONE,
  'GET /wall/:token/stream': file('text/event-stream'),
  'GET /classes/:id/note': read(ClassNote),
  'PUT /classes/:id/note': read(ClassNote),

  'GET /groups': read(StandingGroups),
  'POST /groups': made(StandingGroup),
  'PUT /groups/:id': read(StandingGroup),
  'DELETE /groups/:id': DONE,
  'GET /kept-plans': read(KeptPlans),
  'GET /kept-plans/:id': read(WholeKeptPlan),
  'POST /kept-plans': made(KeptPlan),
  'PUT /kept-plans/:id': read(KeptPlan),
  'DELETE /kept-plans/:id': DONE,

  'GET /classes.ics': file('text/calendar'),
  'GET /feeds': read(Feeds),
  'POST /feeds': made(NewFeed),
  'DELETE /feeds/:id': DONE,
  'GET /feeds/:token/classes.ics': file('text/calendar'),

  'GET /exercises': read(OwnExercises),
  'PUT /exercises/:slug': read(OwnExercise),
  'DELETE /exercises/:slug': DONE,
  'GET /exercises/:slug/versions': read(ExerciseVersions),
  'GET /exercises/:slug/history': read(ExerciseHistory),

  'GET /people': read(PeopleList),
  'POST /people': made(RevisedPerson),
  'POST /people/import': made(PeopleTaken),
  'GET /people/:id': read(RevisedPerson),
  'PUT /people/:id': read(RevisedPerson),
  'DELETE /people/:id': DONE,
  'GET /people/:id/attended': read(AttendedClasses),
  'GET /people/:id/export': read(PersonEverything),
  'DELETE /people/:id/everything': DONE,

  'GET /studio': read(StudioSettings),
  'PATCH /studio': read(StudioSettings),
  'GET /studio/room': read(NearlyFull),
  'GET /studio/taught': read(TaughtParts),
  'GET /studio/set-aside': read(SetAsideOften),
  'GET /studio/desk': read(DeskState),
  'POST /studio/desk': made(DeskSecret),
  'DELETE /studio/desk': DONE,
  'GET /desk/:studioId/classes': read(DeskClasses),
  'POST /desk/:studioId/messages': read(DeskOutcome),
  'POST /studio/archive': file('application/zip'),
  'POST /studio/archive/look': read(LookedInto),
  'PUT /studio/archive': DONE,
  'POST /studio/invitations': made(StudioInvitation),
  'GET /team': read(Team),
  'POST /team/invitations': made(Invited),
  'DELETE /team/invitations/:id': DONE,
  'PATCH /team/:id': read(TeamMember),
  'DELETE /team/:id': DONE,
  'POST /team/:id/reset': made(LinkPath),
  'DELETE /team/:id/sessions': DONE,
  'DELETE /team/:id/second-factor': DONE,

  'GET /wastebasket': read(Wastebasket),
  'POST /wastebasket/:kind/:id': DONE,
  'DELETE /wastebasket/:kind/:id': DONE,
  'DELETE /wastebasket': DONE,

  'GET /trail': read(Trail),
} as const satisfies Record<string, Answer>;

export type RouteName = keyof typeof ANSWERS;

/** What the handler of a route hands over to be written; nothing where there is nothing, or a file. */
export type AnswerOf<R extends RouteName> = (typeof ANSWERS)[R] extends {
  schema: infer S extends z.ZodType;
}
  ? z.infer<S>
  : undefined;
