/** How far this device's clock is from the server's, and how far that can be wrong, both in milliseconds. */
type Measured = { offset: number; error: number };

let zone: string | undefined;
let best: Measured | null = null;

/**
 * Takes the server's time from an answer. It was written between the two moments of this device's clock; the shorter that span, the better. A
 * contradiction to an earlier measure means that this device's clock was changed.
 */
export function heardTime(server: number, sent: number, got: number): void {
    const error = Math.max(1, (got - sent) / 2);
    const offset = server - (sent + got) / 2;
    if (!best || error <= best.error || Math.abs(offset - best.offset) > error + best.error) {
        best = { offset, error };
    }
}

/** The server's time now, in milliseconds since 1970; this device's own as long as the server was never heard. */
export function serverNow(): number {
    return Date.now() + (best?.offset ?? 0);
}

/** A moment as the crew's clocks show it, wherever this device is: paper and screens say the same. */
export function said(at: string, how: Intl.DateTimeFormatOptions): string {
    return new Date(at).toLocaleString('en-GB', { timeZone: zone, ...how });
}

/** The zone in which the crew works, as the server has it. */
export function liveIn(name: string): void {
    zone = name;
}

/** The day where the crew works, YYYY-MM-DD. */
export const todayHere = (): string => new Date(serverNow()).toLocaleDateString('sv-SE', { timeZone: zone });
