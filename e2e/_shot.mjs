import { chromium } from 'playwright-core';
const [,, ...want] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell' });
const base='http://127.0.0.1:4795';
const jobs = await (await fetch(base+'/api/jobs')).json();
for (const w of want) { const [title, path, out, size='1280x800', theme] = w.split('|'); const job = jobs.find(j=>j.title.includes(title)); const [width,height]=size.split('x').map(Number);
 const p = await b.newPage({viewport:{width,height}, colorScheme: theme==='dark'?'dark':'light'}); if(theme==='dark') await p.addInitScript(()=>localStorage.setItem('theme','dark')); await p.goto(base+(job?`/jobs/${job.id}/${path}`:path)); await p.waitForTimeout(2500); await p.screenshot({path:`/tmp/${out}.png`}); await p.close(); }
console.log(jobs.map(j=>j.title+' | '+j.about).join('\n')); await b.close();
