/** Milliseconds within which a second press on the same thing is the same press: a thumb that bounced. */
export const BOUNCE = 1000;

/** Tells the first press on a thing from a second one right after it. `now` in milliseconds, of any clock that only goes forward. */
export function pressedOnce(now: () => number = () => performance.now()): (thing: string) => boolean {
    let last = { thing: '', at: -Infinity };
    return (thing) => {
        const at = now();
        if (last.thing === thing && at - last.at < BOUNCE) {
            return false;
        }
        last = { thing, at };
        return true;
    };
}
