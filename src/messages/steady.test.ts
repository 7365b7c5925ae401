import { patternSheet } from '../../tests/support/sheets';
import { finding } from '@/core';
import { damageWords, ruinWords } from './dryRun';
import { sentence } from './findings';
import { holeName, stripName } from './holes';
import { lengthWords } from './lengths';
import { lessonLine } from './families';
import { legName, stockName, thingName } from './names';
import { pointName, probeWords } from './points';
import { solderWords } from './soldering';
import { listWords, valueOf } from './stepWords';
import { wayWords } from './ways';

const plain = (text: string) => text.replaceAll('\u202f', ' ');

describe('places on every kind of board', () => {
  it('are said as people say them', () => {
    expect(holeName('c8')).toBe('c8');
    expect(holeName('C12')).toBe('C12');
    expect(holeName('R-17')).toBe('right − rail beside row 17');
    expect(holeName('p0')).toBe('the plus tape at the cell');
    expect(holeName('m3')).toBe('the minus tape in lane 3');
    expect(holeName('2s1')).toBe('the top of short tape 2 in lane 1');
    expect(holeName('2t1')).toBe('the foot of short tape 2 in lane 1');
  });

  it('and so are their strips', () => {
    expect(stripName('5 a–e')).toBe('row 5, a–e');
    expect(stripName('L+ lower')).toBe('the left + rail, lower half');
    expect(stripName('C 1–6')).toBe('strip C 1–6');
    expect(stripName('C12')).toBe('pad C12');
    expect(stripName('p')).toBe('the plus tape');
    expect(stripName('1s3')).toBe('short tape 1 of lane 3');
  });
});

describe('names of parts, legs and checkpoints', () => {
  it('follow what the part is', () => {
    expect(thingName('zener', 'Z2')).toBe('the zener Z2');
    expect(thingName('potentiometer', 'P1')).toBe('the potentiometer P1');
    expect(legName('zener', 'cathode')).toBe('banded end');
    expect(legName('led', 'common')).toBe('longest leg');
    expect(legName('potentiometer', 'wiper')).toBe('middle leg');
    expect(pointName({ part: 'R3', kind: 'resistor', measure: 'volts' })).toBe('across R3');
    const d1 = patternSheet('single').checkpoints.find(({ id }) => id === 'D1')!;
    expect(probeWords(d1)).toBe('red probe on the long leg of D1, black on the short leg');
  });

  it('of things in the store', () => {
    expect(plain(stockName({ kind: 'zener', volts: 9.1 }))).toBe('zener 9.10 V');
    expect(plain(stockName({ kind: 'potentiometer', ohms: 22000 }))).toBe('potentiometer 22 kΩ');
    expect(stockName({ kind: 'rgb-lamp', common: 'cathode' })).toBe('three-colour lamp, common cathode');
    expect(stockName({ kind: 'board', board: 'strip' })).toBe('stripboard, 24 strips of 40 holes');
  });

  it('of lists and lengths', () => {
    expect(listWords([])).toBe('');
    expect(listWords(['R1'])).toBe('R1');
    expect(listWords(['R1', 'R2', 'R3'])).toBe('R1, R2 and R3');
    expect(listWords(['D1', 'D2', 'D3', 'D4', 'D5', 'D6', 'D7'])).toBe('D1 to D7');
    expect(plain(lengthWords(64.6))).toBe('65 mm');
    expect(plain(lengthWords(1240))).toBe('1.2 m');
    expect(plain(solderWords({ joints: 70, solder: 420 }))).toBe('70 joints, about 420 mm of solder');
  });
});

describe('lessons in one line', () => {
  it('count lamps by colour', () => {
    expect(plain(lessonLine(patternSheet('strings', { way: { kind: 'strings', length: 2 } })))).toBe(
      '3 blue and 2 red lamps, one 9 V block, fresh: 22.6 mA',
    );
    expect(plain(lessonLine(patternSheet('hogging')))).toMatch(
      /^red, green \(bright type\) and blue lamps, bench supply/u,
    );
    expect(plain(lessonLine(patternSheet('dimmer')))).toMatch(/^yellow lamp, 3 AA cells/u);
  });

  it('put on each part what stands on it', () => {
    const gauge = patternSheet('gauge', {}, 'full');
    expect(plain(valueOf('Z1', gauge))).toMatch(/V$/u);
    expect(valueOf('D1', gauge)).toBe('red');
    expect(valueOf('S1', gauge)).toBe('');
  });
});

describe('ways, mistakes and ruin', () => {
  it('ways are named by how the lamps are joined', () => {
    expect(wayWords({ kind: 'strings', length: 3 })).toBe('strings of 3');
    expect(wayWords({ kind: 'shared', length: 1 })).toBe('all on one resistor');
    expect(wayWords({ kind: 'none', length: 1 })).toContain('no resistor');
  });

  it('a mistake names its part once', () => {
    expect(damageWords({ code: 'lamp-reversed', data: { part: 'D3' } })).toBe('D3 the wrong way round');
    expect(
      plain(damageWords({ code: 'wrong-resistor', data: { part: 'R1', ohms: 33, wantedOhms: 330 } })),
    ).toBe('R1 is 33 Ω, not 330 Ω');
  });

  it('ruin says what, how much and how fast', () => {
    expect(
      plain(
        ruinWords({ part: 'D1', kind: 'led', how: 'current', limit: 0.02, lasting: 'at once', figure: 0.7 }),
      ),
    ).toBe('D1 carries at least 700 mA and fails at once.');
    expect(
      plain(
        ruinWords({
          part: 'R1',
          kind: 'resistor',
          how: 'heat',
          limit: 0.125,
          lasting: 'minutes',
          figure: 0.4,
        }),
      ),
    ).toContain('chars within minutes');
    expect(
      ruinWords({ part: 'B1', kind: 'supply', how: 'shorted', limit: 1, lasting: 'minutes', figure: 2 }),
    ).toContain('Disconnect it first');
  });
});

describe('what a plan or a wish is refused for', () => {
  const says = (...given: Parameters<typeof finding>) => plain(sentence(finding(...given)));

  it('too much for a board: how much, and which would do', () => {
    expect(says('does-not-fit', { board: 'mini', left: 5, of: 12, would: 'full strip' })).toBe(
      'This is too much for the mini board: 5 of 12 parts find no place. It fits on: full board, stripboard.',
    );
    expect(says('does-not-fit', { board: 'full', left: 0, of: 40, would: '' })).toContain(
      'No board here holds it',
    );
  });

  it('lamps that do not share, with the current of each', () => {
    const lamps = [
      { part: 'D1', type: 'blue', amps: 1e-8 },
      { part: 'D2', type: 'red', amps: 0.0208 },
    ];
    const said = says('unequal-lamps', { lamps, dark: 1, over: 1 });
    expect(said).toContain('do not share the current: D1 blue 10.0 nA, D2 red 20.8 mA');
    expect(said).toContain('1 of them stays dark');
    expect(said).toContain('1 is driven above the limit');
  });

  it('a string that the supply cannot push: counted by colour', () => {
    const data = { supply: 9.5, lampVolts: 10.7, lamp: 'blue+blue+blue+red', amps: 0, needVolts: 10.7 };
    expect(says('cannot-light', data)).toContain('through 3 blue and 1 red in a row, which need 10.7 V');
  });

  it('a cut hole, unlike parts, three legs on a card, rungs alike', () => {
    expect(says('hole-cut', { hole: 'F5', part: 'R1' })).toBe('Hole F5 is cut through: R1 cannot use it.');
    expect(says('not-alike', { part: 'R1', other: 'D1' })).toContain('different numbers of legs');
    expect(says('not-for-card', { part: 'P1' })).toContain('Choose a breadboard, stripboard or pad board');
    expect(says('rungs-alike', { first: 'D2', second: 'D3', volts: 11.9 })).toContain(
      'D2 and D3 light at the same 11.9 V',
    );
  });

  it('more than a port gives, and two coin cells bare', () => {
    expect(says('supply-overloaded', { amps: 0.62, limit: 0.5 })).toContain(
      '620 mA is more than this port gives all day (500 mA)',
    );
    expect(says('never-without-resistor', { cells: 2 })).toContain('one coin cell only');
    expect(says('no-zener', { volts: 4, lamp: 'red' })).toContain('at about 4.00 V');
  });
});
