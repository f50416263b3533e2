import { spawn, type ChildProcess } from 'node:child_process';

/** A server that is there to be killed. */
export class MortalServer {
  private process: ChildProcess | null = null;

  constructor(readonly port: number) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts it, with a garage as it was at first, or with what it had when it was killed. */
  async start(isAgain = false): Promise<void> {
    this.process = spawn('bash', ['tests/Browser/serve.sh'], {
      env: { ...process.env, HARMOZON_TEST_PORT: String(this.port), HARMOZON_TEST_AGAIN: isAgain ? 'yes' : '' },
      detached: true,
      stdio: 'ignore',
    });
    for (let tries = 0; ; tries++) {
      const isThere = await fetch(`${this.url}/sign-in`).then(
        (answer) => answer.ok,
        () => false,
      );
      if (isThere) {
        return;
      }
      if (tries > 300) {
        throw new Error('the server does not start');
      }
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }

  /** At once, with everything that it was about to do. */
  kill(): void {
    if (this.process?.pid !== undefined) {
      process.kill(-this.process.pid, 'SIGKILL');
    }
    this.process = null;
  }
}
