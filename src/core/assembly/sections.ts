import type { Step } from './step';

/** The steps of a card in sections, each up to its test: what is read, built and tried in one go. */
export function cardSections(steps: readonly Step[]): Step[][] {
  const sections: Step[][] = [];
  let open: Step[] = [];
  for (const step of steps) {
    open.push(step);
    if (!('gate' in step)) continue;
    sections.push(open);
    open = [];
  }
  if (open.length > 0) sections.push(open);
  return sections;
}
