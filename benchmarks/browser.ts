/** From file to numbers in the browser: a 12-megapixel photograph against the browser's own decoding of it, and what the main thread felt. Part of `npm run bench`. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { buildSync } from 'esbuild';
import express from 'express';
import { CHROMIUM } from '../tools/browser';
import { writePhoto } from '../tools/write-photo';
import type * as Client from '../src/workers/client';

const ROOT = join(__dirname, '..');
const ROUNDS = 5;
const WORK_MS = 400;
const DECODES = 3;
const BLOCKED_MS = 50;

interface Timed {
  decode: number[];
  whole: number[];
  longest: number;
  bodyMm: number | null;
}

/** Runs in the page, where it may use nothing from outside itself. */
async function timed(rounds: number): Promise<Timed> {
  const file = await (await fetch('/photo.jpg')).blob();
  let longest = 0;
  new PerformanceObserver((list) =>
    list.getEntries().forEach((entry) => (longest = Math.max(longest, entry.duration))),
  ).observe({ entryTypes: ['longtask'] });
  const { prepare, run } = (globalThis as unknown as { client: typeof Client }).client;
  // As on the screen: the worker is made ready when the photograph is shown, and the tier takes a breath.
  prepare('photo');
  await new Promise((go) => setTimeout(go, 2500));
  const [decode, whole]: [number[], number[]] = [[], []];
  let bodyMm: number | null = null;
  for (let round = 0; round < rounds; round++) {
    let from = performance.now();
    (await createImageBitmap(file)).close();
    decode.push(performance.now() - from);
    from = performance.now();
    bodyMm =
      (await run('photo', { file, asked: { view: 'belly', surface: 'dry', printedScale: 1 } })).measure.insects[0]
        ?.bodyMm ?? null;
    whole.push(performance.now() - from);
  }
  return { decode, whole, longest, bodyMm };
}

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

async function main(): Promise<void> {
  execFileSync(process.execPath, ['--import', 'tsx', join(ROOT, 'tools/build-worker.ts')], { cwd: ROOT });
  const photo = join(mkdtempSync(join(tmpdir(), 'aubade-bench-')), 'photo.jpg');
  await writePhoto(photo, { width: 4000, height: 3000 });
  const [client] = buildSync({
    entryPoints: [join(ROOT, 'src/workers/client.ts')],
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'client',
    tsconfig: join(ROOT, 'tsconfig.json'),
  }).outputFiles;
  const app = express();
  app.get(
    '/',
    (_, response) =>
      void response.type('html').send('<!doctype html><title>bench</title><script src="/client.js"></script>'),
  );
  app.get('/client.js', (_, response) => void response.type('js').send(client!.text));
  app.get('/photo.jpg', (_, response) => void response.type('jpeg').send(readFileSync(photo)));
  app.use(express.static(join(ROOT, 'public')));
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage();
  // Functions carried into the page name themselves through this when the bundler keeps names.
  await page.addInitScript('globalThis.__name = (value) => value');
  await page.goto(`http://127.0.0.1:${port}/`);
  const { decode, whole, longest, bodyMm } = await page.evaluate(timed, ROUNDS);
  await browser.close();
  server.close();
  const [one, all] = [median(decode), median(whole)];
  process.stdout.write(`
12 megapixels from file to numbers (${bodyMm === null ? 'refused' : `${bodyMm.toFixed(2)} mm`}): ${(all / one).toFixed(1)} times the browser's own decoding, ${((all - DECODES * one) / WORK_MS).toFixed(2)} of the ${WORK_MS} ms of work allowed beyond ${DECODES} decodings (wanted at most 1)
longest task of the main thread: ${longest === 0 ? 'none' : `${(longest / BLOCKED_MS).toFixed(1)} of`} over ${BLOCKED_MS} ms
`);
  if (process.env.AUBADE_BENCH_MS)
    process.stdout.write(`decode ${decode.map(Math.round).join(' ')}, whole ${whole.map(Math.round).join(' ')} ms\n`);
}

void main();
