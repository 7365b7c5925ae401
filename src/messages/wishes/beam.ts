import { BEAM_LAMPS, ROOMS } from '@/core';
import { SCENE_WORDS } from '@/messages/light';
import { lampName } from '@/messages/names';
import { slotsOf } from './slots';
import { alarmSounds } from './timers';

const b = slotsOf('beam-alarm');
const lamp = b.choice(
  'beam.lamp',
  'Colour of the lamp',
  BEAM_LAMPS.map((type) => [type, lampName(type)] as const),
);
const lens = b.either('beam.lens', 'Lens', [
  ['with', 'with a lens'],
  ['without', 'without a lens'],
]);
const hood = b.either('beam.hood', 'Hood', [
  ['with', 'a hood over the sensor'],
  ['without', 'the sensor open'],
]);
const room = b.choice(
  'beam.room',
  'Room',
  ROOMS.map((name) => [name, SCENE_WORDS[name]] as const),
);
export const beamAlarm = b.say`Let one ${lamp} lamp at about ${b.amps('beam.amps', 'Current of the lamp')} shine on a sensor over ${b.figure('beam.metres', 'Distance', 'A distance', 'm')}, ${lens} and ${hood}, ${room}; when the beam is cut, ${alarmSounds}`;
