export { BANDS, tonesOf, type Band as SoundBand } from './params';
export { spokenChannels } from './spoken';
export type { SoundChannel, SoundSums } from './sums';
