import { agreement, rankedOptions, type Ranked } from '@wrenfern/library/ranking';

/** How far load, skill and level agree with a teacher's ranking: rank correlation, in all and by family. */
const ranked = rankedOptions();
const families = [...new Set(ranked.map(({ family }) => family))].sort();

function line(name: string, own: readonly Ranked[]): string {
  const told = (['load', 'skill', 'level'] as const).map((by) => agreement(own, by).toFixed(2));
  return [
    name.padEnd(12),
    String(own.length).padStart(7),
    ...told.map((each) => each.padStart(7)),
  ].join(' ');
}

console.log(['family'.padEnd(12), 'options', '   load', '  skill', '  level'].join(' '));
console.log(line('all', ranked));
for (const family of families) {
  console.log(
    line(
      family,
      ranked.filter((each) => each.family === family),
    ),
  );
}

/** Where they differ most, in twelfths of the whole ranking. */
const byLevel = [...ranked].sort((a, b) => a.level - b.level);
const apart = ranked
  .map((each) => ({ each, steps: ((byLevel.indexOf(each) + 1) / ranked.length) * 12 - each.step }))
  .sort((a, b) => Math.abs(b.steps) - Math.abs(a.steps));
console.log('\nfarthest apart: the teacher’s step, the model’s level');
for (const { each } of apart.slice(0, 12)) {
  console.log(
    `${each.name.padEnd(30)} ${String(each.step).padStart(2)} ${String(each.level).padStart(4)}`,
  );
}
