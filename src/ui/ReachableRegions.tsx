'use client';

import { useEffect } from 'react';

/** Blocks that scroll sideways on small screens only, and stand still everywhere else. */
const BLOCKS = '.ruled, .lesson-main, .stage-margin';

/** Gives a block a place in the tab order for as long as its content is wider than the block. */
export function ReachableRegions() {
  useEffect(() => {
    const watch = new ResizeObserver(() => document.querySelectorAll<HTMLElement>(BLOCKS).forEach(mark));
    watch.observe(document.body);
    return () => watch.disconnect();
  }, []);
  return null;
}

function mark(block: HTMLElement): void {
  const scrolls = block.scrollWidth > block.clientWidth + 1 && getComputedStyle(block).overflowX === 'auto';
  if (scrolls === (block.dataset['reach'] === 'yes')) return;
  if (!scrolls) {
    for (const name of ['tabindex', 'data-reach']) block.removeAttribute(name);
    return;
  }
  block.dataset['reach'] = 'yes';
  block.tabIndex = 0;
  if (!block.hasAttribute('role') && !block.hasAttribute('aria-label') && block.tagName !== 'NAV') {
    block.setAttribute('role', 'group');
    block.setAttribute('aria-label', block.querySelector('h2')?.textContent ?? 'Wide content');
  }
}
