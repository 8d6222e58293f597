/** A decimal as hands write it, point or comma; null when it is none. */
export function readNumber(text: string): number | null {
    const plain = text.trim().replace(',', '.');
    return /^\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
}
