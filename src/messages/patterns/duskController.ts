import type { PatternWords } from './words';

export const duskController: PatternWords = {
  name: 'Dusk by controller',
  about: 'A controller reads a light sensor and lights a lamp by a threshold in its program.',
  analogy:
    'Somebody who reads a thermometer and lights the stove below 18°, and puts it out above 20°: between the two nothing is touched.',
  truth:
    '“The controller measures light” is not so: it compares the volts of a divider with its own rail and counts the share.',
  homework: 'Write down three things at home that go on and off at two different marks, and why they do.',
};
