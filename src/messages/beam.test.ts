import { patternSheet } from '../../tests/support/sheets';
import { asBuilt, type Sheet } from '@/core';
import { beamLines, beamWords, rowWords } from './beam';
import { stepWords } from './steps';
import { ownSums } from '../../tests/support/ownSums';

const plain = (text: string) => text.replace(/\u202f/gu, ' ');
const figureIn = (text: string) => Number(/[\d.]+/u.exec(plain(text))![0]);

/** What the last gate of a card says. */
function lastGate(sheet: Sheet): string {
  const gate = sheet.steps.filter(({ action }) => action === 'gate').at(-1)!;
  return plain(stepWords(gate, sheet).detail);
}

/** The same sheet, its lamp turned round on the board. */
function withLampTurned(sheet: Sheet): Sheet {
  const placements = sheet.plan.placements.map((placement) => {
    const { anode, cathode } = placement.legs;
    return placement.part === 'D1' ? { ...placement, legs: { anode: cathode!, cathode: anode! } } : placement;
  });
  const plan = { ...sheet.plan, placements };
  return { ...sheet, plan, built: asBuilt(plan, sheet.circuit) };
}

describe('a beam alarm in words', () => {
  const sheet = patternSheet('beam-alarm');
  const beam = ownSums(sheet.sums).beam!;

  it('goes from the lamp to the reset pin line by line', () => {
    const [lamp, room, whole, cut, below] = beamLines(beam).map(({ figure }) => figureIn(figure));
    expect(lamp).toBeCloseTo(beam.whole.lux - beam.cut.lux, -1);
    expect(room).toBeCloseTo(beam.cut.lux, 1);
    expect(whole).toBeCloseTo(beam.whole.volts, 2);
    expect(cut).toBeCloseTo(beam.cut.volts, 1);
    expect(below).toBeCloseTo(beam.switches.typical!, -1);
    expect(plain(beamWords(beam))).toContain('it stands at 0.5 m');
    expect(new Set(beam.rows.map(rowWords))).toEqual(
      new Set(['silent, and sounds when cut', 'never sounds']),
    );
  });

  it('says what is heard of the board that is laid out: of a turned lamp a tone all the time', () => {
    expect(lastGate(sheet)).toMatch(
      /A tone of about 890 Hz is heard; take the hand away, and it is silent\./u,
    );
    expect(lastGate(withLampTurned(sheet))).toMatch(/is heard, all the time\./u);
    expect(lastGate(withLampTurned(sheet))).not.toContain('silent');
  });

  it('puts the hood on with the sensor, before anything is tested, and says so there', () => {
    const words = sheet.steps.map((step) => plain(stepWords(step, sheet).detail));
    const hooded = words.findIndex((text) => text.includes('Push the hood over it now'));
    const tested = words.findIndex((text) => text.includes('under its hood'));
    expect(hooded).toBeGreaterThan(-1);
    expect(tested).toBeGreaterThan(hooded);
  });
});
