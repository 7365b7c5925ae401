import type { z } from 'zod';
import type { Device } from '../devices/device';
import { DEVICES } from '../devices/index';
import type { Part } from './circuit';

type AnyDevice = Device<string, z.ZodRawShape, unknown>;

/** The device of a part. One kind always goes with its own parameters; TypeScript cannot see it through the union. */
export function deviceOf(part: Pick<Part, 'kind'>): AnyDevice {
  return DEVICES[part.kind] as unknown as AnyDevice;
}
