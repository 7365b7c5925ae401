import { isKind, type Check, type Circuit, type Part } from '../../circuit/circuit';
import { deviceOf } from '../../circuit/deviceOf';
import { CIRCUIT_BYTES, CIRCUIT_FORMAT, circuitSchema, type CircuitFile } from '../../circuit/schema';
import { isProblem } from '../../devices/device';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import { strangeFormat } from '../formatOf';
import { readJson } from '../json';
import { problemsOf, type PlaceNamer } from '../problems';

/**
 * Reads a circuit file whole or not at all.
 *
 * @param text JSON as `docs/formats/circuit.md` says, at most 1 MiB
 * @returns the circuit with every field complete and in SI, or all that is wrong with it
 */
export function parseCircuit(text: string): Outcome<Circuit> {
  const json = readJson(text, CIRCUIT_BYTES);
  if (!json.ok) return json;
  const strange = strangeFormat(json.value, CIRCUIT_FORMAT);
  return strange?.code === 'newer-format' ? refused(strange) : circuitFrom(json.value);
}

/** The same for JSON that has been parsed already. */
export function circuitFrom(json: unknown): Outcome<Circuit> {
  const file = circuitSchema.safeParse(json);
  if (!file.success) return { ok: false, findings: problemsOf(file.error, placeNamer(json)) };
  const findings = [...referenceProblems(file.data)];
  const parts: Part[] = [];
  for (const given of file.data.parts) {
    const { id, kind, pins, ...fields } = given;
    const bare = { id, kind, pins, params: {} } as unknown as Part;
    const params = deviceOf(bare).resolve(fields as never);
    if (isProblem(params)) findings.push(finding('bad-field', { place: id, ...params }));
    else parts.push({ ...bare, params } as unknown as Part);
  }
  findings.push(...lightProblems(parts));
  if (findings.length) return refused(...findings);
  const { title, ground } = file.data;
  return accepted({ title, ground, parts, checks: file.data.checks as Check[] });
}

function referenceProblems(file: CircuitFile): Finding[] {
  const nodes = new Set(file.parts.flatMap((part) => Object.values(part.pins)));
  const ids = new Set(file.parts.map((part) => part.id));
  const findings: Finding[] = [
    ...doubles(file.parts).map((place) => finding('duplicate-id', { place })),
    ...doubles(file.checks).map((place) => finding('duplicate-id', { place })),
  ];
  if (!nodes.has(file.ground)) findings.push(finding('ground-missing', { ground: file.ground }));
  for (const check of file.checks) {
    const names = check.measure === 'amps' ? [check.part] : [check.from, check.to];
    const known = check.measure === 'amps' ? ids : nodes;
    for (const name of names.filter((n) => !known.has(n))) {
      findings.push(finding('check-refers', { check: check.id, name }));
    }
  }
  return findings;
}

/** Light may fall on a sensor only from lamps of the circuit. */
function lightProblems(parts: readonly Part[]): Finding[] {
  const lamps = new Set(parts.filter((part) => isKind(part, 'led')).map((part) => part.id));
  return parts
    .filter((part) => isKind(part, 'ldr'))
    .flatMap(({ id, params }) =>
      params.litBy
        .filter((light) => !lamps.has(light.part))
        .map((light) =>
          finding('bad-field', {
            place: id,
            field: 'litBy',
            problem: `names “${light.part}”, which is no lamp here`,
          }),
        ),
    );
}

function doubles(items: readonly { id: string }[]): string[] {
  const seen = new Set<string>();
  return items.flatMap(({ id }) => (seen.has(id) ? [id] : (seen.add(id), [])));
}

function placeNamer(json: unknown): PlaceNamer {
  return (path) => {
    const [list, index] = path;
    if ((list !== 'parts' && list !== 'checks') || typeof index !== 'number') return 'circuit';
    const item = (json as Record<string, { id?: unknown }[]>)[list]?.[index];
    const id = item && typeof item === 'object' ? item.id : undefined;
    return typeof id === 'string' && id !== '' ? id : `${list.slice(0, -1)} ${index + 1}`;
  };
}

/** The file that says the same as a circuit, every field written out. */
export function circuitFile(circuit: Circuit): Record<string, unknown> {
  return {
    format: 'mivvet.circuit/1',
    title: circuit.title,
    ground: circuit.ground,
    parts: circuit.parts.map((part) => ({
      id: part.id,
      kind: part.kind,
      pins: part.pins,
      ...(isKind(part, 'wire') ? {} : part.params),
    })),
    checks: circuit.checks,
  };
}
