import path from 'node:path';
import { z } from 'zod';

const schema = z.object({
  /** Where the database lives. */
  MIVVET_DB: z.string().min(1).default(path.join('data', 'mivvet.sqlite')),
  /** The built file of the threads that do heavy work; set by the commands that start the program. */
  MIVVET_WORKER: z.string().optional(),
  /** The demo house: whoever is on this machine is its educator. */
  MIVVET_DEMO: z.literal('1').optional(),
  /** Names under which the program is reached besides this machine's own, with a comma between: `mivvet.school.lan`. */
  MIVVET_HOSTS: z.string().default(''),
  /**
   * A proxy in front of it says who asks, and how: its `X-Forwarded-For`, `-Proto` and `-Host` are believed, and nobody
   * else's. `1` is one on this machine, an address one elsewhere.
   */
  MIVVET_PROXY: z
    .union([z.literal('1'), z.ipv4(), z.ipv6()], 'it should be 1 or the address of the proxy')
    .optional(),
  /** A bench meter that listens for lines on the network, `host:port`: its readings drop into Check’s cells. */
  MIVVET_METER: z
    .string()
    .regex(/^[^\s:]+(?::\d{1,5})?$/u, 'it should be host:port')
    .optional(),
});

export interface Environment {
  readonly database: string;
  readonly worker: string | undefined;
  readonly demo: boolean;
  readonly hosts: readonly string[];
  /** The proxy that is believed: `1` for one on this machine, or its address. */
  readonly proxy: string | undefined;
  readonly behindProxy: boolean;
  readonly meter: string | undefined;
}

/** The environment as checked; a wrong one stops the program with the name of the setting. */
export function environment(): Environment {
  const read = schema.safeParse(process.env);
  if (!read.success) {
    const issue = read.error.issues[0]!;
    throw new Error(`Setting ${issue.path.join('.')}: ${issue.message}`);
  }
  const { MIVVET_DB, MIVVET_WORKER, MIVVET_DEMO, MIVVET_HOSTS, MIVVET_PROXY, MIVVET_METER } = read.data;
  return {
    database: path.resolve(/* turbopackIgnore: true */ MIVVET_DB),
    worker: MIVVET_WORKER,
    demo: MIVVET_DEMO === '1',
    hosts: MIVVET_HOSTS.split(',').flatMap((host) => (host.trim() ? [host.trim().toLowerCase()] : [])),
    proxy: MIVVET_PROXY,
    behindProxy: MIVVET_PROXY !== undefined,
    meter: MIVVET_METER,
  };
}
