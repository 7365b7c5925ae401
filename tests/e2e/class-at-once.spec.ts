import { expect, test } from '@playwright/test';
import { classAtOnce } from '../support/classAtOnce';

test('forty benches entered by ten at once lose and double nothing, the server killed in the middle', async () => {
  const { sent, kept, heard } = await classAtOnce({
    port: 4272,
    build: '.next-test',
    clients: 10,
    overMs: 12_000,
    kill: true,
  });
  expect(sent).toBe(40 * 12);
  expect(kept).toBe(sent);
  // Every client has heard of every reading.
  expect(heard).toEqual(Array.from({ length: 10 }, () => sent));
});
