import { TIMERS } from '@/core/catalogue/timers';
import type { Circuit } from '@/core/circuit/circuit';
import type { Run } from '@/core/solver/run/passage';
import { run } from '@/core/solver/run/run';
import { circuitOf, ledPart, made, resistorPart, supplyPart } from '../support/circuits';
import { oneShot, outputDriven, standardBlinker } from '@/demo/circuits';
import type { Case } from './case';
import { lampAmps } from './steady';

const FINE = { relative: 1e-6, absolute: 1e-9 };

function followed(circuit: Circuit, seconds: number, settle = 0, samples = 201): Run {
  const done = run(circuit, { seconds, settle, samples }, { control: FINE });
  if (!done.ok) throw new Error(JSON.stringify(done.findings));
  return done.value;
}

const capacitor = (a: string, b: string, farads: number) => ({
  id: 'C',
  kind: 'capacitor',
  pins: { a, b },
  farads,
});
const square = (hertz: number) => ({
  id: 'S',
  kind: 'signal',
  shape: 'square',
  amplitude: 2.5,
  offset: 2.5,
  hertz,
  pins: { plus: 'plus', minus: '0' },
});

function charging(): Case[] {
  const { nodes, time } = followed(
    circuitOf([supplyPart(9, 0), resistorPart('R', 'plus', 'c', 47e3), capacitor('c', '0', 10e-6)]),
    2,
  );
  return [20, 100, 200].map((i) => ({
    name: '47 kΩ and 10 µF on 9 V',
    quantity: `volts at ${time[i]!.toFixed(1)} s, V`,
    reference: 'V·(1 − e^(−t/RC))',
    expected: 9 * -Math.expm1(-time[i]! / 0.47),
    found: nodes['c']![i]!,
    allowed: 1e-4,
  }));
}

function ringing(): Case[] {
  const [ohms, henries, farads] = [20, 0.01, 1e-6];
  const { nodes, time } = followed(
    circuitOf([
      supplyPart(5, 0),
      resistorPart('R', 'plus', 'l', ohms),
      { id: 'L', kind: 'inductor', henries, pins: { a: 'l', b: 'c' } },
      capacitor('c', '0', farads),
    ]),
    2e-3,
  );
  const decay = ohms / (2 * henries);
  const turn = Math.sqrt(1 / (henries * farads) - decay * decay);
  // Time begins with the coil at its steady current through the empty capacitor.
  const sine = (5 / ohms / farads - 5 * decay) / turn;
  const exact = (t: number) =>
    5 + Math.exp(-decay * t) * (-5 * Math.cos(turn * t) + sine * Math.sin(turn * t));
  return [31, 94, 200].map((i) => ({
    name: '20 Ω, 10 mH and 1 µF on 5 V, ringing',
    quantity: `volts at ${(time[i]! * 1e3).toFixed(2)} ms, V`,
    reference: 'damped oscillation',
    expected: exact(time[i]!),
    found: nodes['c']![i]!,
    allowed: 1e-3,
  }));
}

function swinging(): Case {
  const [ohms, farads, hertz] = [1000, 1e-6, 400];
  const { nodes } = followed(
    circuitOf([
      { id: 'S', kind: 'signal', shape: 'sine', amplitude: 1, hertz, pins: { plus: 's', minus: '0' } },
      resistorPart('R', 's', 'c', ohms),
      capacitor('c', '0', farads),
    ]),
    0.05,
    0,
    8001,
  );
  return {
    name: '1 kΩ and 1 µF on 400 Hz',
    quantity: 'peak after settling, V',
    reference: '1/√(1 + (2πfRC)²)',
    expected: 1 / Math.hypot(1, 2 * Math.PI * hertz * ohms * farads),
    found: Math.max(...nodes['c']!.subarray(6000)),
    allowed: 1e-3,
  };
}

function means(): Case[] {
  const lamp = followed(
    circuitOf([
      { id: 'P', kind: 'pin', drive: 'pwm', duty: 0.3, hertz: 490, pins: { pin: 'p', ground: '0' } },
      resistorPart('R', 'p', 'n', 220),
      ledPart('D', 'n', '0', 'red'),
    ]),
    0.0213,
  );
  const smoothed = followed(
    circuitOf([
      square(1000),
      resistorPart('R', 'plus', 'c', 1e3),
      resistorPart('RL', 'c', '0', 1e3),
      capacitor('c', '0', 1e-6),
    ]),
    0.02,
    0.01,
  );
  return [
    {
      name: 'red lamp behind 220 Ω on a 5 V pin, 30 % PWM',
      quantity: 'mean current, A',
      reference: 'duty × Lambert W',
      expected: 0.3 * lampAmps(5, 245, 'red'),
      found: lamp.means['D']!,
      allowed: 1e-4,
    },
    {
      name: 'square wave through 1 kΩ, smoothed by 1 µF over 1 kΩ',
      quantity: 'mean current of the load, A',
      reference: 'mean volts over 2 kΩ',
      expected: 2.5 / 2000,
      found: smoothed.means['RL']!,
      allowed: 1e-3,
    },
  ];
}

const FAMILIES = ['bipolar', 'cmos'] as const;
const VOLTS = 9;
const FARADS = 10e-6;

/** Seconds of an exponential from one volt to another on its way to a third. */
const way = (seconds: number, end: number, from: number, to: number) =>
  seconds * Math.log((end - from) / (end - to));

function standard(family: (typeof FAMILIES)[number]): Case[] {
  const [ra, rb] = [10e3, 47e3];
  const { dischargeVolts, dischargeOhms } = TIMERS[family];
  const { cycles } = followed(made(standardBlinker(family, VOLTS, [ra, rb], FARADS)), 5, 1.5);
  const both = 1 / (1 / ra + 1 / dischargeOhms);
  const low = (VOLTS / ra + dischargeVolts / dischargeOhms) * both;
  const name = `standard astable, ${family}, 10 kΩ, 47 kΩ, 10 µF`;
  return [
    {
      name,
      quantity: 'time high, s',
      reference: 'ln 2·(RA + RB)·C',
      expected: Math.LN2 * (ra + rb) * FARADS,
      found: cycles['out']!.high!,
      allowed: 1e-3,
    },
    {
      name,
      quantity: 'time low, s',
      reference: 'with the discharge pin’s volts and ohms',
      expected: way((rb + both) * FARADS, low, (2 * VOLTS) / 3, VOLTS / 3),
      found: cycles['out']!.low!,
      allowed: 1e-3,
    },
  ];
}

function driven(family: (typeof FAMILIES)[number]): Case[] {
  const ohms = 47e3;
  const { highDrop, highOhms, lowVolts, lowOhms } = TIMERS[family];
  const { cycles } = followed(made(outputDriven(family, VOLTS, ohms, FARADS)), 5, 1.5);
  const first = followed(made(outputDriven(family, VOLTS, ohms, FARADS)), 1.5).nodes['c']!;
  const high = VOLTS - highDrop;
  const name = `output-driven astable, ${family}, 47 kΩ, 10 µF`;
  const up = (ohms + highOhms) * FARADS;
  return [
    {
      name,
      quantity: 'time high, s',
      reference: 'RC·ln((VOH − V/3)/(VOH − 2V/3))',
      expected: way(up, high, VOLTS / 3, (2 * VOLTS) / 3),
      found: cycles['out']!.high!,
      allowed: 1e-3,
    },
    {
      name,
      quantity: 'time low, s',
      reference: 'RC·ln((2V/3 − VOL)/(V/3 − VOL))',
      expected: way((ohms + lowOhms) * FARADS, lowVolts, (2 * VOLTS) / 3, VOLTS / 3),
      found: cycles['out']!.low!,
      allowed: 1e-3,
    },
    {
      name,
      quantity: 'capacitor after 0.3 s of the first rise, V',
      reference: 'VOH·(1 − e^(−t/RC))',
      expected: high * -Math.expm1(-0.3 / up),
      found: first[40]!,
      allowed: 1e-3,
    },
  ];
}

function pulse(family: (typeof FAMILIES)[number]): Case {
  const [ohms, farads] = [100e3, 10e-6];
  const { dischargeVolts } = TIMERS[family];
  const { cycles } = followed(made(oneShot(family, VOLTS, ohms, farads)), 2);
  return {
    name: `monostable, ${family}, 100 kΩ, 10 µF`,
    quantity: 'pulse, s',
    reference: 'RC·ln(V/(V − 2V/3)), from an empty capacitor',
    expected: way(ohms * farads, VOLTS, 0 * dischargeVolts, (2 * VOLTS) / 3),
    found: cycles['out']!.high!,
    allowed: 1e-3,
  };
}

export function movingCases(): Case[] {
  return [
    ...charging(),
    ...ringing(),
    swinging(),
    ...means(),
    ...FAMILIES.flatMap((family) => [...standard(family), ...driven(family), pulse(family)]),
  ];
}
