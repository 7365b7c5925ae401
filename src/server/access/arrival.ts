import diagnostics from 'node:diagnostics_channel';
import type { IncomingHttpHeaders } from 'node:http';

/** Set by this program on what came straight from a program on this machine; whatever a client sends under it is dropped. */
export const HERE = 'x-mivvet-here';
const FORWARDED = ['x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto'] as const;
/** Whatever else says that somebody passed a request on. */
const PASSED_ON = [...FORWARDED, 'forwarded', 'via', 'x-real-ip', 'x-forwarded-port', 'x-forwarded-server'];

const LOOPBACK = /^(?:127\.\d+\.\d+\.\d+|::1)$/u;

/**
 * Settles who a request says that it is from, before anything reads it: only the proxy that was named is believed.
 * Afterwards `X-Forwarded-For` bears one address, as the connection has it or as the proxy says.
 *
 * @param remote address at the other end of the connection
 * @param proxy what `MIVVET_PROXY` says: an address, `1` for one on this machine, nothing where there is none
 */
export function settleArrival(headers: IncomingHttpHeaders, remote: string, proxy: string | undefined): void {
  const address = remote.replace(/^::ffff:/u, '');
  const isPassedOn = PASSED_ON.some((name) => headers[name] !== undefined);
  Reflect.deleteProperty(headers, HERE);
  const isHere = LOOPBACK.test(address);
  if (proxy !== undefined && (proxy === '1' ? isHere : address === proxy)) {
    const said = String(headers['x-forwarded-for'] ?? '')
      .split(',')
      .pop()!
      .trim();
    headers['x-forwarded-for'] = said || address;
    return;
  }
  for (const name of FORWARDED) Reflect.deleteProperty(headers, name);
  headers['x-forwarded-for'] = address;
  if (isHere && !isPassedOn) headers[HERE] = '1';
}

interface Started {
  readonly request: { readonly headers: IncomingHttpHeaders };
  readonly socket: { readonly remoteAddress?: string };
}

/** Settles every request of this process from now on, as the server gets it and before the program does. */
export function settleArrivals(proxy: string | undefined): void {
  diagnostics.subscribe('http.server.request.start', (message) => {
    const { request, socket } = message as Started;
    settleArrival(request.headers, socket.remoteAddress ?? '', proxy);
  });
}
