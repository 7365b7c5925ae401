// What has to hold before anything is installed or built: each is one sentence when it does not.
import { statfsSync } from 'node:fs';
import { createServer } from 'node:net';
import { refuse, ROOT } from './processes.mjs';

const NODE_LEAST = 20;
/** Packages and a build take this much. */
const ROOM_MB = 1200;

export function needsNode() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < NODE_LEAST)
    refuse(
      `This is Node ${process.versions.node}; Mivvet needs Node ${NODE_LEAST} or newer. Nothing was changed.`,
    );
}

export function needsRoom() {
  const { bavail, bsize } = statfsSync(ROOT);
  const left = Math.floor((bavail * bsize) / 1e6);
  if (left < ROOM_MB)
    refuse(
      `The disk has ${left} MB left, and installing and building take ${ROOM_MB} MB. Nothing was changed.`,
    );
}

/** Ends the command where something else listens there already. */
export async function needsPort(host, port) {
  const n = Number(port);
  if (!Number.isInteger(n) || n < 1 || n > 65535)
    refuse(`“${port}” is no port: it is a number from 1 to 65535. Nothing was changed.`);
  const problem = await new Promise((resolve) => {
    const server = createServer();
    server.once('error', resolve);
    server.listen(n, host, () => server.close(() => resolve(undefined)));
  });
  if (problem?.code === 'EADDRINUSE')
    refuse(`Port ${port} is taken by another program: give another one, -- --port N. Nothing was changed.`);
  if (problem) refuse(`${host}:${port} cannot be listened at (${problem.code}). Nothing was changed.`);
}
