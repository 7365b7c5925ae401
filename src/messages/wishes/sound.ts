import { BAND_HEARD } from '@/messages/sound';
import { slotsOf } from './slots';

const s = slotsOf('sound-lights');
const lampFor = (band: 'low' | 'middle' | 'high') =>
  s.lamp(`lamps.${band}`, `Lamps for the ${BAND_HEARD[band]}`);
const low = s.figure('bounds.low', 'Lower bound', 'The lower bound', 'Hz', 7);
const high = s.figure('bounds.high', 'Upper bound', 'The upper bound', 'Hz', 7);
const level = s.figure('level', 'Level of the sound', 'A level', 'V');
export const soundLights = s.say`Let the bass light two ${lampFor('low')} lamps, voices two ${lampFor('middle')} and cymbals two ${lampFor('high')}, parted at ${low} and ${high}, at about ${s.amps('amps')}, by sound of ${level} on each side, from ${s.supply}${s.resistorChoice}.`;
