import { expect, test } from 'vitest';
import type { JoinStep } from '@/types/generated/responses';
import { shifted } from './ahead';

const step = (from: number | null, to: number | null) => ({ from, to }) as JoinStep;

test('a window that an answer opens begins when that answer really came; one that was open before stays', () => {
    const answers = [
        { foreseen: 100, came: 130 },
        { foreseen: 105, came: 150 },
    ];
    expect(shifted(step(105, 119), answers)).toEqual(step(150, 164));
    expect(shifted(step(100, 114), answers)).toEqual(step(130, 144));
    expect(shifted(step(90, 165), answers)).toEqual(step(90, 165));
    expect(shifted(step(null, null), answers)).toEqual(step(null, null));
});
