import { configure, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { THIN } from '@/core';
import { typedStore } from '@/ui/typedStore';

/** A test waits for a state; a slow machine comes to it later. */
configure({ asyncUtilTimeout: 60_000 });

/** Text as it is read: narrow spaces as plain ones, and no breaks. */
export function said(element: Element | null): string {
  return (element?.textContent ?? '').replaceAll(THIN, ' ').replace(/\s+/gu, ' ').trim();
}

/** Shows a screen and gives the hand that works it. */
export function show(element: ReactElement) {
  const user = userEvent.setup();
  const view = render(element);
  return { user, ...view };
}

/** Types into a field in the place of what stands there. */
export async function retype(user: ReturnType<typeof userEvent.setup>, label: string | RegExp, text: string) {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  await user.type(field, text);
  return field;
}

/** The row of a table that begins with a name. */
export function row(name: string | RegExp): HTMLElement {
  return screen.getByRole('row', { name });
}

let complaints: jest.SpyInstance;
beforeEach(() => {
  // Each comes to a new tab.
  typedStore.clear();
  complaints = jest.spyOn(console, 'error');
});
// A screen that complains to the console is broken, whatever else it shows.
afterEach(() => {
  // Answers of workers come when they come, also after a test has seen enough.
  const said = complaints.mock.calls
    .map(([text]) => String(text).slice(0, 200))
    .filter((text) => !text.includes('not wrapped in act'));
  complaints.mockRestore();
  expect(said).toEqual([]);
});

export { screen, within };
