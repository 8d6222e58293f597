import { describe, expect, it } from 'vitest';
import { along, nearest } from './standing';
import type { Sheet } from '@/types/generated/responses';

/** Four by three metres, clockwise from the lower left; a climb stands between the first two walls of the notes. */
const sheet = {
    corners: [
        [0, 0],
        [0, 4],
        [3, 4],
        [3, 0],
        [0, 0],
    ],
    walls: [
        { leg: 0, text: '4.00' },
        { leg: 2, text: '3.00' },
        { leg: 3, text: '4.00' },
        { leg: 4, text: '3.00' },
    ],
} as unknown as Sheet;

describe('units on the sheet of walls', () => {
    it('finds the wall that a hand is nearest to', () => {
        expect(nearest(sheet, 0.2, 1.5)).toMatchObject({ wall: 0, at: 1.5, point: [0, 1.5] });
        expect(nearest(sheet, 1.25, 5)).toMatchObject({ wall: 2, at: 1.25, point: [1.25, 4] });
        expect(nearest(sheet, 2.9, 1)).toMatchObject({ wall: 3, at: 3, point: [3, 1] });
    });
    it('goes over corners and stops where the walls end', () => {
        const start = nearest(sheet, 0, 3.8);
        expect(start).not.toBeNull();
        expect(along(sheet, start!, 0.5)).toMatchObject({ wall: 2, at: 0.3 });
        expect(along(sheet, along(sheet, start!, 0.5), -0.5)).toMatchObject({ wall: 0, at: 3.8 });
        expect(along(sheet, start!, -9)).toMatchObject({ wall: 0, at: 0 });
        expect(along(sheet, start!, 99)).toMatchObject({ wall: 4, at: 3 });
    });
});
