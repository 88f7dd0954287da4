import { demoShop } from '../src/core/demo/demoShop.ts';
import { candidatesFor } from '../src/core/plan/candidatesFor.ts';
const demo = demoShop('2026-11-25T09:00:00.000Z');
const [id,seat] = [process.argv[2]!,process.argv[3]!];
const kind=seat.replace(/\d/g,''); const like=demo.parts.filter(p=>p.kind===kind);
const shop={...demo, parts:[...demo.parts,...Array.from({length:400-like.length},(_,i)=>({...like[i%like.length]!, id:`X${i}`, place:'shelf' as const, name:`x ${i}`, facts:{...like[i%like.length]!.facts}}))]};
const job=shop.jobs.find(j=>j.id===id)!;
for (let i=0;i<6;i++) candidatesFor({...shop},job,seat);
