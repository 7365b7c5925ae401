import type { PatternChoice, Way } from '@/core';

/** The lesson changed so that it is built in another of its ways, where its pattern knows more than one. */
export function withWay(choice: PatternChoice, way: Way): PatternChoice | undefined {
  switch (choice.pattern) {
    case 'strings': {
      if (way.kind === 'none') return undefined;
      const taken =
        way.kind === 'strings' ? ({ kind: 'strings', length: way.length } as const) : { kind: way.kind };
      return { ...choice, params: { ...choice.params, supply: way.supply, way: taken } };
    }
    case 'coin-light':
      return { ...choice, params: { ...choice.params, resistor: way.kind === 'own' } };
    case 'rgb':
      return way.kind === 'own' || way.kind === 'shared'
        ? { ...choice, params: { ...choice.params, resistors: way.kind } }
        : undefined;
    case 'lamp-cover':
      return { ...choice, params: { ...choice.params, length: way.length } };
    default:
      return undefined;
  }
}
