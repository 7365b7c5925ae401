export { bytesOf, fromWav } from './fromWav';
export { toWav } from './toWav';
export { wavHead, type WavHead } from './wavHead';
