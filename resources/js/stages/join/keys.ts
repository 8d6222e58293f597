import type { Shortcut } from '@/lib/keys';
import type { JoinStep, StepAnswer } from '@/types/generated/responses';

/** The letter of each answer, by its key. */
export const LETTERS: Record<string, string> = {
    work: 'd',
    expected: 'y',
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

/** Keys by which a step is answered; what is typed has none. */
export function stepKeys(at: JoinStep, give: (answer: StepAnswer) => void): Shortcut[] {
    return at.answers
        .filter((answer) => !answer.typed)
        .map((answer) => ({ key: LETTERS[answer.key] ?? '', what: answer.label, act: () => give(answer) }));
}
