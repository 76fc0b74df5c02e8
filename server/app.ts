import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

const YEAR_MS = 365 * 24 * 3600 * 1000;

/** Serves the exported app from `dist`: hashed files for a year, the rest revalidated, every other path the app itself. */
export function createApp(dist: string): Express {
  const app = express();
  app.disable('x-powered-by');
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
  app.use(compression());
  for (const path of ['/_expo/static', '/assets'])
    app.use(path, express.static(join(dist, path), { immutable: true, maxAge: YEAR_MS, fallthrough: false }));
  app.use(express.static(dist, { setHeaders: (response) => response.setHeader('Cache-Control', 'no-cache') }));
  app.get('/{*path}', (request, response) => {
    if (!existsSync(join(dist, 'index.html'))) {
      response.status(503).type('text').send('The app has not been built yet: run bin/demo.');
      return;
    }
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(dist, 'index.html'));
  });
  return app;
}
