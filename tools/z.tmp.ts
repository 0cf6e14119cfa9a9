import { builtInExercises } from '@wrenfern/library';
import { bodiesOf } from '@wrenfern/core/body/option-body';
import { weigh } from '@wrenfern/core/body/statics';
import { contactsOf } from '@wrenfern/core/body/contacts';
const only = process.argv.slice(2);
for (const e of builtInExercises)
  for (const o of e.options) {
    if (only.length && !only.includes(e.slug)) continue;
    bodiesOf(o).forEach((b, i) => {
      const s = weigh(b, o.settings);
      if (s.balanced && !only.length) return;
      const c = contactsOf(b);
      const xs = c.filter((q) => q.on !== 'body').map((q) => q.at[0] * 170),
        zs = c.filter((q) => q.on !== 'body').map((q) => q.at[2] * 170);
      const carried = s.supports.filter((q) => q.on !== 'body').reduce((a, q) => a + q.share, 0);
      const r = (v: number) => Math.round(v);
      const tipx = s.pulls.reduce((a, p) => a + p.force[0] * p.at[1], 0),
        tipz = s.pulls.reduce((a, p) => a + p.force[2] * p.at[1], 0);
      const up = s.pulls.reduce((a, p) => a + p.force[1], 0);
      console.log(
        `${e.slug} ${o.number}.${i + 1} ${s.balanced ? 'ok' : 'UNB'} held=${o.held ? 1 : 0} centre ${r(s.centre[0] * 170)},${r(s.centre[2] * 170)} h${r(s.centre[1] * 170)} x ${r(Math.min(...xs))}..${r(Math.max(...xs))} z ${r(Math.min(...zs))}..${r(Math.max(...zs))} carried ${carried.toFixed(2)} up ${up.toFixed(2)} tip ${r(tipx * 170)},${r(tipz * 170)} :: ${c.map((q) => q.part + (q.side?.[0] ?? '') + (q.on === 'body' ? '*' : '')).join(' ')}`,
      );
    });
  }
