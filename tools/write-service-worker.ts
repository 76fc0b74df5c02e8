/** Writes dist/sw.js after an export: everything the app needs, by revision, so that it opens without a network. */
import { join } from 'node:path';
import { generateSW } from 'workbox-build';

const MAX_FILE_BYTES = 16 * 1024 * 1024;

export async function writeServiceWorker(dist: string): Promise<{ count: number; size: number }> {
  const { count, size, warnings } = await generateSW({
    globDirectory: dist,
    globPatterns: ['**/*.{html,js,css,ttf,woff2,ico,png,svg,jpg,json,webmanifest}'],
    globIgnores: ['sw.js', 'metadata.json'],
    swDest: join(dist, 'sw.js'),
    navigateFallback: '/index.html',
    maximumFileSizeToCacheInBytes: MAX_FILE_BYTES,
    dontCacheBustURLsMatching: /-[0-9a-f]{32}\./,
    cleanupOutdatedCaches: true,
    // A new version waits: it is offered at the next start, never swapped under someone's hands.
    skipWaiting: false,
    clientsClaim: false,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
  });
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
  return { count, size };
}

if (require.main === module) {
  void writeServiceWorker(process.argv[2] ?? join(__dirname, '..', 'dist')).then(({ count, size }) =>
    process.stdout.write(`sw.js: ${count} files, ${(size / 1e6).toFixed(1)} MB\n`),
  );
}
