import { beforeEach, describe, expect, it } from 'vitest';
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
  owner = await makeStudio(app, 'numbers');
});

const WRIST = { caution: 'wrist', ask: 'wrist', effect: 'avoid', from: 0.05 };
const save = async (ownBounds: object[]) => {
  const studio = await owner.agent.get('/api/studio').expect(200);
  const { revision } = studio.body as { revision: number };
  return owner.agent.patch('/api/studio').send({ revision, ownBounds });
};

describe('a studio’s own numbers of cautions', () => {
  it('are none at first, and kept as they are said', async () => {
    const before = await owner.agent.get('/api/studio').expect(200);
    expect(before.body).toMatchObject({ ownBounds: [] });
    const answer = await save([WRIST]);
    expect(answer.status).toBe(200);
    const after = await owner.agent.get('/api/studio').expect(200);
    expect(after.body).toMatchObject({ ownBounds: [WRIST] });
  });

  it('are refused where they let more through and nobody cleared it', async () => {
    const answer = await save([{ ...WRIST, from: 0.5 }]);
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain('say who cleared it');
    const cleared = await save([{ ...WRIST, from: 0.5, clearedBy: 'our physiotherapist' }]);
    expect(cleared.status).toBe(200);
  });

  it('go with those whom they are about, and nobody else', async () => {
    expect((await save([WRIST])).status).toBe(200);
    const sore = await makePerson(owner, 'Asha', { cautions: [{ caution: 'wrist' }] });
    const well = await makePerson(owner, 'Bram');
    const id = await makeClass(owner);
    await owner.agent
      .put(`/api/classes/${id}/attendees`)
      .send({ revision: 1, personIds: [sore, well] })
      .expect(200);
    const lesson = await owner.agent.get(`/api/classes/${id}`).expect(200);
    const { attendees } = lesson.body as { attendees: { ownBounds?: object[] }[] };
    expect(attendees.map(({ ownBounds }) => ownBounds)).toEqual([[WRIST], undefined]);
  });
});
