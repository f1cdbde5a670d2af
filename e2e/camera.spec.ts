import { mkdirSync, writeFileSync } from 'node:fs';

import { create } from 'qrcode';

import { CHROMIUM, CHROMIUM_ARGS } from '../playwright.config';
import { demoJob } from '../src/demo/jobs';
import { writePackCode } from '../src/files/packCode';

import { expect, ON_PHONE, test } from './bench';

/* The browser's camera is a film that shows the code of a pack. */

/** A code as a film of one picture, for the camera that the browser is given: YUV4MPEG2, grey. */
function filmOf(bytes: Uint8Array): Buffer {
  const [width, height] = [640, 480];
  const { modules } = create([{ data: bytes, mode: 'byte' }], { errorCorrectionLevel: 'M' });
  const unit = Math.floor(height / (modules.size + 8));
  const left = Math.floor((width - unit * modules.size) / 2);
  const top = Math.floor((height - unit * modules.size) / 2);
  const grey = Buffer.alloc(width * height, 235);
  for (let y = 0; y < unit * modules.size; y++)
    for (let x = 0; x < unit * modules.size; x++)
      if (modules.get(Math.floor(y / unit), Math.floor(x / unit)))
        grey[(top + y) * width + left + x] = 16;
  const colour = Buffer.alloc((width * height) / 2, 128);
  return Buffer.concat([
    Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420jpeg\nFRAME\n`),
    grey,
    colour,
  ]);
}

const FILM = '.cache/code.y4m';
mkdirSync('.cache', { recursive: true });
writeFileSync(FILM, filmOf(writePackCode(demoJob('UR-0104'))));

test.use({
  permissions: ['camera'],
  launchOptions: {
    executablePath: CHROMIUM,
    args: [
      ...CHROMIUM_ARGS,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${FILM}`,
    ],
  },
});

test('the code of a pack is read by the camera', ON_PHONE, async ({ workshop }) => {
  const { page } = workshop;
  await workshop.open('/code');
  await page.getByRole('button', { name: 'Use camera' }).click();
  await expect(page.getByRole('status', { name: 'Content of the code' })).toContainText(
    'Coppice 500',
  );
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Use camera' })).toBeVisible();
});
