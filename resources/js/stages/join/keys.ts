import type { Shortcut } from '@/lib/keys';
import type { JoinStep } from '@/types/generated/responses';

/** The letter of each thing that can be seen. */
export const LETTERS: Record<string, string> = {
    nothing: 'n',
    other: 'x',
    several: 'v',
    elsewhere: 'e',
    wrong: 'w',
    part: 'r',
    dim: 'u',
};

/** Keys by which a step is worked and answered. */
export function stepKeys(
    at: JoinStep,
    does: { work(): void; saw(seen: string): void; mend(was: string): void },
): Shortcut[] {
    const looks = ['lamp', 'says', 'lights', 'try'].includes(at.look);
    return [
        ...(at.look === 'hand' || at.does ? [{ key: 'd', what: 'Do what the step says', act: does.work }] : []),
        ...(looks ? [{ key: 'y', what: 'Expected result seen', act: () => does.saw('expected') }] : []),
        ...(looks || at.look === 'list'
            ? at.picks.map((p) => ({ key: LETTERS[p.seen] ?? '', what: p.words, act: () => does.saw(p.seen) }))
            : []),
        ...(at.look === 'mend'
            ? [
                  { key: 'y', what: 'Yes, fixed', act: () => does.mend('yes') },
                  { key: 'n', what: 'No, that is fine', act: () => does.mend('no') },
              ]
            : []),
    ];
}
