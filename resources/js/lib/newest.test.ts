import { expect, test } from 'vitest';
import { Refusal } from './http';
import { onlyNewest } from './newest';

test('an answer, or a refusal, that comes after that of a newer question is not heard', async () => {
    const heard: string[] = [];
    const ask = onlyNewest<string>(
        (said) => heard.push(said),
        (why) => heard.push(`refused: ${why}`),
    );
    let answer: (said: string) => void = () => undefined;
    let refuse: (why: Refusal) => void = () => undefined;
    const all = [
        ask(new Promise((done) => (answer = done))),
        ask(new Promise((_, fail) => (refuse = fail))),
        ask(Promise.resolve('third')),
    ];
    await all[2];
    answer('first');
    refuse(new Refusal('second', 422));
    await Promise.all(all);
    await ask(Promise.reject(new Refusal('fourth', 422)));
    expect(heard).toEqual(['third', 'refused: fourth']);
});
