import { saveAs } from '@/ui/download';

/** Saves a drawing as it stands on the screen: with its colours, and without what only a screen needs. */
export function saveSvg(svg: SVGSVGElement | null | undefined, name: string): void {
  if (!svg) return;
  const copy = svg.cloneNode(true) as SVGSVGElement;
  for (const node of copy.querySelectorAll('[tabindex]')) {
    node.removeAttribute('tabindex');
    node.removeAttribute('role');
  }
  // A saved drawing has no theme around it: it takes its colours with it.
  const css = getComputedStyle(svg);
  const text = new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\(--([a-z]+)\)/gu, (_, variable: string) => css.getPropertyValue(`--${variable}`).trim());
  saveAs(`${name}.svg`, 'image/svg+xml', text);
}
