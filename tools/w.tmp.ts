import { builtInCatalogue } from '@wrenfern/library';
import { bodiesOf, mirroredBodiesOf } from '@wrenfern/core/body/option-body';
import { weigh } from '@wrenfern/core/body/statics';
const o=builtInCatalogue.require('chest-opener-wall').options; for(const q of o){ for (const b of [bodiesOf(q)[0]!,mirroredBodiesOf(q)[0]!]) {const s=weigh(b); console.log(b.pose.wall,b.pose.face,b.pose.turn,'centre',s.centre.map(v=>+v.toFixed(3)),'hands',b.left.hand.map(v=>+v.toFixed(3)),b.right.hand.map(v=>+v.toFixed(3)),s.supports.map(x=>x.part+x.side+x.share.toFixed(3)+x.on).join(' '),s.moments);} }
