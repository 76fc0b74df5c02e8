import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { createApp } from './app';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 8787);

const server = createApp(process.env.DIST ?? join(__dirname, '..', 'dist')).listen(port, host, () => {
  // PORT=0 takes one that is free: the line says which.
  process.stdout.write(`Aubade is at http://${host}:${(server.address() as AddressInfo).port}\n`);
});
server.on('error', (error) => {
  process.stderr.write(`Cannot serve at ${host}:${port}: ${error.message}\n`);
  process.exitCode = 1;
});
