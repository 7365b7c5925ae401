import { expectationWith, patternSheet, ROWS_ONLY, sheetWith } from '../../tests/support/sheets';
import { DEFAULT_STYLE, finding, judgeBench, noteReading, THIN } from '@/core';
import { likeliestWords, nextWords, restWords } from './causes';
import { outcomeRows } from './why';
import { CAUTION_WORDS } from './cautions';
import { sentence } from './findings';
import { holeName, stripName } from './holes';
import { lessonLine } from './families';
import { money } from './money';
import { stockName, supplyName, thingName } from './names';
import { schoolWords } from './schools';
import { stepWords } from './steps';

const plain = (text: string) => text.replaceAll(THIN, ' ');

describe('findings in words', () => {
  it('name the thing and a way on', () => {
    expect(plain(sentence(finding('mains-refused', { volts: 230 })))).toBe(
      '230 V can only be mains, and nothing here connects to mains. Plan the lamp on batteries, USB or an isolated supply of up to 24 V instead.',
    );
    expect(
      plain(
        sentence(
          finding('reading-implausible', {
            typed: '27',
            value: 27,
            limit: 3,
            unit: 'V',
            beyond: 'more',
            perhaps: 2.7,
          }),
        ),
      ),
    ).toBe('“27” is more than anything here can show (3.00 V). Perhaps 2.70 V?');
    expect(plain(sentence(finding('reversed', { part: 'D1', volts: 4.8 })))).toBe(
      'D1 is the wrong way round: it blocks, with 4.80 V across it and none across the resistor.',
    );
    expect(
      plain(sentence(finding('will-fail', { part: 'D1', amps: 0.625, limit: 0.02, share: 31.25 }))),
    ).toContain('at least 625 mA, 31 times its limit of 20.0 mA: far beyond what it survives');
    expect(
      sentence(
        finding('open-leg', { part: 'D1', kind: 'led', pin: 'cathode', hole: 'e10', strip: '10 a–e' }),
      ),
    ).toBe('The short leg of D1 sits in e10, and nothing else is in row 10, a–e: no current can pass.');
  });

  it('call holes and strips as people do', () => {
    expect(holeName('L+3')).toBe('left + rail beside row 3');
    expect(holeName('R-12')).toBe('right − rail beside row 12');
    expect(holeName('c8')).toBe('c8');
    expect(stripName('L-')).toBe('the left − rail');
    expect(stripName('7 f–j')).toBe('row 7, f–j');
  });
});

describe('names', () => {
  it('of parts, supplies and stock', () => {
    expect(thingName('resistor', 'R1')).toBe('the resistor R1');
    expect(supplyName({ kind: 'aa-alkaline', cells: 3, age: 'tired' })).toBe('3 AA cells, tired');
    expect(supplyName({ kind: 'block-9v', cells: 1, age: 'fresh' })).toBe('one 9 V block, fresh');
    expect(supplyName({ kind: 'usb', cells: 1, age: 'nominal' })).toBe('one USB port');
    expect(plain(supplyName({ kind: 'bench', cells: 1, age: 'fresh', volts: 12 }))).toBe(
      'bench supply at 12.0 V',
    );
    expect(plain(stockName({ kind: 'resistor', ohms: 4700 }))).toBe('resistor 4.7 kΩ');
    expect(stockName({ kind: 'holder', supply: 'aa-alkaline', cells: 3 })).toBe(
      'holder with leads for 3 × AA cell',
    );
    expect(plain(money(1234, '€'))).toBe('12.34 €');
  });

  it('of a lesson in one line', () => {
    expect(plain(lessonLine(sheetWith()))).toBe('red lamp, 330 Ω, 3 AA cells, fresh: 8.85 mA');
  });
});

describe('the build card in words', () => {
  const sheet = sheetWith({}, ROWS_ONLY);
  const words = (id: string) =>
    stepWords(
      sheet.steps.find((s) => s.id === id)!,
      sheet,
    );

  it('has one action a step, holes, cue and why', () => {
    expect(plain(words('W1').title)).toBe('Put a red jumper, W1, from left + rail beside row 3 to a3.');
    expect(plain(words('R1').title)).toBe('Put the resistor R1, 330 Ω, in c3 and c8.');
    expect(words('R1').detail).toContain('orange, orange, brown, gold');
    expect(words('D1').title).toBe('Put the red lamp D1 in e8 and e9.');
    expect(words('D1').cue).toBe('Long leg in e8. Short leg, on the flat edge of the rim, in e9.');
    expect(words('B1-minus').detail).toBe('Minus first.');
    expect(words('before-power').detail).toContain('R1 c3 to c8');
    expect(plain(words('after-power').detail)).toMatch(
      /The lamp is bright\. Across R1 the meter reads 2\.6\d V to 3\.1\d V\./u,
    );
  });

  it('says of a lamp how it looks with its knob as it is held then, not as the lesson ends', () => {
    const dimmer = patternSheet('dimmer');
    const last = dimmer.steps.filter((step) => 'gate' in step && step.gate.power).at(-1)!;
    const { detail } = stepWords(last, dimmer);
    // Fully up it carries near 8.5 mA of 20: bright; half way, as the lesson ends, it is dim.
    expect(detail).toMatch(/Set P1 turned fully up\. The lamp is bright/u);
    expect(dimmer.sums.design.lamps[0]!.brightness).toBe('dim');
  });

  it('writes five bands where the house has them', () => {
    const five = sheetWith({}, { style: { ...DEFAULT_STYLE, bands: 5 } });
    const resistor = five.steps.find((s) => s.id === 'R1')!;
    expect(stepWords(resistor, five).detail).toContain('orange, orange, black, black, brown');
  });
});

describe('jumpers in words', () => {
  it('have their colour by polarity, or any', () => {
    const any = sheetWith({}, { style: { ...ROWS_ONLY.style, wires: 'any' } });
    const words = stepWords(
      any.steps.find((s) => s.id === 'W2')!,
      any,
    );
    expect(words.title).toBe('Put a green jumper, W2, from left − rail beside row 9 to a9.');
    expect(words.why).toBe('It brings minus to where it is needed.');
  });
});

describe('causes in words', () => {
  const session = expectationWith();
  const { points } = session.dictionary;
  const diagnosed = (...typed: string[]) => {
    const noted = typed.map((text, i) => {
      const read = noteReading(text, i === 3 ? 'amps' : 'volts');
      if (!read.ok) throw new Error(text);
      return { point: ['pack', 'R1', 'D1', 'current'][i]!, ...read.value };
    });
    return judgeBench(session, noted).diagnosis!;
  };

  it('name each of many that read alike, and where to look first', () => {
    const touching = ['a3', 'b4', 'c5', 'd6'].map((hole) => ({
      code: 'legs-touching' as const,
      data: { hole, other: 'e7' },
      probability: 0.2,
    }));
    const astray = {
      code: 'leg-astray' as const,
      data: { part: 'D1', kind: 'led' as const },
      probability: 0.1,
    };
    const group = { causes: [...touching, astray], probability: 0.9 };
    expect(likeliestWords({ groups: [group] })).toMatch(
      /a3 and e7, or .*c5 and e7, or 2 more that read alike$/u,
    );
    expect(restWords(group)).toBe(
      'bare legs touching at d6 and e7 and a leg of the lamp D1 in a wrong hole read alike too. First look for bare legs that touch, and spread them.',
    );
    expect(restWords({ causes: [astray] })).toBe('');
  });

  it('say of the next measurement what each outcome would mean, with all that read alike', () => {
    const { next } = judgeBench(session, [{ point: 'R1', value: 0, step: 0.01 }]);
    const rows = outcomeRows(
      next!.outcomes!,
      points.find(({ id }) => id === next!.point),
      points,
    );
    expect(rows.some(({ means }) => /loop open: .*\bor\b/u.test(means))).toBe(true);
  });

  it('say what is likely, and what to do when measuring cannot tell', () => {
    const reversed = diagnosed('4.80', '0.00', '4.80', '0.00');
    expect(likeliestWords(reversed)).toBe(
      'D1 burnt out or missing, or D1 the wrong way round (probed by its rows)',
    );
    expect(nextWords(reversed, points)).toBe('try D1 by itself on a coin cell');
    const ten = diagnosed('4.80', '3.03', '1.77', '0.92');
    expect(plain(likeliestWords(ten))).toBe('R1 is 3.3 kΩ, not 330 Ω');
    expect(nextWords(ten, points)).toBe('read the bands of R1');
    expect(nextWords(diagnosed('0.00', '0.00', '0.00'), points)).toBe('next: measure the current');
    expect(likeliestWords(diagnosed('4.79', '0.29', '1.64', '0.88'))).toBe('Something else');
  });
});

describe('schools and cautions', () => {
  it('have words for each', () => {
    const { loop: sums } = sheetWith();
    const words = sums.schools.map((school) => plain(schoolWords(school, sums.lamp)));
    expect(words).toEqual([
      'next value up',
      'nearest either way',
      'walk down until bright enough',
      'sum with the volts on the label, not fresh',
      'one figure for the lamp, 1.95 V, not its curve',
      'full rated 20 mA',
    ]);
    for (const { code } of sheetWith({ lamp: 'violet' }).cautions)
      expect(CAUTION_WORDS[code].length).toBeGreaterThan(20);
  });
});
