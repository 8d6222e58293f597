let last: Promise<unknown> = Promise.resolve();

/** Does one thing after the other, in the order in which they came: a list does not ask for everything immediately. */
export function inLine<T>(work: () => Promise<T>): Promise<T> {
    const next = last.then(work, work);
    last = next;
    return next;
}
