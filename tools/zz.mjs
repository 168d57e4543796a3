import { benchStore } from './bench-store.mjs';
const p=(...a)=>console.log(a.join(' | '));
await benchStore({ note:p, atMost:p, round: (v,d=0)=>Number(v.toFixed(d)) }); process.exit(0);
