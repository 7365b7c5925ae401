/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { typedStore } from './typedStore';
import { useTyped } from './useTyped';

jest.mock('next/navigation', () => jest.requireActual('../../tests/support/navigation'));

beforeEach(() => typedStore.clear());

it('what is typed stays over a reload, apart by place and page, until it is saved', () => {
  const first = renderHook(() => useTyped('name', ''));
  act(() => first.result.current[1]('Sander'));
  expect(first.result.current[0]).toBe('Sander');
  first.unmount();
  expect(renderHook(() => useTyped('name', '')).result.current[0]).toBe('Sander');
  expect(renderHook(() => useTyped('meets', 'never')).result.current[0]).toBe('never');
  window.history.pushState({}, '', '/another');
  expect(renderHook(() => useTyped('name', '')).result.current[0]).toBe('');
  window.history.pushState({}, '', '/');
  const again = renderHook(() => useTyped('name', ''));
  act(() => again.result.current[1](undefined));
  expect(again.result.current[0]).toBe('');
  expect(window.sessionStorage.length).toBe(0);
});

it('stays in the page where the browser keeps nothing', () => {
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('full');
  });
  const { result } = renderHook(() => useTyped('name', ''));
  act(() => result.current[1]('Sander'));
  expect(result.current[0]).toBe('Sander');
  full.mockRestore();
});
