import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { HERE, settleArrival, settleArrivals } from './arrival';

const settled = (headers: http.IncomingHttpHeaders, remote: string, proxy?: string) => {
  settleArrival(headers, remote, proxy);
  return headers;
};

it('nobody but the proxy that was named is believed of whom a request is', () => {
  const forged = () => ({ 'x-forwarded-for': '10.0.0.9', 'x-forwarded-host': 'evil.test', [HERE]: '1' });
  // No proxy: the connection says who it is.
  expect(settled(forged(), '192.168.7.21')).toEqual({ 'x-forwarded-for': '192.168.7.21' });
  expect(settled(forged(), '::ffff:127.0.0.1')).toEqual({ 'x-forwarded-for': '127.0.0.1' });
  expect(settled({ host: 'localhost' }, '127.0.0.1')).toMatchObject({ [HERE]: '1' });
  for (const name of ['via', 'forwarded', 'x-real-ip'])
    expect(settled({ [name]: 'somebody' }, '127.0.0.1')[HERE]).toBeUndefined();
  // One on this machine, and one elsewhere: each is believed, and nobody beside it.
  const said = { 'x-forwarded-for': '1.2.3.4, 192.168.7.30', 'x-forwarded-host': 'mivvet.lan' };
  expect(settled({ ...said }, '127.0.0.1', '1')).toEqual({ ...said, 'x-forwarded-for': '192.168.7.30' });
  expect(settled({ ...said }, '192.168.7.2', '192.168.7.2')).toMatchObject({
    'x-forwarded-host': 'mivvet.lan',
  });
  expect(settled({ ...said }, '192.168.7.3', '192.168.7.2')).toEqual({ 'x-forwarded-for': '192.168.7.3' });
  expect(settled({ [HERE]: '1' }, '127.0.0.1', '1')).toEqual({ 'x-forwarded-for': '127.0.0.1' });
});

it('that is settled before a server reads its request', async () => {
  settleArrivals(undefined);
  const server = http.createServer((request, response) => response.end(JSON.stringify(request.headers)));
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const { port } = server.address() as AddressInfo;
  const answer = await fetch(`http://127.0.0.1:${port}/`, { headers: { 'x-forwarded-for': '9.9.9.9' } });
  expect(await answer.json()).toMatchObject({ 'x-forwarded-for': '127.0.0.1' });
  server.close();
});
