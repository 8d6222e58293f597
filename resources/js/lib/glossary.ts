import glossary from '../../../core/data/glossary.json';

export type Term = { term: string; text: string; also: string };

/** Terms of the trade in alphabetical order. */
export const terms: readonly Term[] = glossary.terms;

/** Ledger labels that begin with a term, or mean one. */
const LABELS: [RegExp, string][] = [
    [/^Evenness/, 'evenness'],
    [/^Seam/, 'seam'],
    [/^Colour shift/, 'colour shift'],
    [/^Voltage drop/, 'voltage drop'],
    [/^S\d+ load/, 'headroom'],
];

export function term(name: string): Term | undefined {
    return terms.find((one) => one.term === name);
}

/** Term that explains a ledger label; undefined for labels that need none. */
export function termOf(label: string): Term | undefined {
    const found = LABELS.find(([pattern]) => pattern.test(label));

    return found && term(found[1]);
}
