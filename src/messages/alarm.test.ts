import { cooledLook, isAlarm } from './seen';

describe('something hot', () => {
  it('is an alarm from the look that says so to the one that says it is cold', () => {
    expect(isAlarm(['ok', 'hot'])).toBe(true);
    expect(isAlarm(['hot', 'ok', 'D1 dark'])).toBe(true);
    expect(isAlarm(['D1 dark, smoke'])).toBe(true);
    expect(isAlarm(['hot', 'was hot, D1 dark', 'ok'])).toBe(false);
    expect(isAlarm(['hot', 'was hot', 'hot'])).toBe(true);
    expect(isAlarm(['D1 dark'])).toBe(false);
    expect(isAlarm([])).toBe(false);
  });

  it('said to be cold keeps what else was said last', () => {
    expect(cooledLook(['hot, D1 dark'])).toBe('was hot, D1 dark');
    expect(cooledLook(['hot', 'ok'])).toBe('was hot');
  });
});
