const two = (n: number): string => String(Math.floor(n)).padStart(2, '0');

/** A minute of work as the clock shows it, HH:MM, where work begins at a full hour. */
export const hoursOf = (begins: number, minute: number): string => `${two(begins + minute / 60)}:${two(minute % 60)}`;

/** Seconds since something began, m:ss. */
export const since = (seconds: number): string => `${Math.floor(seconds / 60)}:${two(seconds % 60)}`;

/** A day, YYYY-MM-DD, as people say it: Tue 1 Dec. */
export const dayWords = (day: string): string =>
    new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
