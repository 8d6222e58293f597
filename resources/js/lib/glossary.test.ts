import { expect, test } from 'vitest';
import { term, termOf, terms } from './glossary';

test('finds the term of a ledger label', () => {
    expect(termOf('Evenness, Cove')?.term).toBe('evenness');
    expect(termOf('S12 load')?.term).toBe('headroom');
    expect(termOf('Voltage drop in the cables, Path')?.term).toBe('voltage drop');
    expect(termOf('Cable')).toBeUndefined();
});

test('every term is there once', () => {
    expect(new Set(terms.map((one) => one.term)).size).toBe(terms.length);
    expect(term('touch link')?.text).toContain('remote');
});
