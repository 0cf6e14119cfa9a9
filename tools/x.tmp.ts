import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { builtInExercises } from '@wrenfern/library';
import { optionLoadOf } from '@wrenfern/core/body/load/option-load';
import { optionSkillOf } from '@wrenfern/core/body/load/option-skill';
import { levelOf } from '@wrenfern/core/body/load/option-level';
const tiers = parse(readFileSync('library/teacher-ranking.yaml', 'utf8')) as string[][];
const by = new Map(builtInExercises.map((e) => [e.slug, e]));
function ranks(v: number[]) {
  const o = v.map((x, i) => [x, i] as const).sort((a, b) => a[0] - b[0]);
  const r = new Array(v.length).fill(0);
  let i = 0;
  while (i < o.length) {
    let j = i;
    while (j + 1 < o.length && o[j + 1]![0] === o[i]![0]) j++;
    for (let k = i; k <= j; k++) r[o[k]![1]] = (i + j) / 2;
    i = j + 1;
  }
  return r;
}
export function spearman(a: number[], b: number[]) {
  const x = ranks(a),
    y = ranks(b);
  const m = (v: number[]) => v.reduce((s, q) => s + q, 0) / v.length;
  const mx = m(x),
    my = m(y);
  let n = 0,
    dx = 0,
    dy = 0;
  x.forEach((q, i) => {
    n += (q - mx) * (y[i]! - my);
    dx += (q - mx) ** 2;
    dy += (y[i]! - my) ** 2;
  });
  return n / Math.sqrt(dx * dy);
}
const rows = tiers.flatMap((t, i) =>
  t.map((k) => {
    const [s, n] = k.split(' ');
    const e = by.get(s!)!;
    const o = e.options[+n! - 1]!;
    return {
      k,
      tier: i + 1,
      family: e.machine === 'reformer' ? 'reformer' : e.family,
      load: optionLoadOf(o).score,
      skill: optionSkillOf(e, o).score,
      level: levelOf(e, o).score,
      e,
      o,
    };
  }),
);
const T = rows.map((r) => r.tier);
for (const w of ['load', 'skill', 'level'] as const) {
  console.log(
    w,
    spearman(
      T,
      rows.map((r) => r[w]),
    ).toFixed(3),
    [...new Set(rows.map((r) => r.family))]
      .map((f) => {
        const q = rows.filter((r) => r.family === f);
        return (
          f +
          ' ' +
          q.length +
          ' ' +
          spearman(
            q.map((r) => r.tier),
            q.map((r) => r[w]),
          ).toFixed(2)
        );
      })
      .join('  '),
  );
}
for (let t = 1; t <= 12; t++) {
  const q = rows.filter((r) => r.tier === t);
  const m = (w: 'load' | 'skill' | 'level') => {
    const v = q.map((r) => r[w]).sort((a, b) => a - b);
    return `${v[0]}-${v[v.length >> 1]}-${v[v.length - 1]}`;
  };
  console.log(t, 'load', m('load'), 'skill', m('skill'), 'level', m('level'));
}
const w = (process.argv[2] ?? 'level') as 'load';
const rl = ranks(rows.map((r) => r[w])),
  rt = ranks(T);
rows
  .map((r, i) => ({ ...r, d: rl[i] - rt[i] }))
  .sort((a, b) => Math.abs(b.d) - Math.abs(a.d))
  .slice(0, 22)
  .forEach((r) =>
    console.log(
      r.k,
      r.tier,
      'load',
      r.load,
      'skill',
      r.skill,
      'level',
      r.level,
      Math.round(r.d),
      optionLoadOf(r.o)
        .parts.map((p) => p.name + ' ' + p.points)
        .join(', '),
    ),
  );
const all = builtInExercises
  .flatMap((e) => e.options.map((o) => optionLoadOf(o).score))
  .sort((a, b) => a - b);
console.log([0, 0.1, 0.25, 0.5, 0.75, 0.9, 1].map((q) => all[Math.floor(q * (all.length - 1))]));
let down = 0,
  steps = 0;
for (const e of builtInExercises)
  if (e.optionsAre === 'steps')
    e.options.slice(1).forEach((o, i) => {
      steps++;
      if (optionLoadOf(o).score < optionLoadOf(e.options[i]!).score - 1) {
        down++;
      }
    });
console.log('down', down, 'of', steps);
