import { describe, expect, it } from 'vitest';
import { cueBetween, windowAt } from './cues';

const at = (now: number) => windowAt({ from: 10, to: 18 }, now);

describe('cues of a window', () => {
    it('counts the last three seconds before it opens, and says when it is open', () => {
        const cues = [...Array(12).keys()].map((second) => cueBetween(at(second), at(second + 1)));
        expect(cues).toEqual([null, null, null, null, null, null, 'count', 'count', 'count', 'open', null, null]);
    });

    it('counts the last three seconds before it closes, and says when it is over', () => {
        const cues = [12, 13, 14, 15, 16, 17, 18].map((second) => cueBetween(at(second), at(second + 1)));
        expect(cues).toEqual([null, null, 'count', 'count', 'count', 'close', null]);
    });

    it('says the latest only where the page slept', () => {
        expect(cueBetween(at(2), at(12))).toBe('open');
        expect(cueBetween(at(2), at(30))).toBe('close');
    });

    it('is silent for steps without a window', () => {
        const none = { from: null, to: null };
        expect(cueBetween(windowAt(none, 1), windowAt(none, 9))).toBeNull();
    });
});
