/** Pixels of a run, counted from 1 at its start, that one effect runs along. */
export interface Part {
    first: number;
    last: number;
    /** It begins at the last pixel. */
    reversed: boolean;
    /** It runs from both ends to the middle. */
    mirrored: boolean;
}

/** Pixels of the tail behind the first lit one, as a share of the part; at least three. */
const TAIL = 0.15;

/**
 * Light of every pixel, 0 to 1, while one light runs along each part; pixels of no part are dark. `turn` is the share of a
 * round that has passed, 0 to 1: every part takes the same time, as boards do it.
 */
export function runningLight(pixels: number, parts: Part[], turn: number): Float32Array {
    const light = new Float32Array(pixels);
    for (const { first, last, reversed, mirrored } of parts) {
        const count = last - first + 1;
        const way = mirrored ? Math.ceil(count / 2) : count;
        const tail = Math.max(3, Math.round(way * TAIL));
        const head = Math.min(way - 1, Math.floor(turn * way));
        for (let behind = 0; behind < tail && head - behind >= 0; behind++) {
            const step = head - behind;
            const near = reversed ? last - 1 - step : first - 1 + step;
            light[near] = Math.max(light[near] ?? 0, 1 - behind / tail);
            if (mirrored) {
                const far = reversed ? first - 1 + step : last - 1 - step;
                light[far] = Math.max(light[far] ?? 0, 1 - behind / tail);
            }
        }
    }
    return light;
}
