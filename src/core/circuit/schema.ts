import { z } from 'zod';
import { DEVICES, KINDS, type Kind } from '../devices/index';

export const CIRCUIT_FORMAT = 'mivvet.circuit/1';
export const CIRCUIT_BYTES = 1024 * 1024;

const name = z.string().min(1, 'must not be empty').max(80, 'is longer than 80 characters');

function partSchema(kind: Kind) {
  const device: { pins: readonly string[]; optionalPins?: readonly string[] } = DEVICES[kind];
  const pinName = (pin: string) => (device.optionalPins?.includes(pin) ? name.optional() : name);
  const pins = z.strictObject(Object.fromEntries(device.pins.map((pin) => [pin, pinName(pin)])));
  return z.strictObject({ id: name, kind: z.literal(kind), pins, ...DEVICES[kind].fields });
}

type PartSchema = ReturnType<typeof partSchema>;

export const partSchemas = Object.fromEntries(KINDS.map((kind) => [kind, partSchema(kind)])) as Record<
  Kind,
  PartSchema
>;

const [firstKind, ...otherKinds] = KINDS;
const part = z.discriminatedUnion('kind', [
  partSchemas[firstKind!],
  ...otherKinds.map((kind) => partSchemas[kind]),
]);

const check = z.discriminatedUnion('measure', [
  z.strictObject({ id: name, measure: z.literal('amps'), part: name }),
  z.strictObject({ id: name, measure: z.literal('volts'), from: name, to: name }),
]);

/** The definition of a circuit file; `docs/formats/circuit.schema.json` is made from it. */
export const circuitSchema = z.strictObject({
  format: z.literal(CIRCUIT_FORMAT),
  title: z.string().max(200).default(''),
  ground: name,
  parts: z.array(part).min(1, 'must hold at least one part').max(5000),
  checks: z.array(check).max(500).default([]),
});

export type CircuitFile = z.output<typeof circuitSchema>;
