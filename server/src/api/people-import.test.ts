import { describe, expect, it } from 'vitest';
import { Person } from '@wrenfern/core/people/person';
import { PersonRow } from '../db/models.ts';
import { addMember, makePerson, makeStudio, openTestApp } from '../testing/test-studio.ts';

const { app } = await openTestApp();

const ofName = (name: string, more: object = {}) => {
  const { id: _, ...person } = Person.parse({ id: 'x', name, ...more });
  return person;
};

type Owner = Awaited<ReturnType<typeof makeStudio>>;
const take = ({ agent }: Owner, people: object[]) =>
  agent.post('/api/people/import').send({ people });

async function names({ agent }: Owner): Promise<string[]> {
  const answer = await agent.get('/api/people').expect(200);
  return (answer.body as { people: Person[] }).people.map(({ name, level }) => `${name} ${level}`);
}

describe('people from a file', () => {
  it('come in, and change those who are here, sealed like all others', async () => {
    const owner = await makeStudio(app, 'import');
    const id = await makePerson(owner, 'Asha');
    const answer = await take(owner, [
      { id, revision: 1, person: ofName('Asha', { level: 3, note: 'a quiet knee' }) },
      { id: null, person: ofName('Wim') },
    ]);
    expect(answer.body).toEqual({ added: 1, changed: 1 });
    expect(await names(owner)).toEqual(['Asha 3', 'Wim 2']);
    const row = await PersonRow.findByPk(id);
    expect(row?.sealed).not.toContain('quiet');
    expect(row?.revision).toBe(2);
  });

  it('come in all or none: a record that a colleague changed meanwhile stops it', async () => {
    const owner = await makeStudio(app, 'stale');
    const id = await makePerson(owner, 'Asha');
    const change = { id, revision: 1, person: ofName('Asha', { level: 4 }) };
    await take(owner, [change]).expect(201);
    const refused = await take(owner, [{ id: null, person: ofName('Wim') }, change]).expect(409);
    expect(refused.body).toMatchObject({ code: 'stale', name: 'Asha' });
    expect(await names(owner)).toEqual(['Asha 4']);
  });

  it('change nobody of another studio', async () => {
    const [owner, stranger] = [await makeStudio(app, 'mine'), await makeStudio(app, 'theirs')];
    const id = await makePerson(stranger, 'Asha');
    await take(owner, [{ id, revision: 1, person: ofName('Taken over') }]).expect(409);
    expect(await names(stranger)).toEqual(['Asha 2']);
  });

  it('with a fault are refused with its place', async () => {
    const owner = await makeStudio(app, 'fault');
    const people = [
      { id: null, person: ofName('Fine') },
      { id: null, person: { ...ofName('Odd'), consentOn: '1500-01-01' } },
    ];
    const refused = await take(owner, people).expect(422);
    expect((refused.body as { errors: object[] }).errors).toMatchObject([
      { path: ['people', 1, 'person', 'consentOn'] },
    ]);
    expect(await names(owner)).toEqual([]);
  });

  it('are not for those who only cover or read', async () => {
    const owner = await makeStudio(app, 'roles');
    for (const role of ['cover', 'reader'] as const) {
      const member = await addMember(app, owner.studioId, role);
      await take(member, [{ id: null, person: ofName('Wim') }]).expect(403);
    }
  });
});
