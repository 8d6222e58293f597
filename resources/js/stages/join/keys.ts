import type { Shortcut } from '@/lib/keys';
import type { JoinStep, StepAnswer } from '@/types/generated/responses';

/** The letter of each answer, by its key. */
export const LETTERS: Record<string, string> = {
    work: 'd',
    expected: 'y',
    first: 'o',
    nothing: 'n',
    other: 'x',
    several: 'v',
    elsewhere: 'e',
    wrong: 'w',
    part: 'r',
    dim: 'u',
    yes: 'y',
    no: 'n',
};

/** Seconds for which an answer is too early: before its window opens, or nothing seen while a sign may still come. */
export function early(at: JoinStep, answer: StepAnswer, now: number): number {
    if (answer.key === 'nothing') {
        return Math.max(0, (at.lookUntil ?? 0) - now);
    }
    return answer.key === 'work' ? Math.max(0, (at.from ?? 0) - now) : 0;
}

/** Keys by which a step is answered; what is typed has none, and what is too early has no effect. */
export function stepKeys(at: JoinStep, give: (answer: StepAnswer) => void, now: () => number): Shortcut[] {
    return at.answers
        .filter((answer) => !answer.typed)
        .map((answer) => ({
            key: LETTERS[answer.key] ?? '',
            shift: false,
            what: answer.label,
            act: () => early(at, answer, now()) === 0 && give(answer),
        }));
}
