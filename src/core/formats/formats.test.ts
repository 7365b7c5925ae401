import fs from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { builtDiffers, builtOf } from './lesson/built';
import { randomCircuit } from '../../../tests/support/randomCircuit';
import { solve } from '../solver/solve';
import { singleDefaults } from '../patterns/single/params';
import { DEFAULT_STYLE } from '../patterns/style';
import { LAMPS } from '../catalogue/lamps';
import { sheetWith } from '../../../tests/support/sheets';
import { circuitFile, circuitFrom, parseCircuit } from './circuit/parse';
import { parseStudents } from './csv/students';
import { toCsv } from './csv/table';
import { lampDiffers, LESSON_FORMAT, parseLesson, serialiseLesson, type LessonFile } from './lesson/lesson';

const part = { id: 'R1', kind: 'resistor', pins: { a: 'p', b: '0' }, ohms: 100 };
const file = (more: object) => ({ format: 'mivvet.circuit/1', ground: '0', parts: [part], ...more });

function refusals(json: unknown): string[] {
  const made = circuitFrom(json);
  return made.ok
    ? []
    : made.findings.map((f) =>
        f.code === 'bad-field' ? `${f.data.place}: ${f.data.field} ${f.data.problem}` : f.code,
      );
}

describe('circuit files', () => {
  it('take figures as numbers or as text with a unit', () => {
    const made = circuitFrom(
      file({
        parts: [
          { ...part, ohms: '4k7' },
          { id: 'B1', kind: 'supply', pins: { plus: 'p', minus: '0' }, volts: '9 V', ohms: '450 mΩ' },
        ],
      }),
    );
    expect(made.ok && made.value.parts.map((p) => p.params)).toMatchObject([
      { ohms: 4700, tolerance: 0.05 },
      { volts: 9, ohms: 0.45 },
    ]);
  });

  it.each<[string, object, string]>([
    ['an unknown key', { parts: [{ ...part, colour: 'red' }] }, 'R1: colour is not a known field'],
    ['a missing pin', { parts: [{ ...part, pins: { a: 'p' } }] }, 'R1: b is missing'],
    [
      'a pin of another kind',
      { parts: [{ ...part, pins: { a: 'p', b: '0', anode: 'x' } }] },
      'R1: anode is not a known field',
    ],
    ['a missing figure', { parts: [{ ...part, ohms: undefined }] }, 'R1: ohms is missing'],
    ['negative ohms', { parts: [{ ...part, ohms: -4 }] }, 'R1: ohms must not be negative'],
    ['negative ohms in text', { parts: [{ ...part, ohms: '-4k' }] }, 'R1: ohms must not be negative'],
    [
      'a figure in the wrong unit',
      { parts: [{ ...part, ohms: '9 V' }] },
      'R1: ohms "9 V" is not a figure in Ω',
    ],
    ['an unknown kind', { parts: [{ ...part, kind: 'relay' }] }, 'R1: kind is not a known one'],
    [
      'an unknown lamp',
      { parts: [{ id: 'D1', kind: 'led', pins: { anode: 'p', cathode: '0' }, type: 'pink' }] },
      'D1: type must be one of infrared, red, orange, yellow, yellow-green, green, blue, white, violet',
    ],
    [
      'a lamp without figures',
      { parts: [{ id: 'D1', kind: 'led', pins: { anode: 'p', cathode: '0' } }] },
      'D1: vf is missing, and no type is named',
    ],
    ['no parts', { parts: [] }, 'circuit: parts must hold at least one part'],
    ['a share beyond one', { parts: [{ ...part, tolerance: 2 }] }, 'R1: tolerance must be at most 0.99'],
  ])('refuse %s by part and field', (_name, more, sentence) => {
    expect(refusals(file(more))).toContain(sentence);
  });

  const two = { pins: { a: 'p', b: '0' } };
  const junction = { pins: { anode: 'p', cathode: '0' } };
  const chip = { ground: '0', trigger: 'c', output: 'o', reset: 'p', threshold: 'c', supply: 'p' };

  it.each<[string, object, string]>([
    ['supply', { pins: { plus: 'p', minus: '0' }, volts: 5000 }, 'volts must be at most 1000 V'],
    [
      'potentiometer',
      { pins: { a: 'p', wiper: 'w', b: '0' }, ohms: 100, position: 2 },
      'position must be at most 1',
    ],
    ['capacitor', { ...two, farads: 0 }, 'farads must be at least 1e-13 F'],
    ['inductor', { ...two, henries: '3 F' }, 'henries "3 F" is not a figure in H'],
    ['led', { ...junction, type: 'purple' }, 'type'],
    ['led', { ...junction, type: 'red', inside: -1 }, 'inside must not be negative'],
    ['diode', { ...junction, vf: 0.7 }, 'n is missing, and no type is named'],
    ['zener', { ...junction, vf: 0.7, n: 1.8, rs: 1 }, 'vz is missing, and no type is named'],
    ['zener', { ...junction, type: 'zener-5v1', rz: 5000 }, 'vz must be more than rz times iz'],
    ['transistor', { pins: { collector: 'p', base: 'b' } }, 'emitter is missing'],
    [
      'transistor',
      { pins: { collector: 'p', base: 'b', emitter: '0' }, betaF: 0 },
      'betaF must be at least 1',
    ],
    ['timer', { pins: { ...chip, supply: undefined }, family: 'cmos' }, 'supply is missing'],
    ['timer', { pins: chip }, 'family'],
    ['ldr', two, 'lux is missing'],
    ['ldr', { ...two, lux: 5, min: 2e6 }, 'min must not be more than dark'],
    [
      'ldr',
      { ...two, lux: 5, litBy: [{ part: 'D9', luxPerAmp: 1 }] },
      'litBy names “D9”, which is no lamp here',
    ],
    ['switch', { ...two, closed: 'yes' }, 'closed'],
    ['wire', { ...two, ohms: 1 }, 'ohms is not a known field'],
    ['speaker', { ...two, ohms: 0 }, 'ohms must be at least 0.1 Ω'],
    ['pin', { pins: { pin: 'p', ground: '0' }, drive: 'pwm', duty: 1.5 }, 'duty must be at most 1'],
    ['pin', { pins: { pin: 'p', ground: '0' }, drive: 'fast' }, 'drive'],
    ['signal', { pins: { plus: 'p', minus: '0' }, shape: 'sine', amplitude: 1 }, 'hertz is missing'],
  ])('refuse a %s that cannot be', (kind, fields, sentence) => {
    const found = refusals(file({ parts: [part, { id: 'X1', kind, ...fields }] }));
    expect(found).toHaveLength(1);
    expect(found[0]!.startsWith(`X1: ${sentence}`)).toBe(true);
  });

  it('let a timer do without its control and discharge pins', () => {
    expect(
      refusals(file({ parts: [part, { id: 'X1', kind: 'timer', pins: chip, family: 'cmos' }] })),
    ).toEqual([]);
  });

  it('refuse double ids, a ground that is no node, and checks of what is not there', () => {
    expect(refusals(file({ parts: [part, part] }))).toEqual(['duplicate-id']);
    expect(refusals(file({ ground: 'gnd' }))).toEqual(['ground-missing']);
    expect(refusals(file({ checks: [{ id: 'c', measure: 'amps', part: 'D9' }] }))).toEqual(['check-refers']);
    expect(refusals(file({ checks: [{ id: 'c', measure: 'volts', from: 'p', to: 'q' }] }))).toEqual([
      'check-refers',
    ]);
    expect(refusals({ ...file({}), ground: undefined })).toContain('circuit: ground is missing');
  });

  it('name all that is wrong, not only the first', () => {
    expect(
      refusals(
        file({
          parts: [
            { ...part, ohms: -1, colour: 1 },
            { ...part, id: 'R2', watts: -1 },
          ],
        }),
      ).length,
    ).toBeGreaterThanOrEqual(3);
  });

  it('refuse half a file, another file and a huge one', () => {
    const code = (text: string) => {
      const made = parseCircuit(text);
      return made.ok ? 'taken' : made.findings[0]!.code;
    };
    expect(code('{ "format": ')).toBe('not-json');
    expect(code('[]')).toBe('bad-field');
    expect(code('{"format":"mivvet.circuit/2"}')).toBe('newer-format');
    expect(code('null')).toBe('bad-field');
    expect(code(`"${'x'.repeat(1024 * 1024)}"`)).toBe('file-too-large');
  });

  it('never throw, whatever JSON comes', () => {
    fc.assert(fc.property(fc.jsonValue(), (json) => expect(circuitFrom(json).ok).toBe(false)));
  });

  it('go out and come back the same', () => {
    fc.assert(
      fc.property(randomCircuit(8), (circuit) => {
        const back = parseCircuit(JSON.stringify(circuitFile(circuit)));
        if (!back.ok) throw new Error(JSON.stringify(back.findings));
        expect(solve(back.value)).toEqual(solve(circuit));
      }),
      { numRuns: 30 },
    );
  });

  it('have a published schema that is the one in force', async () => {
    const { jsonSchemas } = await import('../../../scripts/schemas');
    for (const [name, schema] of Object.entries(jsonSchemas())) {
      const published = fs.readFileSync(path.join('docs/formats', name), 'utf8');
      expect(JSON.parse(published)).toEqual(JSON.parse(JSON.stringify(schema)));
    }
  });
});

describe('lesson files', () => {
  const lesson: LessonFile = {
    format: LESSON_FORMAT,
    title: 'Pier lamp',
    aim: 'one lamp',
    story: '',
    notes: '',
    ageGroup: '10–12',
    level: 'full working',
    homework: 'Find three lamps at home.',
    extras: [{ name: 'jar', each: 1, use: 'Put the jar over the lamp.' }],
    choice: { pattern: 'single', params: singleDefaults(DEFAULT_STYLE) },
    plan: sheetWith().plan,
    lamp: LAMPS.red,
    lamps: [LAMPS.red],
    built: builtOf(sheetWith().circuit),
  };

  it('go out and come back the same', () => {
    const back = parseLesson(serialiseLesson(lesson));
    expect(back).toMatchObject({ ok: true, value: lesson });
  });

  it('are refused whole when hostile or half-written', () => {
    const code = (text: string) => {
      const made = parseLesson(text);
      return made.ok ? 'taken' : made.findings[0]!;
    };
    expect(code(serialiseLesson(lesson).slice(0, 200))).toMatchObject({ code: 'not-json' });
    expect(code('{"format":"other/2"}')).toMatchObject({ code: 'wrong-format', data: { found: 'other/2' } });
    expect(code('null')).toMatchObject({ code: 'wrong-format' });
    expect(code('{"format":"mivvet.lesson/12"}')).toMatchObject({ code: 'newer-format' });
    const with_ = (more: object) => JSON.stringify({ ...lesson, ...more });
    expect(code(with_({ title: '' }))).toMatchObject({ code: 'bad-field', data: { field: 'title' } });
    expect(code(with_({ title: 'x'.repeat(81) }))).toMatchObject({ data: { field: 'title' } });
    expect(code(with_({ __proto__: undefined, evil: 1 }))).toMatchObject({ data: { field: 'evil' } });
    expect(
      code(with_({ choice: { pattern: 'single', params: { ...lesson.choice.params, amps: 5 } } })),
    ).toMatchObject({ data: { field: 'amps' } });
    expect(code(with_({ choice: { pattern: 'mains', params: {} } }))).toMatchObject({
      data: { field: 'pattern' },
    });
    expect(
      code(
        with_({
          plan: { board: 'half', placements: [{ part: 'R1', kind: 'part', legs: { a: 'too long' } }] },
        }),
      ),
    ).toMatchObject({ code: 'bad-field' });
  });

  it('carry what every part is and carries, and tell what is otherwise elsewhere', () => {
    const here = lesson.built;
    const r1 = here.find(({ part }) => part === 'R1')!;
    expect(r1.amps).toBeCloseTo(sheetWith().sums.design.amps, 9);
    expect(builtDiffers(here, here)).toEqual([]);
    const sent = here.map((built) => (built.part === 'R1' ? { ...built, value: r1.value! * 1.2 } : built));
    expect(builtDiffers(sent, here).map(({ part }) => part)).toEqual(['R1']);
    const brighter = here.map((built) => ({ ...built, amps: built.amps * 1.1 }));
    expect(builtDiffers(brighter, here).map(({ part }) => part)).toEqual(['D1']);
    expect(builtDiffers([], here).every(({ sent: was }) => was === undefined)).toBe(true);
  });

  it('say when the sender’s lamp is another than one’s own', () => {
    expect(lampDiffers(LAMPS.red, LAMPS.red)).toBe(false);
    expect(lampDiffers({ ...LAMPS.red, vf: 2.02 }, LAMPS.red)).toBe(true);
  });
});

describe('lists of students', () => {
  const names = (text: string) => parseStudents(text).students.map((s) => `${s.bench} ${s.nickname}`);
  const codes = (text: string) => parseStudents(text).findings.map((f) => f.code);

  it('come one nickname a line, or as CSV with or without a head', () => {
    expect(names('Wren\nFenn\n')).toEqual(['1 Wren', '2 Fenn']);
    expect(names('bench,nickname\n4,Wren\n7,Fenn')).toEqual(['4 Wren', '7 Fenn']);
    expect(names('nickname,bench\nWren,4')).toEqual(['4 Wren']);
    expect(names('3,Wren\n4,"Fenn"')).toEqual(['3 Wren', '4 Fenn']);
    expect(names('bench;nickname\n3;Wren')).toEqual(['3 Wren']);
    expect(parseStudents('Wren', 5).students).toEqual([{ bench: 5, nickname: 'Wren' }]);
    expect(names('')).toEqual([]);
  });

  it('name what is wrong, line by line, and keep the rest', () => {
    expect(codes('bench,nickname,surname\n1,a,b')).toEqual(['csv-columns']);
    expect(codes('seat,bench\n1,2')).toEqual(['csv-columns']);
    expect(codes('Wren\nwren')).toEqual(['duplicate-nickname']);
    expect(codes('1,Wren\n1,Fenn')).toEqual(['duplicate-bench']);
    expect(codes('x,Wren\n2,Fenn')).toEqual(['csv-row']);
    expect(names('x,Wren\n2,Fenn')).toEqual(['2 Fenn']);
    expect(codes('1,\n2,Fenn')).toEqual(['csv-row']);
    expect(codes('<b>Wren</b>')).toEqual(['csv-row']);
    expect(codes('a'.repeat(31))).toEqual(['csv-row']);
    expect(parseStudents('Wren Talbot').findings).toMatchObject([
      { code: 'surname-like', severity: 'caution' },
    ]);
    expect(codes(Array.from({ length: 61 }, (_, i) => `n${i}`).join('\n'))).toEqual(['csv-row']);
  });
});

describe('tables as CSV', () => {
  it('quote what needs it, end lines as the standard says, and disarm formulas', () => {
    const csv = toCsv(
      ['part', 'n'],
      [
        ['lamp, red', 3],
        ['=1+1', null],
        ['"x"', -2.5],
      ],
    );
    expect(csv).toBe('\ufeffpart,n\r\n"lamp, red",3\r\n"\'=1+1",\r\n"""x""",-2.5\r\n');
    expect(toCsv(['reading'], [['-2.9']])).toContain('\r\n-2.9\r\n');
    expect(toCsv(['name'], [['-evil()']])).toContain("'-evil()");
  });
});
