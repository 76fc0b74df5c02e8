import { existsSync, mkdirSync, mkdtempSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app';
import { relay, RELAY_RATES } from './relay';
import { RELAY_LIMITS, RelayStore } from './relay-store';

const ROOT = join(__dirname, '..');
const host = process.env.HOST ?? '127.0.0.1';
const dist = process.env.DIST ?? join(ROOT, 'dist');
const port = Number(process.env.PORT ?? 8787);
// A folder of its own for every port: several may run at once.
const data =
  process.env.DATA ?? (port === 0 ? mkdtempSync(join(tmpdir(), 'aubade-relay-')) : join(ROOT, `.aubade/relay-${port}`));
/** Limits are read by name. */
const ENV: Readonly<Record<string, string | undefined>> = process.env;
const SWEEP_MS = 60_000;

/** One line that says what is wrong, and the end. */
function fail(why: string): never {
  process.stderr.write(`${why}\n`);
  process.exit(1);
}

const number = (name: string, otherwise: number) => {
  const text = ENV[name];
  if (text === undefined) return otherwise;
  const value = Number(text);
  return Number.isFinite(value) && value >= 0 ? value : fail(`${name} must be a number, got ${text}`);
};

async function serve(): Promise<void> {
  if (!Number.isInteger(port) || port < 0 || port > 65_535) fail(`PORT must be a port, got ${process.env.PORT}`);
  if (!existsSync(join(dist, 'index.html'))) fail('The app has not been built yet: run bin/demo, or npm run build.');
  let store: RelayStore;
  try {
    mkdirSync(data, { recursive: true });
    store = await RelayStore.open(data, () => Date.now(), {
      bundle: number('RELAY_BUNDLE_MB', RELAY_LIMITS.bundle / 1e6) * 1e6,
      all: number('RELAY_ALL_MB', RELAY_LIMITS.all / 1e6) * 1e6,
      count: number('RELAY_COUNT', RELAY_LIMITS.count),
      waitsMs: number('RELAY_MINUTES', RELAY_LIMITS.waitsMs / 60_000) * 60_000,
    });
  } catch (error) {
    fail(`The folder ${data} cannot be used (another server may have it): ${(error as Error).message}`);
  }
  const app = createApp(dist, {
    relay: relay(store, {
      asks: number('RELAY_ASKS', RELAY_RATES.asks),
      sends: number('RELAY_SENDS', RELAY_RATES.sends),
    }),
    proxies: number('PROXIES', 0),
  });
  // Who sends headers or a body drop by drop is let go.
  const server = createServer(
    { headersTimeout: 10_000, requestTimeout: 60_000, connectionsCheckingInterval: 2_000 },
    app,
  );
  server.once('error', ({ code, message }: NodeJS.ErrnoException) =>
    fail(
      code === 'EADDRINUSE'
        ? `Port ${port} is in use: set PORT to another.`
        : code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND'
          ? `HOST ${host} is no address of this machine.`
          : `Cannot serve at ${host}:${port}: ${message}`,
    ),
  );
  server.listen(port, host, () =>
    // PORT=0 takes one that is free: the line says which.
    process.stdout.write(`Aubade is at http://${host}:${(server.address() as AddressInfo).port}\n`),
  );
  const sweeping = setInterval(() => void store.sweep(), SWEEP_MS);
  const stop = () => {
    clearInterval(sweeping);
    server.close(() => void store.close().then(() => process.exit(0)));
    // Connections that are only kept open are closed; those that are answered may end.
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 3_000).unref();
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, stop);
}

void serve();
