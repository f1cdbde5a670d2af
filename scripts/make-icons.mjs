// Draws the icons of the installed application from assets/icon.svg; the results are committed.
// Runs only when the drawing changes: npm run icons
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { root } from './lib.mjs';
import { wholeChromiumPath } from './chromium.mjs';

/** Scale of the drawing: a mask may cut a fifth away, so a maskable icon is smaller. */
const ICONS = [
  { file: 'public/icons/icon-192.png', size: 192, scale: 1.25 },
  { file: 'public/icons/icon-512.png', size: 512, scale: 1.25 },
  { file: 'public/icons/icon-maskable-512.png', size: 512, scale: 1 },
  { file: 'public/icons/touch-180.png', size: 180, scale: 1.15 },
];

const svg = await readFile(path.join(root, 'assets/icon.svg'), 'utf8');
const browser = await chromium.launch({
  executablePath: wholeChromiumPath(),
  args: ['--no-sandbox'],
});
for (const { file, size, scale } of ICONS) {
  const page = await browser.newPage({ viewport: { width: size, height: size } });
  await page.setContent(
    `<style>body{margin:0;overflow:hidden;background:#F4F1EA}svg{display:block;width:100vw;height:100vh;transform:scale(${scale})}</style>${svg}`,
  );
  await page.screenshot({ path: path.join(root, file) });
  await page.close();
}
await browser.close();
