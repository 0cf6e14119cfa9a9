import { beforeEach, expect, it } from 'vitest';
import {
  makeClass,
  makePerson,
  makeStudio,
  openTestApp,
  type TestMember,
} from '../testing/test-studio.ts';

const { app } = await openTestApp();
let owner: TestMember;

beforeEach(async () => {
  owner = await makeStudio(app, 'attended');
});

const ITEMS = ['clam', 'toe-tap', 'plank'].map((exercise) => ({
  kind: 'exercise',
  id: exercise,
  exercise,
  note: '',
}));

/** A class with three exercises that somebody is booked into, taught unless said otherwise. */
async function classWith(personId: string, came: string | null, isTaught = true) {
  const id = await makeClass(owner);
  const { plan } = (await owner.agent.get(`/api/classes/${id}`)).body as { plan: object };
  await owner.agent
    .put(`/api/classes/${id}/plan`)
    .send({ revision: 1, plan: { ...plan, segments: [{ id: 's', name: 'S', items: ITEMS }] } })
    .expect(200);
  await owner.agent
    .put(`/api/classes/${id}/attendees`)
    .send({ revision: 1, personIds: [personId] })
    .expect(200);
  await owner.agent
    .patch(`/api/classes/${id}/attendees/${personId}`)
    .send({
      revision: 1,
      came,
      choices: { plank: { kind: 'rest' }, clam: { kind: 'option', option: 2 } },
    })
    .expect(200);
  const at = { atMs: Date.UTC(2026, 10, 26, 18, 15) };
  const events = [
    { id: 'event-0001', type: 'start', order: 1, revision: 2, ...at },
    { id: 'event-0002', type: 'moved', order: 2, itemId: 'clam', personId, option: 1, ...at },
    {
      ...{ id: 'event-0003', type: 'seen', order: 3, itemId: 'clam', personId, ...at },
      ...{ sign: 'too-easy', remedy: { kind: 'option', option: 3 } },
    },
    { id: 'event-0004', type: 'moved', order: 4, itemId: 'clam', personId, option: 4, ...at },
    { id: 'event-0005', type: 'takeBack', order: 5, eventId: 'event-0004', ...at },
  ];
  if (isTaught) await owner.agent.post(`/api/classes/${id}/events`).send({ events }).expect(201);
}

it('tells the taught classes that somebody came to, with what they were put to there', async () => {
  const personId = await makePerson(owner, 'Asha');
  await classWith(personId, 'here');
  await classWith(personId, 'cancelled late');
  await classWith(personId, null, false);
  const answer = await owner.agent.get(`/api/people/${personId}/attended`).expect(200);
  expect(answer.body).toEqual({
    classes: [
      {
        day: '2026-11-26',
        // The last press that was not taken back counts; a rest is nothing done; what was worked out says nothing.
        done: [
          { exercise: 'clam', option: 3 },
          { exercise: 'toe-tap', option: null },
        ],
      },
    ],
  });
});
