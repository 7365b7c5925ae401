import type { AtVolts } from '@/core';
import { inThread } from '../work/pool';
import { madeUpBench, type BenchName } from './benches';
import { benchNamed } from './benchNamed';
import { FAULTS, figureText, isHeader, readFigure, type Command } from './header';
import type { Instrument, Said } from './lineServer';
import { STANDIN } from './meter';

/** As far as it goes: the most that any lesson may have. */
const MOST_VOLTS = 24;
/** Its display's last digits. */
const VOLTS_STEP = 0.01;
const AMPS_STEP = 1e-4;

/** A variable supply that feeds a made-up bench in the place of the bench's own. */
export function standInSupply(): Instrument {
  const now: Setting = { bench: undefined, volts: 0, on: false };
  return (command: Command) => (command.asks ? asked(command.header, now) : set(command, now));
}

interface Setting {
  bench: BenchName | undefined;
  volts: number;
  on: boolean;
  /** What was worked out last, and at what setting. */
  at?: { readonly of: BenchName; readonly volts: number; readonly found: AtVolts | undefined };
}

/** What the bench does on so many volts: asked for its current and its lamps, it is worked out once. */
async function standing(bench: BenchName, volts: number, now: Setting): Promise<AtVolts | undefined> {
  if (now.at?.of !== bench || now.at.volts !== volts) {
    const { circuit } = await madeUpBench(bench);
    const [found] = await inThread('swept', { circuit, volts: [volts] });
    now.at = { of: bench, volts, found };
  }
  return now.at.found;
}

async function asked(header: string, now: Setting): Promise<Said> {
  const volts = now.on ? now.volts : 0;
  if (header === '*idn') return { answer: `${STANDIN} supply,0,1` };
  if (isHeader('VOLTage', header)) return { answer: figureText(now.volts, VOLTS_STEP) };
  if (isHeader('OUTPut', header)) return { answer: now.on ? '1' : '0' };
  if (isHeader('MEASure:VOLTage', header)) return { answer: figureText(volts, VOLTS_STEP) };
  const current = isHeader('MEASure:CURRent', header);
  if (!current && !isHeader('STANdin:SEEN', header)) return { fault: FAULTS.undefinedHeader };
  if (!now.bench) return { fault: FAULTS.noData };
  const at = await standing(now.bench, volts, now);
  if (!at) return { fault: FAULTS.noData };
  return { answer: current ? figureText(at.amps, AMPS_STEP) : looksText(at.looks) };
}

function set({ header, rest }: Command, now: Setting): Said {
  if (header === '*rst') {
    Object.assign(now, { bench: undefined, volts: 0, on: false });
    return undefined;
  }
  if (isHeader('STANdin:BENCh', header)) {
    now.bench = benchNamed(rest);
    return now.bench ? undefined : { fault: FAULTS.missing };
  }
  if (isHeader('OUTPut', header)) {
    if (!/^(?:on|off|0|1)$/iu.test(rest)) return { fault: FAULTS.missing };
    now.on = /^(?:on|1)$/iu.test(rest);
    return undefined;
  }
  if (!isHeader('VOLTage', header)) return { fault: FAULTS.undefinedHeader };
  const setting = readFigure(rest)?.value;
  if (setting === undefined) return { fault: FAULTS.missing };
  if (setting < 0 || setting > MOST_VOLTS) return { fault: FAULTS.outOfRange };
  now.volts = setting;
  return undefined;
}

function looksText(looks: AtVolts['looks']): string {
  return Object.entries(looks)
    .map(([lamp, look]) => `${lamp} ${look}`)
    .join(',');
}
