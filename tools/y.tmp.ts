import { readFileSync, writeFileSync } from 'node:fs';
import { parse } from 'yaml';
import { builtInExercises } from '@wrenfern/library';
import { optionLoadOf } from '@wrenfern/core/body/load/option-load';
import { measuresOf } from '@wrenfern/core/body/measures/measures-of';
import { bodiesOf } from '@wrenfern/core/body/option-body';
import { weigh } from '@wrenfern/core/body/statics';
import { springForceN } from '@wrenfern/core/body/springs';
const tiers = parse(readFileSync('library/teacher-ranking.yaml', 'utf8')) as string[][];
const tier = new Map<string, number>();
tiers.forEach((t, i) => t.forEach((k) => tier.set(k, i + 1)));
const out: any[] = [];
for (const e of builtInExercises)
  for (const o of e.options) {
    const m = measuresOf(o);
    const bodies = bodiesOf(o);
    const st = bodies.map((b) => weigh(b, o.settings));
    const r: any = {
      key: e.slug + ' ' + o.number,
      tier: tier.get(e.slug + ' ' + o.number) ?? null,
      machine: e.machine,
      family: e.family,
      position: o.position ?? e.position,
      tempo: e.tempo,
      n: o.number,
      std: e.standard,
      count: e.options.length,
      needs: e.needs,
      teaches: e.teaches,
      dose: o.dose ?? e.dose,
      usual: e.usual,
      demands: o.demands,
      levers: o.levers,
      poses: bodies.length,
      spring: springForceN(o.settings),
      more: o.settings?.moreSpring ?? null,
      old: optionLoadOf(o).score,
      oldparts: optionLoadOf(o).parts.map((p) => [p.name, p.points]),
      moves: o.moves ?? e.moves,
      breath: e.breath.phases.length,
    };
    r.whole = Object.fromEntries(Object.entries(m.whole).map(([k, v]) => [k, v!.peak]));
    for (const s of ['right', 'left'] as const)
      r[s] = Object.fromEntries(Object.entries(m.sides[s]).map(([k, v]) => [k, v!.peak]));
    r.st = st.map((s) => ({
      ...s.moments,
      front: s.byFront,
      c: s.centre[1],
      hands: s.onHands,
      elbows: s.onElbows,
      bal: s.balanced,
      sup: s.supports.map((x) => [x.part, x.side, x.share, x.on]),
    }));
    r.round = bodies.map((b) => b.pose.round);
    r.lean = bodies.map((b) => b.pose.lean);
    r.rest = bodies.map((b) => b.pose.rest);
    out.push(r);
  }
writeFileSync('/tmp/feat.json', JSON.stringify(out));
console.log(out.length);
