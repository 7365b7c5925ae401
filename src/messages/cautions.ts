import type { CautionCode } from '@/core';

/** Short, at the step they belong to, and never the only line of defence. */
export const CAUTION_WORDS: Readonly<Record<CautionCode, string>> = {
  'extra-low-voltage':
    'Batteries and USB only: nothing in this lesson touches mains. Local rules, the site’s own risk assessment and qualified people come first.',
  'limit-guards':
    'No resistor guards these lamps: the current limit of the bench supply does, alone. Set it before anything is joined to it, with its leads touching each other, and let nobody turn it up.',
  'flashing-light':
    'Flashing light: 3 to 60 flashes a second, and red most of all, can trigger seizures. Say so before class and ask first; small and dim help.',
  'chip-notch':
    'The chip’s notch shows its end: pin 1 is left of it, seen from above. A chip that gets hot is in the wrong way round: power off at once.',
  'electrolytic-way-round':
    'An electrolytic capacitor that sits the wrong way round can vent. Its stripe is minus: check it before power.',
  'loud-tone': 'Start the tone at low volume, with the speaker away from ears.',
  'power-off-first': 'Power off before every change. Minus first, plus last.',
  'cable-out-first': 'The controller’s cable out before every change. Ground first, the cable last.',
  'hot-smell-cable':
    'Hot, a smell, smoke: pull the controller’s cable first, wait for it to cool, then use tweezers.',
  'hot-smell-stop': 'Hot, a smell, smoke: pull the plus lead first, wait for it to cool, then use tweezers.',
  'coin-cells':
    'A swallowed coin cell burns a child’s gullet within two hours: closed holders, counted out and counted in, never with small children unattended. If one may be swallowed: emergency care at once.',
  'block-terminals': 'Carry 9 V blocks with their caps on; never let the two terminals touch metal.',
  'accumulator-fuse': 'A lead-acid battery goes through a fuse at its plus terminal, always.',
  'cells-not-shorted': 'Never touch the two battery leads together: shorted cells get hot enough to burn.',
  'bright-lamp': 'This lamp is bright: no staring into it, and not at eye level for children.',
  'violet-eyes': 'Violet is near ultraviolet: no looking into it, shade it or keep it low.',
  'infrared-unseen': 'Infrared is bright though unseen: look through a phone’s camera, not into the lamp.',
  'warm-resistor': 'The resistor gets hot to touch: leave it alone while the power is on.',
  'coin-cell-only':
    'No resistor holds for one coin cell only, whose own ohms limit the current: never on AA cells, USB or two coin cells.',
  'mains-stand-in':
    'This stands in for a mains lamp: an isolated 12 V supply in a closed case, and nothing of the mains lamp is opened.',
  'soldering-iron':
    'Iron in its stand, window open or extraction on, hair tied, no food, hands washed after. A burn goes under cool running water for twenty minutes.',
  'clippings-fly':
    'Glasses on when cutting legs, and a hand over the cutter: clippings fly. Count them into the tin.',
  'tapes-apart': 'The plus tape and the minus tape must never touch: the cell would be shorted and get hot.',
  'never-without-resistor': 'Never without the resistor: the lamp would be ruined at once, and may pop.',
};
