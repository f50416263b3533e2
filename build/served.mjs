/*
 * The application a bench looks at: the address it was given, or the demo garage on a server of its own, which ends with the bench.
 */
import { execFileSync, spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const WAIT_MS = 30_000;

const answers = (base) =>
  fetch(`${base}/sign-in`).then(
    (answer) => answer.ok,
    () => false,
  );

const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

/** Ends the bench in words. */
function giveUp(why) {
  console.error(why);
  process.exit(2);
}

/** @returns {Promise<{ base: string, stop: () => void }>} */
export async function served(address = process.argv[2]) {
  if (address !== undefined) {
    return (await answers(address))
      ? { base: address, stop: () => undefined }
      : giveUp(
          `Nothing answers at ${address}. Start it with ./harmozon start, or leave the address out: the bench then starts its own.`,
        );
  }
  if (!existsSync(join(root, 'public/build/manifest.json')) || !existsSync(join(root, 'vendor/autoload.php'))) {
    giveUp('The pages are not built yet. Run ./harmozon start once, or ./harmozon test.');
  }
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  const server = spawn('bash', ['tests/Browser/serve.sh'], {
    cwd: root,
    env: { ...process.env, HARMOZON_TEST_PORT: String(port) },
    detached: true,
    stdio: 'ignore',
  });
  const stop = () => {
    try {
      process.kill(-server.pid, 'SIGKILL');
    } catch {
      // It has ended by itself.
    }
    execFileSync('rm', ['-rf', join(root, `.cache/browser-${port}`), join(root, `.cache/served-${port}`)]);
  };
  process.on('exit', stop);
  for (const end = Date.now() + WAIT_MS; !(await answers(base));) {
    if (Date.now() > end) {
      giveUp('The server of the bench did not start.');
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return { base, stop };
}

export const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];

/** Within which 95 of a hundred values lie. */
export const p95 = (values) => values.toSorted((a, b) => a - b)[Math.max(0, Math.ceil(0.95 * values.length) - 1)];
