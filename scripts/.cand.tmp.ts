import { demoShop } from '../src/core/demo/demoShop.ts';
import { candidatesFor } from '../src/core/plan/candidatesFor.ts';
import { checks } from '../src/core/plan/checks.ts';
import { planOf } from '../src/core/plan/planOf.ts';
import { runChecks } from '../src/core/plan/run.ts';
const demo = demoShop('2026-11-25T09:00:00.000Z');
const many = (seat:string)=>{ const kind=seat.replace(/\d/g,''); const like=demo.parts.filter(p=>p.kind===kind);
 return {...demo, parts:[...demo.parts,...Array.from({length:400-like.length},(_,i)=>({...like[i%like.length]!, id:`X${i}`, place:'shelf' as const, name:`x ${i}`, facts:{...like[i%like.length]!.facts}}))]};};
for (const seat of ['supply','memory1','card1','cooler']) for (const id of ['14','5','19']) {
 const shop = many(seat); const job=shop.jobs.find(j=>j.id===id)!;
 candidatesFor(shop,job,seat);
 const s2={...shop}; const t=performance.now(); const c=candidatesFor(s2,job,seat); console.log(seat,id,c.length,(performance.now()-t).toFixed(0));
}
const acc=new Map<string,number>();
for (let r=0;r<30;r++) for (const id of ['14','5','19']) { const job=demo.jobs.find(j=>j.id===id)!; const plan=planOf({...demo},{...job});
 checks.forEach((c,i)=>{const t=performance.now(); c(plan); const k=`${i} ${c.name}`; acc.set(k,(acc.get(k)??0)+performance.now()-t);}); }
console.log([...acc].sort((a,b)=>b[1]-a[1]).slice(0,14).map(([k,v])=>`${k} ${(v/90).toFixed(3)}`).join('\n'));
