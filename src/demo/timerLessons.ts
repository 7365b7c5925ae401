import type { LessonContent } from '@/server/repositories/lessons';
import { BLOCK, cells, lesson, on } from './lesson';

/** The lessons of the harbour that move: one of every timer pattern, after the steady ones. */
export const TIMER_LESSONS: readonly LessonContent[] = [
  lesson(
    'Lighthouse',
    {
      aim: 'Each student says how long the light is on and how long it is off, finds the two parts that decide it, and times ten flashes.',
      story: 'Every lighthouse has a rhythm of its own, so that a skipper knows it from the next.',
      notes:
        'The light hangs from the plus rail: it is lit while the output is down. Ask why before saying it.',
      homework: 'Write down the rhythm of a light that you can see from home, and the two times to ask for.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'blink',
      params: {
        supply: BLOCK,
        family: 'bipolar',
        lamp: 'white',
        amps: 0.008,
        on: 0.6,
        off: 0.9,
        quiet: false,
      },
      build: on('half'),
    },
  ),
  lesson(
    'Buoy',
    {
      aim: 'One resistor and one capacitor keep the time of two lamps: which is lit for longer, and why?',
      story: 'The buoy at the bar shows red, then green, then red again.',
      ageGroup: '13 and up',
    },
    {
      pattern: 'blink-simple',
      params: {
        supply: BLOCK,
        family: 'bipolar',
        lamp: 'red',
        second: 'green',
        amps: 0.008,
        seconds: 1.2,
        quiet: false,
      },
      build: on('half'),
    },
  ),
  lesson(
    'Gangway light',
    {
      aim: 'One press lights the gangway for as long as it takes to walk it, and then it goes out by itself.',
      story: 'Nobody must forget to put the gangway light out.',
      ageGroup: '13 and up',
    },
    {
      pattern: 'one-shot',
      params: { supply: BLOCK, family: 'bipolar', lamp: 'yellow', amps: 0.008, seconds: 20, quiet: false },
      build: on('half'),
    },
  ),
  lesson(
    'Fog horn',
    {
      aim: 'Make a tone of a wished pitch, and tune it against a reference by its beats.',
      story: 'When the light is no use any more, the harbour is heard.',
      ageGroup: '13 and up',
    },
    {
      pattern: 'tone',
      params: { supply: BLOCK, family: 'bipolar', amps: 0.015, hertz: 220, quiet: false },
      build: on('half'),
    },
  ),
  lesson(
    'Port and starboard',
    {
      aim: 'Two timers, a slow one and a fast one: explain why the red flashes only while one is up, and the green while it is down.',
      story: 'At the harbour mouth red and green take turns, some flashes each.',
      notes:
        'Announce the flashing before class. The slow half is tested alone before the fast one goes in: ask which colour it will be.',
      ageGroup: '13 and up',
    },
    {
      pattern: 'alternate',
      params: {
        supply: BLOCK,
        family: 'bipolar',
        lamps: ['red', 'green'],
        amps: 0.008,
        flash: 0.4,
        flashes: 5,
        quiet: false,
      },
      build: on('full'),
    },
  ),
  lesson(
    'Lock-gate signal',
    {
      aim: 'Three lamps in turn from two timers: say which chip decides about which lamp.',
      story: 'Stop, make ready, sail in: the lock has a signal, over and over.',
      ageGroup: '13 and up',
    },
    {
      pattern: 'chain',
      params: {
        supply: BLOCK,
        family: 'bipolar',
        lamps: ['red', 'yellow', 'green'],
        amps: 0.008,
        seconds: [2, 2, 2],
        quiet: false,
      },
      build: on('full'),
    },
  ),
  lesson(
    'Solar buoy',
    {
      aim: 'Read the meter across a lit lamp, find fewer volts than it needs, and say what the meter does not show.',
      story:
        'By day the sun fills one small cell; by night a booster makes short, higher pulses of it for the lamp.',
      notes: 'Ask for the volts of a white lamp before anybody measures.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'pulsed',
      params: { lamp: 'white', amps: 0.004, volts: 5, hertz: 1000, duty: 0.4, ohms: 10, cell: 'aa-nimh' },
      build: on('half'),
    },
  ),
  lesson(
    'Boathouse lamp',
    {
      aim: 'A lamp that comes on at dusk by itself: find the two parts that decide it, and the light at which it does.',
      story: 'Nobody is at the boathouse when it gets dark, and everybody comes home then.',
      notes: 'Let each bench hold a hand over the sensor, slowly. No lamp must shine on it.',
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'light-switch',
      params: { supply: cells(4), lamp: 'white', amps: 0.008, lit: 'dusk', dark: 'classroom' },
      build: on('half'),
    },
  ),
  lesson(
    'Jetty tripwire',
    {
      aim: 'An alarm that sounds when somebody walks through a beam: find what holds it silent, and measure that with the beam whole and cut.',
      story: 'At night nobody shall step onto the jetty unheard: a lamp at one post, a sensor at the other.',
      notes:
        'A black straw over the sensor is the hood; a magnifying glass does for the lens. Set up one beam a table, or neighbours disturb one another.',
      extras: [
        {
          name: 'twin lead, 0.6 m',
          each: 1,
          use: '',
        },
        { name: 'magnifying lens', each: 1, use: '' },
        { name: 'black straw', each: 1, use: '' },
      ],
      ageGroup: '13 and up',
      level: 'full working',
    },
    {
      pattern: 'beam-alarm',
      params: {
        supply: BLOCK,
        family: 'bipolar',
        amps: 0.015,
        hertz: 880,
        quiet: false,
        beam: { lamp: 'white', amps: 0.01, metres: 0.5, lens: true, hood: true, room: 'room' },
      },
      build: on('half'),
    },
  ),
];
