import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type Router } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

const YEAR_MS = 365 * 24 * 3600 * 1000;

/** Where sealed bundles are handed over. */
export const HAND_OVER = '/api/hand-over';

/** What stands in a folder of files: asked for and not there, it is not the app. */
const FILE = /\.[a-z0-9]{2,5}$/i;
/** The export's own list of its files: nobody's business. */
const UNSERVED = new Set(['/metadata.json']);

interface AppOptions {
  /** Carries bundles from device to device; without one the app says that there is none. */
  relay?: Router;
  /** Proxies before it that may say whose request it is. */
  proxies?: number;
}

/** Serves the exported app from `dist`: hashed files for a year, the rest revalidated, every other path the app itself. */
export function createApp(dist: string, { relay, proxies = 0 }: AppOptions = {}): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', proxies);
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        useDefaults: true,
        directives: {
          'default-src': ["'self'"],
          'script-src': ["'self'"],
          'worker-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'"],
          'connect-src': ["'self'"],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  );
  if (relay) app.use(HAND_OVER, relay);
  app.use('/api', (_, response) => void response.status(404).json({ fault: 'none' }));
  app.use(compression());
  for (const path of ['/_expo/static', '/assets'])
    app.use(path, express.static(join(dist, path), { immutable: true, maxAge: YEAR_MS, fallthrough: false }));
  app.use((request, response, next) => (UNSERVED.has(request.path) ? void response.sendStatus(404) : next()));
  app.use(express.static(dist, { setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache') }));
  app.get('/{*path}', (request, response) => {
    if (FILE.test(request.path)) return void response.sendStatus(404);
    if (!existsSync(join(dist, 'index.html'))) {
      response.status(503).type('text').send('The app has not been built yet: run bin/demo.');
      return;
    }
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(dist, 'index.html'));
  });
  // An address that cannot be read is no fault of ours: no trace of it in the log.
  const failed: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
    if (response.headersSent) return next(error);
    response.sendStatus(error.status ?? 500);
  };
  app.use(failed);
  return app;
}
