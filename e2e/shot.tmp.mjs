import { chromium } from 'playwright-core';
const b=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell'});
for (const [w,h,n] of [[1280,800,'l'],[390,844,'p']]) {
const c=await b.newContext({viewport:{width:w,height:h}}); const p=await c.newPage();
p.on('console',m=>{if(m.type()==='error')console.log('console',m.text())});
await p.clock.install();
await p.goto('http://localhost:4600/demo'); await p.getByRole('button',{name:/Come in as Rowan/}).click();
await p.waitForTimeout(1500); await p.clock.runFor(3000);await p.waitForTimeout(1500);
const link=p.getByRole('link',{name:/Plan|Small ball evening/}).first(); const href=await link.getAttribute('href');
await p.goto('http://localhost:4600'+href.replace(/plan$/,'teach')); await p.waitForTimeout(1500); await p.clock.runFor(2000);
console.log(p.url());
await p.getByRole('button',{name:/Begin|Start/}).first().click(); await p.clock.runFor(1000); await p.waitForTimeout(800);
const again=p.getByRole('button',{name:/Begin|Start|all the same|anyway/i}); if(await again.count()) {console.log(await again.allTextContents()); await again.first().click(); await p.clock.runFor(1000);} await p.clock.runFor(120000);
await p.getByRole('button',{name:/^Next/}).last().click(); await p.clock.runFor(2000); await p.waitForTimeout(1500);
await p.screenshot({path:`/tmp/scr/teach-${n}1.png`});
if(n==='p'){await p.getByRole('button',{name:'Shorten'}).click();await p.clock.runFor(500);await p.screenshot({path:'/tmp/scr/teach-p3.png'});} const offers=p.getByRole('button',{name:/saves/}); console.log(await offers.allTextContents());
if(await offers.count()){ if(n==='p'){} await offers.first().click(); await p.clock.runFor(1500); await p.waitForTimeout(1500); await p.screenshot({path:`/tmp/scr/teach-${n}2.png`}); }
await c.close(); }
await b.close();
