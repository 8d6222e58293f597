import { beforeEach, expect, it, vi } from 'vitest';
import { drafts, draftsOf } from './draft';

beforeEach(() => {
    const held = new Map<string, string>();
    vi.stubGlobal(
        'localStorage',
        new Proxy({} as Record<string, unknown>, {
            get: (_, name) =>
                ({
                    getItem: (key: string) => held.get(key) ?? null,
                    setItem: (key: string, text: string) => held.set(key, text),
                    removeItem: (key: string) => held.delete(key),
                })[name as string],
            ownKeys: () => [...held.keys()],
            getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
        }),
    );
});

it('keeps the last text with every text that the server may have', () => {
    const mine = drafts('1');
    mine.keep('a', 'one two', 'one');
    mine.keep('a', 'one two three', 'one two');
    mine.keep('a', 'one two three', 'one two');
    expect(mine.read('a')).toEqual({ text: 'one two three', after: ['one', 'one two'] });
    mine.drop('a');
    expect(mine.read('a')).toBeNull();
});

it('keeps the drafts of two people and two places apart', () => {
    drafts('1').keep('a', 'mine', '');
    expect(drafts('2').read('a')).toBeNull();
    expect(drafts('1').read('b')).toBeNull();
});

it('loses nothing else where storage is full or unreadable', () => {
    vi.stubGlobal('localStorage', {
        getItem: () => '{"text":',
        setItem: () => {
            throw new Error('full');
        },
    });
    const mine = drafts('1');
    mine.keep('a', 'one', '');
    expect(mine.read('a')).toBeNull();
});

it('lists what waits of one person, with the page on which it goes on', () => {
    const where = { name: 'Wall notes of Dome', url: '/jobs/3/survey' };
    drafts('1:3').keep('dome', 'one', '', where);
    drafts('2:3').keep('dome', 'two', '', { ...where, name: 'Of another person' });
    drafts('1:3').keep('hall', 'three', '');
    expect(draftsOf(1)).toEqual([where]);
    expect(draftsOf(undefined)).toEqual([]);
    drafts('1:3').drop('dome');
    expect(draftsOf(1)).toEqual([]);
});
