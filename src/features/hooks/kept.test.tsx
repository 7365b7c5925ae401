/** @jest-environment jsdom */
import { act } from '@testing-library/react';
import { said, screen, show } from '../../../tests/support/screen';
import { kept } from '@/ui/kept';
import { useKept } from './useKept';

function Name({ label }: { label: string }) {
  const [name, put] = useKept('test.name', 'nobody');
  return (
    <p>
      {label}: {name} <button onClick={() => put(`${label}’s`)}>{label}</button>
    </p>
  );
}

const words = () => [...document.querySelectorAll('p')].map(said).join('; ');

beforeEach(() => localStorage.clear());
afterEach(() => jest.restoreAllMocks());

describe('what this browser keeps', () => {
  it('is shown alike wherever it stands, and again on the next visit', async () => {
    const { user, unmount } = show(
      <>
        <Name label="one" />
        <Name label="two" />
      </>,
    );
    expect(words()).toContain('one: nobody');
    await user.click(screen.getByRole('button', { name: 'one' }));
    expect(words()).toMatch(/one: one’s.*two: one’s/u);
    unmount();
    show(<Name label="later" />);
    expect(words()).toContain('later: one’s');
  });

  it('breaks nothing where the store is full, blocked or broken', async () => {
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(kept.write('test.other', { a: 1 })).toBe(false);
    jest.restoreAllMocks();
    localStorage.setItem('test.name', 'not JSON');
    expect(kept.read('test.name')).toBeUndefined();
    jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
      throw new DOMException('blocked', 'SecurityError');
    });
    expect(kept.text('test.name')).toBeUndefined();
    act(() => kept.forget('test.name'));
    const { user } = show(<Name label="blocked" />);
    await user.click(screen.getByRole('button', { name: 'blocked' }));
    expect(words()).toContain('blocked: nobody');
  });
});
