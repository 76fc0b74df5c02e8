import { run } from './run';

async function main(): Promise<void> {
  const outcome = await run(process.argv.slice(2));
  process.stderr.write(outcome.stderr);
  // The exit code is set, not forced, so that a piped answer is written whole.
  process.exitCode = outcome.exit;
  process.stdout.write(outcome.stdout);
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exitCode = 1;
});
