// Draws the two pictures of the demo, as a bench camera would have taken them, into demo/photos/. They are invented, like
// all of the demo; their ids are fixed, since demo/jobs.json names them. The result is committed.
import { chromium } from '@playwright/test';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromiumPath } from './chromium.mjs';
import { root } from './fresh-work.mjs';

const argumentsOf = JSON.parse(
  readFileSync(new URL('../e2e/chromium-arguments.json', import.meta.url), 'utf8'),
);
const font = readFileSync(
  join(
    root,
    'node_modules/@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-wght-normal.woff2',
  ),
).toString('base64');

const clock = (place, count, radius, x, y) => {
  const angle = (place / count) * 2 * Math.PI - Math.PI / 2;
  return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
};
const lug = (place, count, x, y, radius) => {
  const [ax, ay] = clock(place, count, radius, x, y);
  const turn = (place / count) * 360;
  return `<g transform="translate(${ax} ${ay}) rotate(${turn})">
    <rect x="-24" y="-46" width="48" height="92" rx="8" fill="#cfc8b4" stroke="#7d765f" stroke-width="4"/>
    <circle cx="0" cy="-18" r="12" fill="#4a4536"/><rect x="-18" y="20" width="36" height="20" fill="#a39c86"/></g>`;
};

/** The wafer of the table radio from behind, its marking pressed into the rim. */
const wafer = `
  <circle cx="800" cy="600" r="470" fill="#8a6236" stroke="#54391c" stroke-width="10"/>
  <circle cx="800" cy="600" r="300" fill="#9b7142" stroke="#6a4824" stroke-width="6"/>
  <circle cx="800" cy="600" r="92" fill="#b9b6ab" stroke="#5f5d55" stroke-width="8"/>
  <rect x="770" y="540" width="60" height="120" fill="#8f8c82"/>
  ${Array.from({ length: 12 }, (_, place) => lug(place, 12, 800, 600, 400)).join('')}
  <text x="800" y="770" font-size="27" fill="#6d4a26" text-anchor="middle" letter-spacing="2">2(1)A 250V~ T85</text>
  <text x="800" y="806" font-size="22" fill="#6f4c28" text-anchor="middle" letter-spacing="3">1E4</text>`;

/** The kiln's selector, lying on its side: a moulded body with its rating sunk into it. */
const selector = `
  <rect x="420" y="330" width="760" height="520" rx="26" fill="#2c2b2a" stroke="#161514" stroke-width="10"/>
  <rect x="470" y="380" width="660" height="250" rx="12" fill="#333231"/>
  <circle cx="800" cy="205" r="64" fill="#b7b3a6" stroke="#65625a" stroke-width="8"/>
  <rect x="778" y="150" width="44" height="190" fill="#a8a498" stroke="#65625a" stroke-width="6"/>
  ${[0, 1, 2, 3, 4]
    .map(
      (place) =>
        `<rect x="${480 + place * 150}" y="850" width="60" height="150" rx="6" fill="#d2ccba" stroke="#7d7864" stroke-width="5"/>`,
    )
    .join('')}
  <text x="800" y="480" font-size="40" fill="#454340" text-anchor="middle" letter-spacing="3">16(4)A 250V~</text>
  <text x="800" y="545" font-size="36" fill="#454340" text-anchor="middle" letter-spacing="3">T150 1E4 IP20</text>
  <path d="M950 440l70 90" stroke="#3b3937" stroke-width="16"/>`;

const photo = (content, bench) => `<!doctype html><style>
  @font-face { font-family: Stamp; src: url(data:font/woff2;base64,${font}); }
  body { margin: 0; } text { font-family: Stamp; font-weight: 700; }</style>
  <svg width="1600" height="1200" viewBox="0 0 1600 1200">
  <defs>
    <radialGradient id="light" cx="0.35" cy="0.25" r="1"><stop offset="0" stop-color="#fff" stop-opacity="0.28"/><stop offset="0.6" stop-color="#000" stop-opacity="0.05"/><stop offset="1" stop-color="#000" stop-opacity="0.45"/></radialGradient>
    <filter id="grain"><feTurbulence type="fractalNoise" baseFrequency="0.9" numOctaves="2" seed="7"/><feColorMatrix values="0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0 0.5  0 0 0 0.22 0"/></filter>
    <filter id="soft"><feGaussianBlur stdDeviation="1.1"/></filter>
  </defs>
  <rect width="1600" height="1200" fill="${bench}"/>
  <g filter="url(#soft)" transform="rotate(-3 800 600)">${content}</g>
  <rect width="1600" height="1200" filter="url(#grain)"/>
  <rect width="1600" height="1200" fill="url(#light)"/></svg>`;

const folder = join(root, 'demo', 'photos');
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: chromiumPath() ?? undefined,
  args: argumentsOf,
});
const page = await browser.newPage({ viewport: { width: 1600, height: 1200 } });
for (const [id, content, bench] of [
  ['a0000000-0000-4000-8000-000000000001', wafer, '#5d6a66'],
  ['a0000000-0000-4000-8000-000000000002', selector, '#8b8573'],
]) {
  await page.setContent(photo(content, bench));
  await page.evaluate(() => document.fonts.ready);
  await page.screenshot({ path: join(folder, `${id}.jpg`), type: 'jpeg', quality: 72 });
}
await browser.close();
