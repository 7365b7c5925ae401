import { isGapped, isProbed, typedReading, type Checkpoint, type Measured } from '@/core';
import { environment } from '../env';
import { Refusal } from '../failures';
import { expectationOf } from '../repositories/sessions';
import type { BenchName } from '../standins/benches';
import { benchText } from '../standins/benchNamed';
import { OVERLOAD, readFigure } from '../standins/header';
import { STANDIN } from '../standins/meter';
import { withInstrument } from './lines';

/** What the meter shows, as it would be typed, and which meter it is. */
export interface MeterSays {
  readonly typed: string;
  readonly meter: string;
}

const ASKS: Readonly<Record<Measured, string>> = {
  volts: 'MEAS:VOLT:DC?',
  amps: 'MEAS:CURR:DC?',
  hertz: 'MEAS:FREQ?',
  seconds: 'MEAS:PER?',
};

/**
 * Reads a meter whose probes are where the checkpoint wants them.
 *
 * @param bench made up, for a stand-in; it is told where its probes are
 * @throws Refusal where the meter is not there, is overloaded, or shows nothing that can be taken
 */
export async function readMeter(address: string, point: Checkpoint, bench?: BenchName): Promise<MeterSays> {
  const measured = isProbed(point)
    ? 'volts'
    : isGapped(point)
      ? 'amps'
      : (point.measure as 'hertz' | 'seconds');
  return withInstrument(address, async (line) => {
    const name = await line.ask('*IDN?');
    const standsIn = name.startsWith(STANDIN);
    if (bench && standsIn) line.tell(`STAN:BENC ${benchText(bench)};:STAN:PROB "${point.id}"`);
    else if (measured === 'hertz' || measured === 'seconds')
      throw new Refusal('What is counted or timed is not read off the meter: type it.');
    const text = await line.ask(ASKS[measured]);
    const figure = readFigure(text);
    if (!figure) throw new Refusal(`The meter says “${text.slice(0, 40)}”, which is no figure.`);
    if (Math.abs(figure.value) >= OVERLOAD)
      throw new Refusal('The meter shows an overload: take its next larger range.');
    const watched = measured === 'hertz' || measured === 'seconds';
    return {
      typed: typedReading({ ...figure, step: watched ? 0 : figure.step }, measured),
      meter: nameOf(name),
    };
  });
}

/** Reads the house's own meter at a checkpoint of a session. */
export async function readHouseMeter(sessionId: number, point: string): Promise<MeterSays> {
  const { meter } = environment();
  if (meter === undefined) throw new Refusal('No meter is connected: the setting MIVVET_METER names one.');
  const { dictionary } = await expectationOf(sessionId);
  const at = dictionary.points.find(({ id }) => id === point);
  if (!at) throw new Refusal('This session has no such checkpoint. Load the page again.');
  return readMeter(meter, at);
}

/** Maker and model, of what an instrument says of itself. */
function nameOf(identity: string): string {
  const [maker = '', model = ''] = identity.split(',').map((text) => text.trim());
  return (maker === 'Mivvet' ? model : `${maker} ${model}`).trim().slice(0, 40) || 'meter';
}
