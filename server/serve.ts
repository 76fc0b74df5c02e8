import { join } from 'node:path';
import { createApp } from './app';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 8787);

const server = createApp(process.env.DIST ?? join(__dirname, '..', 'dist')).listen(port, host, () => {
  process.stdout.write(`Aubade is at http://${host}:${port}\n`);
});
server.on('error', (error) => {
  process.stderr.write(`Cannot serve at ${host}:${port}: ${error.message}\n`);
  process.exitCode = 1;
});
