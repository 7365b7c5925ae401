import type { PatternWords } from './words';

export const lampCover: PatternWords = {
  name: 'Lamp cover',
  about: 'Many lamps in strings on an isolated 12 V supply, the safe stand-in for a mains lamp.',
  analogy: 'The same waterfalls in a chain, several chains side by side on one lake.',
  truth:
    '“Lamps that plug into the wall work just like this” is not so: those without a transformer are live everywhere, and are nobody’s lesson.',
  homework: 'One lamp of a string dies open, another shorts: what does each do to the rest of its string?',
};
