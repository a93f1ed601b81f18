import { chromium } from 'playwright-core';
import sharp from 'sharp';
const [,, out, ...files] = process.argv;
const W=+(process.env.W||1280), H=+(process.env.H||800);
const b = await chromium.launch({executablePath:'/usr/bin/chromium', args:['--no-sandbox']});
const p = await b.newPage({viewport:{width:W,height:H}});
const bufs=[]; for (const f of files){ await p.goto(f.startsWith('http')?f:'file://'+f); bufs.push(await p.screenshot()); }
await b.close();
await sharp({create:{width:W*files.length,height:H,channels:3,background:'#fff'}}).composite(bufs.map((input,i)=>({input,left:i*W,top:0}))).png().toFile(out);
