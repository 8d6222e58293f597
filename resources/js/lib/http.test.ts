import { expect, test, vi } from 'vitest';
import { ask, IN_BETWEEN, inWords, NOT_REACHED, pointerOf, Refusal } from './http';

const answer = (body: string, status = 200, ours = true) =>
    vi.stubGlobal(
        'fetch',
        vi.fn(async () => new Response(body, { status, headers: ours ? { 'X-Ember-Now': '1800000000000' } : {} })),
    );

test('an answer of ours is handed on', async () => {
    answer('{"revision": 7}');
    expect(await ask<{ revision: number }>('GET', '/jobs/1/state')).toEqual({ revision: 7 });
});

test('an answer without our mark, one cut off and none at all count as not reached', async () => {
    for (const body of ['<html>Sign in to this network</html>', '{"portal": "accept"}', '']) {
        answer(body, 200, false);
        await expect(ask('GET', '/')).rejects.toMatchObject({ status: 0, message: IN_BETWEEN });
    }
    answer('{"revision": ');
    await expect(ask('GET', '/')).rejects.toMatchObject({ status: 0 });
    vi.stubGlobal('fetch', vi.fn().mockRejectedValue(new TypeError('gone')));
    await expect(ask('GET', '/')).rejects.toMatchObject({ status: 0, message: NOT_REACHED });
});

test('a refusal carries its words and its place', async () => {
    answer('{"message": "The run ends at pad 360.", "pointer": "/pad"}', 422);
    const refusal: unknown = await ask('POST', '/jobs/1/change', {}).catch((error: unknown) => error);
    expect(refusal).toBeInstanceOf(Refusal);
    expect([inWords(refusal), pointerOf(refusal)]).toEqual(['The run ends at pad 360.', '/pad']);
    expect([inWords(new TypeError('odd')), pointerOf('odd')]).toEqual(['TypeError: odd', '']);
});

test('an expired page is renewed in place and what was entered is sent once more', async () => {
    const asked: string[] = [];
    const ours = (status: number, body: object) =>
        new Response(JSON.stringify(body), { status, headers: { 'X-Ember-Now': '1800000000000' } });
    vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
        asked.push(`${url} ${String(init.body ?? '')}`.trim());
        if (url === '/time') {
            return ours(401, { message: 'signed out' });
        }
        return asked.length === 1 ? ours(419, { message: 'expired' }) : ours(200, { revision: 8 });
    });
    expect(await ask<{ revision: number }>('POST', '/jobs/1/change', { name: 'typed' })).toEqual({ revision: 8 });
    expect(asked).toEqual(['/jobs/1/change {"name":"typed"}', '/time', '/jobs/1/change {"name":"typed"}']);
});
