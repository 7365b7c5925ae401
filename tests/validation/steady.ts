import { LAMPS, type LampType } from '@/core/catalogue/lamps';
import { wrightOmega } from '@/core/numerics/omega';
import { THERMAL_VOLTS } from '@/core/quantities/constants';
import { solve, type Solved } from '@/core/solver/solve';
import { circuitOf, lampLoop, ledPart, resistorPart, supplyPart } from '../support/circuits';
import { timerPart } from '@/demo/circuits';
import { bisect, type Case } from './case';

function figures(parts: readonly object[]): Solved {
  const solved = solve(circuitOf(parts));
  if (!solved.ok) throw new Error(JSON.stringify(solved.findings));
  return solved.value;
}

/** Lambert W (as Wright omega) for one junction and a resistor: Banwell & Jayakumar, 2000. */
export function lampAmps(volts: number, ohms: number, type: LampType): number {
  const { vf, at, n, rs } = LAMPS[type];
  const unit = n * THERMAL_VOLTS;
  const saturation = at / Math.expm1((vf - rs * at) / unit);
  const all = rs + ohms;
  const z = (volts + all * saturation) / unit + Math.log((all * saturation) / unit);
  return (unit / all) * wrightOmega(z) - saturation;
}

function lamps(): Case[] {
  const loops: [number, LampType, number][] = [
    [3, 'infrared', 100],
    [4.8, 'red', 330],
    [9, 'green', 560],
    [5, 'blue', 150],
    [12, 'violet', 1e5],
  ];
  return loops.map(([volts, type, ohms]) => {
    const solved = solve(lampLoop(volts, 0.5, type, ohms));
    if (!solved.ok) throw new Error(type);
    return {
      name: `${volts} V, ${ohms} Ω, one ${type} lamp`,
      quantity: 'current, A',
      reference: 'Lambert W',
      expected: lampAmps(volts, ohms + 0.5, type),
      found: solved.value.parts['D1']!.amps,
      allowed: 1e-6,
    };
  });
}

function dividers(): Case[] {
  const plain = figures([
    supplyPart(9, 0),
    resistorPart('R1', 'plus', 'm', 4700),
    resistorPart('R2', 'm', '0', 1000),
  ]);
  const loaded = figures([
    supplyPart(5, 0),
    { id: 'P', kind: 'potentiometer', pins: { a: 'plus', wiper: 'w', b: '0' }, ohms: 10e3, position: 0.3 },
    resistorPart('R', 'w', '0', 2200),
  ]);
  const below = 1 / (1 / 7000 + 1 / 2200);
  const sensor = figures([
    supplyPart(5, 0),
    { id: 'L', kind: 'ldr', pins: { a: 'plus', b: 'm' }, lux: 150 },
    resistorPart('R', 'm', '0', 4700),
  ]);
  const inLight = 15e3 * 15 ** -0.7;
  const built = figures([supplyPart(9, 0), ledPart('D', 'plus', '0', 'red', { inside: 390 })]);
  return [
    {
      name: '4.7 kΩ over 1 kΩ on 9 V',
      quantity: 'tap, V',
      reference: 'V·R2/(R1 + R2)',
      expected: (9 * 1000) / 5700,
      found: plain.nodes['m']!,
      allowed: 1e-9,
    },
    {
      name: '10 kΩ potentiometer at 0.3, loaded with 2.2 kΩ',
      quantity: 'wiper, V',
      reference: 'loaded divider',
      expected: (5 * below) / (3000 + below),
      found: loaded.nodes['w']!,
      allowed: 1e-9,
    },
    {
      name: 'light-dependent resistor in 150 lx over 4.7 kΩ',
      quantity: 'tap, V',
      reference: 'r10·(lux/10)^−γ',
      expected: (5 * 4700) / (4700 + inLight),
      found: sensor.nodes['m']!,
      allowed: 1e-9,
    },
    {
      name: 'red lamp with 390 Ω built in, on 9 V',
      quantity: 'current, A',
      reference: 'Lambert W',
      expected: lampAmps(9, 390, 'red'),
      found: built.parts['D']!.amps,
      allowed: 1e-6,
    },
  ];
}

/** Reverse current of a 6.2 V zener behind 330 Ω on 12 V, by bisection on its equation. */
function zener(): Case {
  const { parts } = figures([
    supplyPart(12, 0),
    resistorPart('R', 'plus', 'z', 330),
    { id: 'Z', kind: 'zener', type: 'zener-6v2', pins: { anode: '0', cathode: 'z' } },
  ]);
  const [vz, iz, nz, rz] = [6.2, 0.005, 2, 7];
  const left = (amps: number) =>
    amps - iz * Math.exp((12 - 330 * amps - rz * amps - (vz - rz * iz)) / (nz * THERMAL_VOLTS));
  return {
    name: '6.2 V zener behind 330 Ω on 12 V',
    quantity: 'reverse current, A',
    reference: 'its equation, by bisection',
    expected: bisect(left, 0, 0.05),
    found: -parts['Z']!.amps,
    allowed: 1e-6,
  };
}

function transistors(): Case[] {
  const beta = 200;
  const stage = (polarity: 'npn' | 'pnp') => {
    const rail = polarity === 'npn' ? 9 : -9;
    return figures([
      supplyPart(rail, 0),
      resistorPart('RB', 'plus', 'b', 470e3),
      resistorPart('RC', 'plus', 'c', 680),
      {
        id: 'Q',
        kind: 'transistor',
        polarity,
        betaF: beta,
        pins: { collector: 'c', base: 'b', emitter: '0' },
      },
    ]).parts['Q']!;
  };
  // In the active region Ib = (is/β)·(e^(Vbe/VT) − 1), to within the reverse junction's is/βR.
  const base = bisect((v) => (1e-14 / beta) * Math.expm1(v / THERMAL_VOLTS) - (9 - v) / 470e3, 0.3, 0.9);
  const wanted = 1e-14 * Math.expm1(base / THERMAL_VOLTS);
  return (['npn', 'pnp'] as const).map((polarity) => ({
    name: `${polarity} stage, 470 kΩ into the base, 680 Ω in the collector, 9 V`,
    quantity: 'collector current, A',
    reference: 'Ebers–Moll, active region, by bisection',
    expected: wanted,
    found: Math.abs(stage(polarity).amps),
    allowed: 1e-6,
  }));
}

function sources(): Case[] {
  const limited = figures([supplyPart(9, 0, { limitAmps: 0.05 }), resistorPart('R', 'plus', '0', 47)]);
  const pin = figures([
    { id: 'P', kind: 'pin', drive: 'pwm', duty: 0.25, pins: { pin: 'p', ground: '0' } },
    resistorPart('R', 'p', '0', 975),
  ]);
  const idle = figures([
    { ...supplyPart(9, 0), pins: { plus: 'v', minus: '0' } },
    timerPart('U', 'bipolar', { trigger: 'v', threshold: '0', output: 'o' }),
    resistorPart('R', 'o', '0', 1000),
  ]);
  const held = figures([
    { ...supplyPart(9, 0), pins: { plus: 'v', minus: '0' } },
    timerPart('U', 'bipolar', { trigger: 'v', threshold: '0', output: 'o', reset: 'r' }),
    resistorPart('R', 'r', '0', 4700),
    resistorPart('RO', 'o', '0', 1000),
  ]);
  return [
    {
      name: '9 V limited to 50 mA into 47 Ω',
      quantity: 'volts, V',
      reference: 'limit × ohms',
      expected: 0.05 * 47,
      found: limited.nodes['plus']!,
      allowed: 1e-9,
    },
    {
      name: '5 V pin, 25 % PWM, 975 Ω',
      quantity: 'mean current, A',
      reference: 'duty·V/(R + 25 Ω)',
      expected: (0.25 * 5) / 1000,
      found: pin.parts['R']!.amps,
      allowed: 1e-9,
    },
    {
      name: 'bipolar timer at rest on 9 V',
      quantity: 'supply current, A',
      reference: '0.63 mA/V·V − 0.5 mA, and the divider',
      expected: 0.63e-3 * 9 - 0.5e-3 + 9 / 15e3,
      found: idle.parts['U']!.pins['supply']!,
      allowed: 1e-9,
    },
    {
      name: 'reset pin of a bipolar timer held low by 4.7 kΩ',
      quantity: 'pin, V',
      reference: '0.1 mA × ohms, below 0.7 V',
      expected: 0.47,
      found: held.nodes['r']!,
      allowed: 1e-6,
    },
  ];
}

export function steadyCases(): Case[] {
  return [...lamps(), ...dividers(), zener(), ...transistors(), ...sources()];
}
