/** Bundles the workers to public/, from where the export takes them; written for the browsers the app runs in, so that their loops stay loops. */
import { join } from 'node:path';
import { buildSync } from 'esbuild';

const ROOT = join(__dirname, '..');

for (const name of ['photo', 'print', 'files', 'backup', 'blend']) {
  buildSync({
    entryPoints: [join(ROOT, `src/workers/${name}.worker.ts`)],
    outfile: join(ROOT, `public/${name}-worker.js`),
    bundle: true,
    format: 'iife',
    target: 'es2022',
    minify: true,
    tsconfig: join(ROOT, 'tsconfig.json'),
    legalComments: 'none',
    // Faces that a card is printed in, inside the worker that prints it.
    loader: { '.ttf': 'binary' },
  });
}
