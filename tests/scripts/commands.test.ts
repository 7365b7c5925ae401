import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { createInterface } from 'node:readline';

const SCRIPTS = path.resolve(__dirname, '../../scripts');
const node = (source: string) =>
  ['--input-type=module', '-e', source.replaceAll('SCRIPTS', `file://${SCRIPTS}`)] as const;

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    // One that has ended and was not yet asked for is none.
    return !/^State:\s+Z/mu.test(fs.readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

async function untilGone(pid: number): Promise<void> {
  while (isAlive(pid)) await new Promise((next) => setTimeout(next, 20));
}

/** A command that runs a program that has itself started another, and what it prints: the process of that one. */
async function started(): Promise<{ readonly command: ChildProcess; readonly grandchild: number }> {
  const inner = `const { spawn } = await import('node:child_process');
    const last = spawn(process.execPath, ['-e', 'setInterval(() => 0, 1000)'], { stdio: 'ignore' });
    console.log(last.pid);
    setInterval(() => 0, 1000);`;
  const source = `import { must } from 'SCRIPTS/processes.mjs';
    await must(process.execPath, ['--input-type=module', '-e', ${JSON.stringify(inner)}]);
    console.log('went on');`;
  const command = spawn(process.execPath, node(source), { stdio: ['ignore', 'pipe', 'inherit'] });
  const [line] = (await once(createInterface(command.stdout!), 'line')) as [string];
  return { command, grandchild: Number(line) };
}

it.each(['SIGTERM', 'SIGINT'] as const)(
  'a command that is told to stop by %s ends with all that it has started, and does nothing more',
  async (signal) => {
    const { command, grandchild } = await started();
    expect(isAlive(grandchild)).toBe(true);
    const rest: string[] = [];
    command.stdout!.on('data', (chunk: Buffer) => rest.push(chunk.toString()));
    command.kill(signal);
    const [code] = (await once(command, 'exit')) as [number];
    expect(code).toBe(143);
    await untilGone(grandchild);
    expect(rest.join('')).not.toContain('went on');
  },
);

it('a taken port is one sentence, before anything is done', async () => {
  const server = net.createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as net.AddressInfo;
  const asked = (value: string) =>
    new Promise<{ readonly code: number | null; readonly said: string }>((resolve) => {
      const source = `import { needsPort } from 'SCRIPTS/ready.mjs';
        await needsPort('127.0.0.1', '${value}'); console.log('free');`;
      const child = spawn(process.execPath, node(source), { stdio: ['ignore', 'pipe', 'inherit'] });
      let said = '';
      child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
      child.on('close', (code) => resolve({ code, said }));
    });
  expect(await asked(String(port))).toEqual({
    code: 1,
    said: `mivvet: Port ${port} is taken by another program: give another one, -- --port N. Nothing was changed.\n`,
  });
  expect((await asked('http')).said).toContain('“http” is no port');
  server.close();
  await once(server, 'close');
  expect(await asked(String(port))).toEqual({ code: 0, said: 'free\n' });
});

it('what runs from a folder is known as long as it lives, however it ended', async () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-runs-'));
  const from = () =>
    spawnSync(
      process.execPath,
      node(`import { runningFrom } from 'SCRIPTS/inUse.mjs'; console.log(runningFrom('${folder}'));`),
      { encoding: 'utf8' },
    ).stdout.trim();
  expect(from()).toBe('undefined');
  const source = `import { runsFrom } from 'SCRIPTS/inUse.mjs'; runsFrom('${folder}');
    console.log('runs'); setInterval(() => 0, 1000);`;
  const runner = spawn(process.execPath, node(source), { stdio: ['ignore', 'pipe', 'inherit'] });
  await once(runner.stdout, 'data');
  expect(from()).toBe(String(runner.pid));
  runner.kill('SIGKILL');
  await once(runner, 'exit');
  expect(from()).toBe('undefined');
  fs.rmSync(folder, { recursive: true });
});
