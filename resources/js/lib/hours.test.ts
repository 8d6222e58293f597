import { expect, test } from 'vitest';
import { hoursOf, since } from './hours';
import { readNumber } from './number';

test('a minute of work is told by the clock at which work begins', () => {
    expect(hoursOf(8, 0)).toBe('08:00');
    expect(hoursOf(8, 125)).toBe('10:05');
    expect(hoursOf(13, 59)).toBe('13:59');
});

test('seconds since something began are minutes and seconds', () => {
    expect(since(0)).toBe('0:00');
    expect(since(61.9)).toBe('1:01');
    expect(since(600)).toBe('10:00');
});

test('a decimal is read with point and comma, and nothing else is', () => {
    expect(readNumber(' 1,35 ')).toBe(1.35);
    expect(readNumber('1.35')).toBe(1.35);
    for (const text of ['', '-1', '1,3,5', '1e3', 'one', '1.']) {
        expect(readNumber(text)).toBeNull();
    }
});
