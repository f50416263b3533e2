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

/** A logger without a car, which feeds a session of a server; harmozon:stand-in in a process of its own. */
export class StandIn {
  private readonly process: ChildProcess;
  private readonly end: Promise<number | null>;
  private told = '';

  constructor(port: number, session: string, speed: number, everyS: number) {
    this.process = spawn('bash', ['tests/Browser/stand-in.sh', session, String(speed), String(everyS)], {
      env: { ...process.env, HARMOZON_TEST_PORT: String(port) },
      detached: true,
    });
    const listen = (words: Buffer): void => void (this.told += words.toString());
    this.process.stdout?.on('data', listen);
    this.process.stderr?.on('data', listen);
    this.end = new Promise((resolve) => this.process.on('exit', resolve));
  }

  /** Readings sent so far, by its own words. */
  get sent(): number {
    return Number([...this.told.matchAll(/(\d+) of \d+/g)].at(-1)?.[1] ?? 0);
  }

  async says(words: string): Promise<void> {
    for (let tries = 0; !this.told.includes(words); tries++) {
      if (tries > 150) {
        throw new Error(`the stand-in says: ${this.told}`);
      }
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }

  /** Its exit code, once it has ended by itself. */
  ended(): Promise<number | null> {
    return this.end;
  }

  kill(): void {
    if (this.process.pid !== undefined && this.process.exitCode === null) {
      process.kill(-this.process.pid, 'SIGKILL');
    }
  }
}
