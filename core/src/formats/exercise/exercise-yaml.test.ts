import { describe, expect, it } from 'vitest';
import { makeExercise } from '../../testing/make-exercise.ts';
import { readExerciseFile, writeExerciseFile } from './exercise-yaml.ts';

const CURL = `format: wrenfern-exercise/2
slug: curl
name: Curl
machine: mat
family: trunk
position: supine
purpose: Lifts head and chest.
dose: { kind: repetitions, count: 8 }
usual: { least: 4, most: 12 }
tempo: lift-trunk
breath:
  phases:
    - out: lift
    - in: lower
  natural: Out with the lift.
teaches: { ribs: met, neck: kept under load }
standard: 1
options:
  - name: Feet down
    change: the legs rest
    feel: The breastbone slides.
    stepBack: Head down.
    levers: [support]
    poses: [supine-bent, lifted]
  - name: One leg up
    change: a leg is carried
    feel: Both hips heavy.
    stepBack: Feet down.
    levers: [limbs-moving]
    demands: [neck-curl]
    poses: [lifted, one-up]
cues: [Slide., Stay low.]
faults:
  - { fault: Chin up, remedy: Look at the knees. }
  - { fault: Pulls, remedy: Soft hands. }
swaps: [dart]
moves: [round]
spineLoad: 1
bodyParts: [trunk-front]
movers: [straight belly muscle]
poses:
  lifted:
    from: supine-bent
    name: head and chest lifted
    round: [0, 10, 20, 20]
  one-up:
    from: lifted
    name: one leg up
    rightLeg: { foot: null, at: null, flex: 90, bend: 90 }
`;

const faultsOf = (text: string) => {
  const file = readExerciseFile(text);
  return 'faults' in file ? file.faults : [];
};
const exerciseOf = (text: string) => {
  const file = readExerciseFile(text);
  if ('faults' in file) throw new Error(JSON.stringify(file.faults));
  return file.exercise;
};

describe('an exercise file', () => {
  it('reads depths, breath and options in words', () => {
    const curl = exerciseOf(CURL);
    expect(curl.teaches).toEqual([
      { foundation: 'ribs', depth: 1 },
      { foundation: 'neck', depth: 3 },
    ]);
    expect(curl.breath.phases[1]).toEqual({ on: 'in', doing: 'lower' });
    expect(curl.options.map(({ number, demands }) => [number, demands])).toEqual([
      [1, []],
      [2, ['neck-curl']],
    ]);
    expect(curl.needs).toEqual([]);
    expect(curl.view).toBe('side');
  });

  it('says where a field stands', () => {
    const file = readExerciseFile(CURL);
    if ('faults' in file) throw new Error('it reads');
    expect(file.lineOf(['slug'])).toBe(2);
    expect(file.lineOf(['swaps', 0])).toBe(CURL.split('\n').indexOf('swaps: [dart]') + 1);
  });

  it.each([
    ['kept under load', 'known by heart', 'teaches.neck', 'teaches:'],
    ['feel: The breastbone slides.', 'feel: ""', 'options.0.feel', 'feel: ""'],
    ['levers: [support]', 'levers: [shoving]', 'options.0.levers.0', 'shoving'],
    ['tempo: lift-trunk', 'tempo: lift-trunk\ncolour: green', 'colour', 'green'],
    ['standard: 1', 'standard: 3', 'standard', 'standard:'],
    ['usual: { least: 4', 'usual: { least: 40', 'usual.least', 'usual:'],
    ['poses: [lifted, one-up]', 'poses: [lifted, gone]', 'options.1.poses.1', 'gone'],
    ['from: supine-bent', 'from: nowhere', 'poses.lifted.from', 'nowhere'],
    ['from: supine-bent', 'from: one-up', 'poses.lifted.from', 'from: one-up'],
    ['round: [0, 10', 'round: [0, ten', 'poses.lifted.round.1', 'ten'],
    ['  one-up:\n', '  plank:\n', 'poses.plank', '  plank:'],
    ['natural: Out with the lift.', '', 'breath.natural', 'breath:'],
  ])('that says for "%s" "%s" is refused at %s, on its line', (right, wrong, path, words) => {
    const text = CURL.replace(right, wrong);
    const line = text.split('\n').findIndex((each) => each.includes(words)) + 1;
    expect(faultsOf(text)).toContainEqual(expect.objectContaining({ path, line }));
  });

  it('refuses what no option uses', () => {
    const [fault] = faultsOf(`${CURL}  spare:\n    from: lifted\n    name: spare\n`);
    expect(fault).toMatchObject({ path: 'poses.spare', reason: 'no option uses "spare"' });
  });

  it('that is no YAML is refused with its line', () => {
    const [fault] = faultsOf('format: wrenfern-exercise/2\nname: [open\n');
    expect(fault?.line).toBeGreaterThan(1);
    expect(fault?.reason).toContain('Flow sequence');
  });

  it.each(['', 'null', '[]', 'format: other/1', '{"format": "wrenfern-exercise/1"}'])(
    'that is something else is refused: %s',
    (text) => {
      expect(faultsOf(text)).not.toEqual([]);
    },
  );

  it('that would fill the memory is refused', () => {
    const levels = Array.from(
      { length: 9 },
      (_, level) => `l${level + 1}: &l${level + 1} [${`*l${level}, `.repeat(9)}]`,
    );
    expect(faultsOf(`l0: &l0 [x]\n${levels.join('\n')}\n`)).not.toEqual([]);
    expect(faultsOf('x'.repeat(300_000))[0]?.reason).toContain('longer');
  });

  it('of the first form is read as it was', () => {
    const old = makeExercise('old');
    const text = JSON.stringify({ format: 'wrenfern-exercise/1', exercise: old });
    expect(exerciseOf(text)).toEqual(old);
  });

  it('of the first form names the field that is wrong', () => {
    const exercise = { ...makeExercise('old'), cues: [] };
    const [fault] = faultsOf(JSON.stringify({ format: 'wrenfern-exercise/1', exercise }, null, 1));
    expect(fault).toMatchObject({ path: 'exercise.cues' });
    expect(fault?.line).toBeGreaterThan(1);
  });

  it('comes back as it went', () => {
    const curl = exerciseOf(CURL);
    expect(exerciseOf(writeExerciseFile(curl))).toEqual(curl);
  });

  it('carries a hint for editors where one is wanted', () => {
    const curl = exerciseOf(CURL);
    expect(writeExerciseFile(curl, 'a.json').split('\n')[0]).toBe(
      '# yaml-language-server: $schema=a.json',
    );
    expect(writeExerciseFile(curl)).toMatch(/^format:/);
  });
});

describe('settings of the machine', () => {
  const onMachine = CURL.replace('machine: mat', 'machine: reformer')
    .replace('standard: 1', 'standard: 1\nsettings: { bar: low, springs: { heavy: 1 } }')
    .replace('demands: [neck-curl]', 'settings: { springs: { light: 2 } }');

  it('stand on the exercise; an option has only its difference', () => {
    expect(exerciseOf(onMachine).options.map(({ settings }) => settings)).toEqual([
      { bar: 'low', springs: { heavy: 1 } },
      { bar: 'low', springs: { light: 2 } },
    ]);
  });

  it('are written as they were read', () => {
    const exercise = exerciseOf(onMachine);
    const text = writeExerciseFile(exercise);
    expect(text.match(/bar: low/g)).toHaveLength(1);
    expect(exerciseOf(text)).toEqual(exercise);
  });

  it('that only some options have stay with these', () => {
    const mixed = makeExercise('mixed', {
      machine: 'reformer',
      options: [{ settings: { bar: 'low' } }, {}],
    });
    expect(exerciseOf(writeExerciseFile(mixed))).toEqual(mixed);
  });
});
