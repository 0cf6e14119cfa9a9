import { createHash } from 'node:crypto';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import {
  PASSWORD,
  addMember,
  makePerson,
  makeStudio,
  openTestApp,
} from '../testing/test-studio.ts';
import request from 'supertest';
import { PersonRow } from '../db/models.ts';

const { app } = await openTestApp();

type Owner = Awaited<ReturnType<typeof makeStudio>>;
type Files = Record<string, Uint8Array>;

/** A studio with something of everything: a demo, which is filled through the same tables. */
async function filledStudio(): Promise<Owner> {
  const agent = request.agent(app);
  await agent.post('/api/demo-session').send({ timeZone: 'Europe/Lisbon' }).expect(204);
  const session = await agent.get('/api/session').expect(200);
  const { user } = session.body as { user: { id: string } };
  const people = await agent.get('/api/people').expect(200);
  const [first, second] = (people.body as { people: { id: string }[] }).people;
  await agent
    .post('/api/groups')
    .send({ name: 'Regulars', personIds: [second?.id, first?.id] })
    .expect(201);
  const list = await agent.get('/api/classes').expect(200);
  const [lesson] = (list.body as { classes: { id: string }[] }).classes;
  const whole = await agent.get(`/api/classes/${lesson?.id ?? ''}`).expect(200);
  const { plan } = whole.body as { plan: object };
  await agent
    .post('/api/kept-plans')
    .send({ name: 'Kept', tags: ['slow'], plan })
    .expect(201);
  return { studioId: '', userId: user.id, email: '', agent };
}

async function archiveOf({ agent }: Owner, password = PASSWORD): Promise<Files> {
  const answer = await agent
    .post('/api/studio/archive')
    .send({ password })
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  expect(answer.headers['content-type']).toBe('application/zip');
  return unzipSync(answer.body as Buffer);
}

const json = (files: Files, path: string): unknown =>
  JSON.parse(strFromU8(files[path] ?? new Uint8Array()));

const look = ({ agent }: Owner, zip: Uint8Array) =>
  agent
    .post('/api/studio/archive/look')
    .set('Content-Type', 'application/zip')
    .send(Buffer.from(zip));

const put = ({ agent }: Owner, zip: Uint8Array, mark: string) =>
  agent
    .put(`/api/studio/archive?mark=${mark}`)
    .set('Content-Type', 'application/zip')
    .send(Buffer.from(zip));

async function markOf(owner: Owner, zip: Uint8Array): Promise<string> {
  const looked = await look(owner, zip).expect(200);
  return (looked.body as { replaces: { mark: string } }).replaces.mark;
}

/** With other files in it, and a manifest that says so, as somebody would make it who knows how. */
function changed(files: Files, change: Record<string, string>): Uint8Array {
  const next = { ...files };
  const manifest = json(files, 'manifest.json') as {
    files: { path: string; bytes: number; sha256: string }[];
  };
  for (const [path, text] of Object.entries(change)) {
    const data = strToU8(text);
    next[path] = data;
    const entry = manifest.files.find((each) => each.path === path);
    if (entry) entry.sha256 = createHash('sha256').update(data).digest('hex');
  }
  next['manifest.json'] = strToU8(JSON.stringify(manifest));
  return zipSync(next);
}

describe('a studio as an archive', () => {
  it('comes back equal from another studio, file by file', async () => {
    const owner = await filledStudio();
    const files = await archiveOf(owner);
    const other = await makeStudio(app, 'Other');
    await makePerson(other, 'Will be replaced');
    const zip = zipSync(files);
    await put(other, zip, await markOf(other, zip)).expect(204);
    const again = await archiveOf(other);
    expect(Object.keys(again).sort()).toEqual(Object.keys(files).sort());
    // Who teaches is in another team: that alone is not brought along.
    const withoutTeam = (path: string, all: Files) =>
      path.startsWith('classes/')
        ? { ...(json(all, path) as object), instructor: null }
        : strFromU8(all[path] ?? new Uint8Array());
    for (const path of Object.keys(files).filter((each) => each !== 'manifest.json')) {
      expect(withoutTeam(path, again), path).toEqual(withoutTeam(path, files));
    }
    expect(Object.keys(files).filter((path) => path.startsWith('classes/')).length).toBeGreaterThan(
      30,
    );
  });

  it('has a manifest with the SHA-256 of every file, and tables that another program reads', async () => {
    const files = await archiveOf(await filledStudio());
    const manifest = json(files, 'manifest.json') as {
      format: string;
      files: { path: string; bytes: number; sha256: string }[];
    };
    expect(manifest.format).toBe('wrenfern-studio/1');
    expect(manifest.files.map(({ path }) => path).sort()).toEqual(
      Object.keys(files)
        .filter((path) => path !== 'manifest.json')
        .sort(),
    );
    for (const { path, bytes, sha256 } of manifest.files) {
      const data = files[path] ?? new Uint8Array();
      expect([path, bytes, sha256]).toEqual([
        path,
        data.length,
        createHash('sha256').update(data).digest('hex'),
      ]);
    }
    const people = Papa.parse<string[]>(strFromU8(files['people.csv'] ?? new Uint8Array())).data;
    const records = json(files, 'people.json') as { name: string }[];
    expect(people.slice(1, -1).map(([name]) => name)).toEqual(records.map(({ name }) => name));
  });

  it('is opened by what it holds; those who came, their records and what was pressed are there', async () => {
    const owner = await filledStudio();
    const other = await makeStudio(app, 'Reads on');
    const zip = zipSync(await archiveOf(owner));
    const looked = await look(other, zip).expect(200);
    expect(looked.body).toMatchObject({
      studio: 'Tilework Studio',
      holds: { people: 14, groups: 1, keptPlans: 1 },
      replaces: { people: 0, classes: 0, exercises: 0 },
    });
    expect((looked.body as { unknownTeachers: string[] }).unknownTeachers).toHaveLength(2);
    await put(other, zip, await markOf(other, zip)).expect(204);
    const list = await other.agent.get('/api/classes?limit=100').expect(200);
    const taught = (
      list.body as { classes: { id: string; taught: boolean; coming: number }[] }
    ).classes.find((each) => each.taught);
    expect(taught?.coming).toBeGreaterThan(3);
    const events = await other.agent.get(`/api/classes/${taught?.id ?? ''}/events`).expect(200);
    expect((events.body as { pressed: object[]; taught: object }).pressed.length).toBeGreaterThan(
      5,
    );
    const people = await other.agent.get('/api/people').expect(200);
    const cautions = (people.body as { people: { cautions: object[] }[] }).people.flatMap(
      (person) => person.cautions,
    );
    expect(cautions.length).toBeGreaterThan(4);
    const rows = await PersonRow.findAll({ where: { studioId: other.studioId } });
    expect(rows.every(({ sealed }) => !sealed.includes('cautions'))).toBe(true);
  });

  it('replaces only what was shown: whatever changed meanwhile stops it', async () => {
    const owner = await makeStudio(app, 'Changing');
    await makePerson(owner, 'Asha');
    const zip = zipSync(await archiveOf(owner));
    const mark = await markOf(owner, zip);
    await makePerson(owner, 'Came meanwhile');
    await put(owner, zip, mark).expect(409);
    const people = await owner.agent.get('/api/people').expect(200);
    expect((people.body as { people: object[] }).people).toHaveLength(2);
    await put(owner, zip, await markOf(owner, zip)).expect(204);
    const after = await owner.agent.get('/api/people').expect(200);
    expect((after.body as { people: { name: string }[] }).people.map(({ name }) => name)).toEqual([
      'Asha',
    ]);
  });

  it('wants the password once more, and an owner', async () => {
    const owner = await makeStudio(app, 'Proof');
    await owner.agent.post('/api/studio/archive').send({ password: 'guess' }).expect(422);
    await owner.agent.post('/api/studio/archive').send({}).expect(422);
    const instructor = await addMember(app, owner.studioId, 'instructor');
    await instructor.agent.post('/api/studio/archive').send({ password: PASSWORD }).expect(403);
  });
});

describe('an archive that is not right', () => {
  const said = async (owner: Owner, zip: Uint8Array) => {
    const answer = await look(owner, zip);
    expect(answer.status).toBe(422);
    return (answer.body as { errors: { path: (string | number)[]; message: string }[] }).errors.map(
      ({ path, message }) => `${path.join(' ')}: ${message}`,
    );
  };

  it('says what is missing, damaged, or not as it should be, by file and place', async () => {
    const owner = await makeStudio(app, 'Faults');
    await makePerson(owner, 'Asha');
    const files = await archiveOf(owner);
    const { 'people.json': _, ...without } = files;
    expect(await said(owner, zipSync(without))).toEqual(['people.json: is missing']);
    expect(await said(owner, zipSync({ ...files, 'groups.json': strToU8('[]') }))).toEqual([
      'groups.json: is not what was put in: it was changed or damaged',
    ]);
    expect(await said(owner, changed(files, { 'groups.json': '{' }))).toEqual([
      'groups.json: is no JSON',
    ]);
    const [person] = json(files, 'people.json') as object[];
    const people = JSON.stringify([{ ...person, level: 9 }]);
    expect((await said(owner, changed(files, { 'people.json': people })))[0]).toMatch(
      /^people\.json 0 level: /,
    );
    const group = JSON.stringify([{ name: 'G', people: ['p77'] }]);
    expect(await said(owner, changed(files, { 'groups.json': group }))).toEqual([
      'groups.json: names p77, who is not in it',
    ]);
    const twice = JSON.stringify([person, person]);
    expect(await said(owner, changed(files, { 'people.json': twice }))).toEqual([
      'people.json: holds p1 twice',
    ]);
    const odd = JSON.stringify([{ ...person, consentOn: '1500-01-01' }]);
    expect((await said(owner, changed(files, { 'people.json': odd })))[0]).toMatch(
      /^people\.json 0 consentOn: give a year/,
    );
  });

  it('may be no zip file, another format, or far more than it seems', async () => {
    const owner = await makeStudio(app, 'Hostile');
    const files = await archiveOf(owner);
    expect(await said(owner, strToU8('PK but no'))).toEqual([
      ': is no zip file, or one that is too large',
    ]);
    const manifest = { ...(json(files, 'manifest.json') as object), format: 'wrenfern-studio/9' };
    expect(
      await said(owner, zipSync({ ...files, 'manifest.json': strToU8(JSON.stringify(manifest)) })),
    ).toEqual(['manifest.json format: is no archive of a studio that this version reads']);
    const bomb = zipSync({ ...files, 'people.json': new Uint8Array(45_000_000) });
    expect(bomb.length).toBeLessThan(100_000);
    expect(await said(owner, bomb)).toEqual(['people.json: is missing']);
    await owner.agent.post('/api/studio/archive/look').send({ no: 'zip' }).expect(422);
  });
});
