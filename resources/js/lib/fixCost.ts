import { ask, Refusal } from './http';
import type { Fix, QuoteMove } from '@/types/generated/responses';

/** Change of the quote for each fix, by revision. */
const known = new Map<string, Promise<string>>();
let priced = true;

export const UNCHANGED = 'quote unchanged';

/** For tests and for another person on the same page. */
export function forgetCosts(): void {
    known.clear();
    priced = true;
}

/** The amount in words; empty if it is not known, or not visible to this person. */
export function fixCost(job: number, revision: number, fix: Fix): Promise<string> {
    const key = `${job} ${revision} ${JSON.stringify(fix.change)}`;
    const there = known.get(key);
    if (there || !priced) {
        return there ?? Promise.resolve('');
    }
    const asked = ask<QuoteMove>('POST', `/jobs/${job}/quotes/preview`, { stage: 'parts', change: fix.change })
        .then(({ moves }) =>
            Number(moves.value) === 0 ? UNCHANGED : `${sign(moves.value)}${moves.text} ${moves.unit}`,
        )
        .catch((error: unknown) => {
            // A role without prices is not asked again; a change that is no longer possible has no price.
            priced = !(error instanceof Refusal && error.status === 403);
            known.delete(key);
            return '';
        });
    known.set(key, asked);
    return asked;
}

const sign = (value: number) => (value > 0 ? '+' : '');
