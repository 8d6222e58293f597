import { expect, it } from 'vitest';
import { runningLight } from './effect';

const part = (first: number, last: number, more = {}) => ({ first, last, reversed: false, mirrored: false, ...more });
/** Pixel, from 1, that is brightest in a part. */
const head = (light: Float32Array, from: number, to: number) => {
    const some = [...light].slice(from - 1, to);
    return from + some.indexOf(Math.max(...some));
};

it('runs from the first pixel to the last, or the other way', () => {
    for (const [turn, forth, back] of [
        [0, 1, 10],
        [0.55, 6, 5],
        [0.999, 10, 1],
    ] as const) {
        expect(head(runningLight(10, [part(1, 10)], turn), 1, 10)).toBe(forth);
        expect(head(runningLight(10, [part(1, 10, { reversed: true })], turn), 1, 10)).toBe(back);
    }
});

it('meets in the middle where a part is mirrored', () => {
    const light = runningLight(10, [part(1, 10, { mirrored: true })], 0.999);
    expect([light[4], light[5]]).toEqual([1, 1]);
    const start = runningLight(10, [part(1, 10, { mirrored: true })], 0);
    expect([start[0], start[9]]).toEqual([1, 1]);
});

it('gives every part the same time and leaves the rest dark', () => {
    const light = runningLight(100, [part(1, 10), part(21, 80)], 0.5);
    expect(head(light, 1, 10)).toBe(6);
    expect(head(light, 21, 80)).toBe(51);
    expect([...light].slice(10, 20).every((one) => one === 0)).toBe(true);
    expect([...light].slice(80).every((one) => one === 0)).toBe(true);
});
