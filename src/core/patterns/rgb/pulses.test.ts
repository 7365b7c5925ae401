import { patternSheet, refusedWith, worked } from '../../../../tests/support/sheets';
import { CANDELA_PER_AMP, MIX_COLOUR_NAMES, MIX_COLOURS, WHITE_LIGHT } from '../../catalogue/colours';
import { CONTROLLERS } from '../../catalogue/controllers';
import { LAMPS } from '../../catalogue/lamps';
import { sameCircuit } from '../../board/sameCircuit';
import { readBack } from '../../board/readBack';
import { Junction } from '../../devices/junction';
import { run } from '../../solver/run/run';
import { withoutWires } from '../../circuit/wires';
import { ampsOf } from '../steady/bank';
import { PULSES_AT_FIRST } from './params';
import { ownSums } from '../../../../tests/support/ownSums';

const onPulses = (change: Partial<typeof PULSES_AT_FIRST> = {}, more: object = {}) =>
  ({ drive: 'pulses', pulses: { ...PULSES_AT_FIRST, ...change }, ...more }) as const;

describe('a three-colour lamp on pulses', () => {
  it.each(['cathode', 'anode'] as const)('has the mean of its share, to 0.1 %: common %s', (common) => {
    const { sums, design } = worked('rgb', onPulses({ colour: 'pink' }, { common }));
    for (const [i, { colour, step, peak, mean }] of ownSums(sums).mix!.lamps.entries()) {
      // The pin’s ohms and the rail’s are in its loop; the rail carries the others too.
      const alone = ampsOf([new Junction(LAMPS[colour])], 5, sums.strings[i]!.chosen + 25 + 0.2);
      expect(peak / alone).toBeCloseTo(1, 5);
      expect(Math.abs(mean / ((step / 255) * peak) - 1)).toBeLessThan(4e-3);
    }
    const gone = run(withoutWires(design.circuit), { seconds: 20 / 490, samples: 'steps' }, {});
    if (!gone.ok) throw new Error('cannot be followed');
    for (const { part, mean } of ownSums(sums).mix!.lamps)
      expect(gone.value.means[part]! / mean).toBeCloseTo(1, 3);
  });

  it('gives white by holding back what the eye counts most of: the lights stand in white’s shares', () => {
    const { sums } = worked('rgb', onPulses({ colour: 'white' }));
    const { lamps } = ownSums(sums).mix!;
    for (const { colour, light } of lamps) expect(light).toBeCloseTo(WHITE_LIGHT[colour], 2);
    expect(Math.max(...lamps.map(({ step }) => step))).toBe(255);
  });

  it.each(['five-volt', 'three-volt'] as const)('has every named colour within its steps: %s', (board) => {
    const params = onPulses({ board }, { amps: { red: 0.003, green: 0.001, blue: 0.001 }, values: 'E24' });
    if (refusedWith('rgb', params)?.code === 'cannot-light') return expect(board).toBe('three-volt');
    const { sums } = worked('rgb', params);
    for (const { name, steps } of ownSums(sums).mix!.named) {
      const candela = ownSums(sums).mix!.lamps.map(
        ({ colour, peak }) => (steps[colour] / CONTROLLERS[board].steps) * peak * CANDELA_PER_AMP[colour],
      );
      const beside = ownSums(sums).mix!.lamps.map(({ colour }, i) => candela[i]! / WHITE_LIGHT[colour]);
      const most = Math.max(...beside);
      ownSums(sums).mix!.lamps.forEach(({ colour }, i) =>
        expect(Math.abs(beside[i]! / most - MIX_COLOURS[name][colour])).toBeLessThan(0.06),
      );
    }
    expect(ownSums(sums).mix!.named.map(({ name }) => name)).toEqual(MIX_COLOUR_NAMES);
  });

  it('is laid out with its board, read back, and lights what the mix wants lit', () => {
    for (const common of ['cathode', 'anode'] as const) {
      const sheet = patternSheet('rgb', onPulses({ colour: 'turquoise' }, { common }));
      expect(sameCircuit(readBack(sheet.plan, sheet.circuit), sheet.circuit)).toBe(true);
      expect(sheet.goals.filter(({ met }) => !met)).toEqual([]);
      const lit = sheet.built.lamps.filter(({ look }) => look !== 'dark').map(({ part }) => part);
      expect(lit).toEqual(['D1g', 'D1b']);
      expect(sheet.kit.lines.map(({ key }) => key)).toContain('controller five-volt');
    }
  });

  it.each([
    [{ pins: { red: 9, green: 10, blue: 11 }, colour: 'pink' }, 'pin-does-not-dim', { row: 0, pin: 10 }],
    [{ pins: { red: 9, green: 9, blue: 11 } }, 'pin-twice', { pin: 9 }],
    [{ pins: { red: 9, green: 77, blue: 11 } }, 'no-such-pin', { pin: 77 }],
    [{ colour: 'own', steps: { red: 300, green: 0, blue: 0 } }, 'step-beyond', { step: 300, limit: 255 }],
  ] as const)('is refused by name: %j', (change, code, data) => {
    expect(refusedWith('rgb', onPulses(change))).toMatchObject({ code, data });
  });
});
