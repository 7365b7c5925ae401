import type { Circuit } from '../circuit/circuit';
import { seriesParallel, type Tree } from './tree';

/** The ways that current takes from plus to minus, each as the parts it passes in order; none for other circuits. */
export function currentPaths(circuit: Circuit): string[][] {
  const tree = seriesParallel(circuit);
  return tree ? pathsOf(tree) : [];
}

function pathsOf(tree: Tree): string[][] {
  if (tree.form === 'part') return [[tree.part.id]];
  if (tree.form === 'parallel') return tree.parts.flatMap(pathsOf);
  return tree.parts.reduce<string[][]>(
    (paths, next) => paths.flatMap((path) => pathsOf(next).map((more) => [...path, ...more])),
    [[]],
  );
}
