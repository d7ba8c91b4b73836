import pw from '/work/main/node_modules/@playwright/test/index.js';
const { chromium } = pw;
const [path, name, w = '1280', h = '800', action = ''] = process.argv.slice(2);
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-quic'],
});
const p = await b.newPage({ viewport: { width: +w, height: +h }, deviceScaleFactor: 1 });
await p.goto('http://127.0.0.1:3420' + path, { waitUntil: 'networkidle' });
if (action) {
  await new Function('p', 'return (async()=>{' + action + '})()')(p);
  await p.waitForTimeout(500);
}
await p.screenshot({ path: `/tmp/shots/${name}.png` });
await b.close();
