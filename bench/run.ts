import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';

export interface Run {
  readonly seconds: number;
  /** Peak resident memory, MB; NaN where the system does not tell. */
  readonly megabytes: number;
}

/** Runs a whole process once and watches its memory. Fails if it ends otherwise than an audit does that found something. */
export function runProcess(command: string, args: readonly string[]): Promise<Run> {
  return new Promise((resolve, reject) => {
    const start = process.hrtime.bigint();
    const child = spawn(command, args, { stdio: 'ignore' });
    let peak = NaN;
    const look = () => {
      try {
        const line = /^VmHWM:\s+(\d+) kB/m.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'));
        if (line) peak = Number(line[1]) / 1024;
      } catch {
        // The process has ended, or the system has no /proc.
      }
    };
    const timer = setInterval(look, 10);
    child.on('error', reject);
    child.on('exit', (code) => {
      clearInterval(timer);
      if (code === null || code > 1) reject(new Error(`${command} ${args.join(' ')} ended with ${code}`));
      resolve({ seconds: Number(process.hrtime.bigint() - start) / 1e9, megabytes: peak });
    });
  });
}

export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Runs several commands in turn, so that the machine's moods fall on all of them. */
export async function inTurn(
  commands: Readonly<Record<string, readonly [string, readonly string[]]>>,
  rounds: number,
): Promise<Record<string, Run>> {
  const runs: Record<string, Run[]> = {};
  for (let i = 0; i < rounds; i++) {
    for (const [name, [command, args]] of Object.entries(commands))
      (runs[name] ??= []).push(await runProcess(command, args));
  }
  return Object.fromEntries(
    Object.entries(runs).map(([name, list]) => [
      name,
      { seconds: median(list.map((r) => r.seconds)), megabytes: Math.max(...list.map((r) => r.megabytes)) },
    ]),
  );
}
