import { expect, test } from 'vitest';
import type { JoinStep, StepAnswer } from '@/types/generated/responses';
import { shifted } from './ahead';
import { early } from './keys';

const step = (from: number | null, to: number | null) => ({ from, to, lookUntil: to }) as JoinStep;

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

test('nothing seen is too early while a sign may still come, and hands before the window', () => {
    const at = { from: 40, to: 55, lookUntil: 52 } as JoinStep;
    const answer = (key: string) => ({ key }) as StepAnswer;
    expect(early(at, answer('nothing'), 44.5)).toBe(7.5);
    expect(early(at, answer('nothing'), 52)).toBe(0);
    expect(early(at, answer('work'), 31)).toBe(9);
    expect(early(at, answer('expected'), 31)).toBe(0);
    expect(early({ from: null, lookUntil: null } as JoinStep, answer('nothing'), 3)).toBe(0);
});
