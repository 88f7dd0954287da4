import { chromium } from 'playwright-core'; import axe from 'axe-core';
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']});
const c=await b.newContext({viewport:{width:1280,height:800}}); const p = await c.newPage();
await p.goto('http://127.0.0.1:4173/'); await p.waitForSelector('#stage h1'); await p.waitForTimeout(500); await p.getByLabel('Light').selectOption('dark'); await p.waitForTimeout(300);
await p.goto('http://127.0.0.1:4173/job/14/take-in'); await p.waitForSelector('.strands');
await p.evaluate(axe.source); console.log(JSON.stringify(await p.evaluate(async()=>(await axe.run()).violations.map(v=>[v.id,v.nodes.map(n=>[n.html,n.failureSummary])])),null,1)); await b.close();
