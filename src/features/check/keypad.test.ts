import { withKey } from './Keypad';

const typed = (keys: string) => [...keys].reduce(withKey, '');

describe('keys of our own', () => {
  it('type figures, with one point', () => {
    expect(typed('2.7.1')).toBe('2.71');
    expect(typed('.5')).toBe('.5');
  });

  it('change the sign wherever the minus is pressed', () => {
    expect(typed('4.8−')).toBe('-4.8');
    expect(typed('−4.8−')).toBe('4.8');
  });

  it('count flashes over seconds, each with a point of its own', () => {
    expect(typed('10/15.2')).toBe('10/15.2');
  });

  it('take the last one away again', () => {
    expect(typed('12⌫')).toBe('1');
    expect(typed('⌫')).toBe('');
  });
});
