import { isStop, type Step } from './step';

/** Fewer steps than these are no section of their own: they belong to what was built before. */
const FEW = 4;

/** The steps of a card in sections, each up to its test: what is read, built and tried in one go. */
export function cardSections(steps: readonly Step[]): Step[][] {
  const sections: Step[][] = [];
  let open: Step[] = [];
  for (const step of steps) {
    open.push(step);
    if (!isStop(step)) continue;
    sections.push(open);
    open = [];
  }
  if (open.length > 0) sections.push(open);
  return sections.reduce<Step[][]>((kept, section) => {
    const before = kept[kept.length - 1];
    if (!before || section.length >= FEW) return [...kept, section];
    return [...kept.slice(0, -1), [...before, ...section]];
  }, []);
}
