import { serveInstrument, type Instrument } from './lineServer';
import { standInMeter } from './meter';
import { standInSupply } from './supply';

const held = globalThis as { mivvetStandIns?: Map<string, Promise<string>> | undefined };

/** Where the stand-ins are listened to: each is served from when it is first asked for. */
export const standIns = {
  meter: () => address('meter', standInMeter),
  supply: () => address('supply', standInSupply),
};

function address(name: string, make: () => Instrument): Promise<string> {
  const served = (held.mivvetStandIns ??= new Map());
  const known = served.get(name);
  if (known) return known;
  const started = serveInstrument(make).then(({ port }) => `127.0.0.1:${port}`);
  started.catch(() => served.delete(name));
  served.set(name, started);
  return started;
}
