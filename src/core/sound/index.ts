/** All that has to do with sound, for the one door. */
export { lengthOf, stretchOf, type Sound } from '../numerics/sound';
export { playing, sideOf } from '../circuit/soundLead';
export { hearsSound } from '../observe/held';
export { soundOf } from '../observe/sound';
export { FRAME, listen, type Heard, type Music } from './listen';
export { SOUND_RATE, sweptHertz, TEST_SECONDS, TEST_SOUNDS, testSound, type TestSound } from './pieces';
export { asLoud, responseTo, tonesAlong, type Response } from './response';
export { loudnessOf, mixed, roughly } from './roughly';
