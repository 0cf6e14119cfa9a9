import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { strFromU8, strToU8, unzip, zip, type AsyncZippable, type Unzipped } from 'fflate';
import type { z } from 'zod';
import { writeCupboard } from '@wrenfern/core/formats/csv/cupboard-csv';
import { writeMachines } from '@wrenfern/core/formats/csv/machines-csv';
import { writePeople } from '@wrenfern/core/formats/csv/people-csv';
import { writeTable } from '@wrenfern/core/formats/csv/table';
import { Person } from '@wrenfern/core/people/person';
import { dayIn, timeIn } from '@wrenfern/core/week/studio-time';
import { faultsOf } from '../api/errors.ts';
import {
  ARCHIVE_FORMAT,
  ClassFile,
  ExercisesFile,
  GroupsFile,
  KeptPlansFile,
  Manifest,
  PeopleFile,
  SettingsFile,
  type StudioContent,
} from './archive-content.ts';

const MANIFEST = 'manifest.json';
const classPath = (index: number) => `classes/${String(index + 1).padStart(4, '0')}.json`;
const CLASS_PATH = /^classes\/\d{4,5}\.json$/;

/** More than any studio fills; a file that unfolds to more than that is no archive of ours. */
export const MOST_ARCHIVE_BYTES = 100_000_000;
const MOST_FILE_BYTES = 40_000_000;
const MOST_UNFOLDED_BYTES = 400_000_000;

const deflate = promisify<AsyncZippable, Uint8Array>(zip);

/** A studio as one zip file; JSON to be read back, tables beside it for whoever opens it elsewhere. */
export async function packArchive(
  studio: string,
  content: StudioContent,
  madeAt: Date,
): Promise<Uint8Array> {
  const files = filesOf(content);
  const manifest: Manifest = {
    format: ARCHIVE_FORMAT,
    studio,
    madeAt: madeAt.toISOString(),
    files: Object.entries(files).map(([path, data]) => ({
      path,
      bytes: data.length,
      sha256: sha256(data),
    })),
  };
  return deflate({ [MANIFEST]: toJson(manifest), ...files });
}

const sha256 = (data: Uint8Array) => createHash('sha256').update(data).digest('hex');
const toJson = (value: unknown) => strToU8(`${JSON.stringify(value, null, 1)}\n`);

function filesOf(content: StudioContent): Record<string, Uint8Array> {
  const { settings, people, exercises, groups, keptPlans, classes } = content;
  return {
    'studio.json': toJson(settings),
    'people.json': toJson(people),
    'exercises.json': toJson(exercises),
    'groups.json': toJson(groups),
    'kept-plans.json': toJson(keptPlans),
    ...Object.fromEntries(classes.map((each, index) => [classPath(index), toJson(each)])),
    'people.csv': strToU8(
      writePeople(
        people.map(({ ref, since: _since, deskRef: _desk, ...person }) =>
          Person.parse({ ...person, id: ref }),
        ),
      ),
    ),
    'cupboard.csv': strToU8(writeCupboard(settings.cupboard)),
    ...(settings.machines ? { 'machines.csv': strToU8(writeMachines(settings.machines)) } : {}),
    'classes.csv': strToU8(writeClasses(content)),
  };
}

function writeClasses({ settings: { timeZone }, classes }: StudioContent): string {
  return writeTable(
    ['day', 'time', 'name', 'machine', 'minutes', 'coming', 'taught', 'called off'],
    classes.map(({ startsAt, title, plan, people, taughtPlan, calledOff }) => [
      dayIn(timeZone, startsAt),
      timeIn(timeZone, startsAt),
      title,
      plan.machine,
      String(Math.round(plan.targetS / 60)),
      String(people.length),
      taughtPlan ? 'yes' : 'no',
      calledOff ?? '',
    ]),
  );
}

/** What is wrong with an archive: in which file, where in it, and what. */
export interface ArchiveFault {
  file: string;
  path: (string | number)[];
  message: string;
}

export type Unpacked =
  | { manifest: Manifest; content: StudioContent; faults: [] }
  | { faults: [ArchiveFault, ...ArchiveFault[]] };

/** Every file of an archive held against the manifest and its schema; all faults are told, nothing is guessed. */
export async function unpackArchive(bytes: Uint8Array): Promise<Unpacked> {
  const faults: ArchiveFault[] = [];
  const fault = (file: string, message: string, path: ArchiveFault['path'] = []) =>
    faults.push({ file, path, message });
  const files = await unfold(bytes);
  if (!files) {
    return {
      faults: [{ file: '', path: [], message: 'is no zip file, or one that is too large' }],
    };
  }
  const read = <S extends z.ZodType>(file: string, schema: S): z.infer<S> | undefined => {
    const data = files[file];
    if (!data) {
      fault(file, 'is missing');
      return undefined;
    }
    const value = parse(data);
    if (value === undefined) {
      fault(file, 'is no JSON');
      return undefined;
    }
    const result = schema.safeParse(value);
    if (result.success) return result.data;
    for (const { path, message } of faultsOf(result.error, 5)) fault(file, message, path);
    return undefined;
  };
  const manifest = read(MANIFEST, Manifest);
  for (const { path, sha256: sum } of manifest?.files ?? []) {
    const data = files[path];
    if (!data) fault(path, 'is missing');
    else if (sha256(data) !== sum) fault(path, 'is not what was put in: it was changed or damaged');
  }
  if (!manifest || faults.length > 0) return { faults: told(faults) };
  const [settings, people, exercises, groups, keptPlans] = [
    read('studio.json', SettingsFile),
    read('people.json', PeopleFile),
    read('exercises.json', ExercisesFile),
    read('groups.json', GroupsFile),
    read('kept-plans.json', KeptPlansFile),
  ];
  const classes = manifest.files
    .filter(({ path }) => CLASS_PATH.test(path))
    .map(({ path }) => read(path, ClassFile));
  if (!settings || !people || !exercises || !groups || !keptPlans || !areAll(classes)) {
    return { faults: told(faults) };
  }
  const content = { settings, people, exercises, groups, keptPlans, classes };
  for (const [file, ref] of danglingRefs(content)) fault(file, `names ${ref}, who is not in it`);
  for (const [file, what] of twiceIn(content)) fault(file, `holds ${what} twice`);
  return faults.length > 0 ? { faults: told(faults) } : { manifest, content, faults: [] };
}

const areAll = <T>(values: readonly (T | undefined)[]): values is T[] =>
  values.every((value) => value !== undefined);

/** As many as anybody reads; there is at least one, or nobody asks. */
function told(faults: readonly ArchiveFault[]): [ArchiveFault, ...ArchiveFault[]] {
  const [first = { file: '', path: [], message: 'can’t be read' }, ...rest] = faults;
  return [first, ...rest.slice(0, 49)];
}

function parse(data: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(data));
  } catch {
    // What is no JSON is told as a fault of the file.
    return undefined;
  }
}

/** The files by path; undefined when these bytes are no zip file, or unfold to more than they may. */
async function unfold(bytes: Uint8Array): Promise<Unzipped | undefined> {
  if (bytes.length > MOST_ARCHIVE_BYTES) return undefined;
  let unfolded = 0;
  return new Promise((resolve) => {
    unzip(
      bytes,
      {
        filter: ({ originalSize }) => {
          unfolded += originalSize;
          return originalSize <= MOST_FILE_BYTES && unfolded <= MOST_UNFOLDED_BYTES;
        },
      },
      (error, files) => resolve(error || unfolded > MOST_UNFOLDED_BYTES ? undefined : files),
    );
  });
}

/** What there may be only one of, where there are two. */
function twiceIn({ people, exercises, groups, keptPlans, classes }: StudioContent) {
  const twice = (file: string, names: readonly string[]): [string, string][] =>
    [...new Set(names.filter((name, index) => names.indexOf(name) < index))].map((name) => [
      file,
      name,
    ]);
  return [
    ...twice(
      'people.json',
      people.map(({ ref }) => ref),
    ),
    ...twice(
      'kept-plans.json',
      keptPlans.map(({ ref }) => ref),
    ),
    ...twice(
      'exercises.json',
      exercises.map(({ slug, version }) => `${slug} ${version}`),
    ),
    ...groups.flatMap((group) => twice('groups.json', group.people)),
    ...classes.flatMap((each, index) => [
      ...twice(
        classPath(index),
        each.people.map(({ person }) => person),
      ),
      ...twice(
        classPath(index),
        each.events.map(({ id }) => id),
      ),
    ]),
  ];
}

function danglingRefs({ people, groups, keptPlans, classes }: StudioContent): [string, string][] {
  const known = new Set([...people, ...keptPlans].map(({ ref }) => ref));
  const missing = (refs: readonly (string | null)[]) =>
    refs.filter((ref): ref is string => ref !== null && !known.has(ref));
  return [
    ...groups.flatMap((group) =>
      missing(group.people).map((ref): [string, string] => ['groups.json', ref]),
    ),
    ...classes.flatMap((each, index) =>
      missing([each.keptPlan, ...each.people.map(({ person }) => person)]).map(
        (ref): [string, string] => [classPath(index), ref],
      ),
    ),
  ];
}
