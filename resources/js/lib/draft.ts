/** Text that was typed and is not confirmed by the server. `after`: the texts that the server may have when it is read again. */
interface Draft {
    text: string;
    after: string[];
}

/**
 * Drafts of one person in this tab: a page that is closed while an earlier edit is still on its way loses nothing.
 * Storage that is full or switched off keeps none.
 */
export function drafts(owner: string) {
    const key = (thing: string) => `ember-dusk-draft:${owner}:${thing}`;

    function read(thing: string): Draft | null {
        try {
            return JSON.parse(sessionStorage.getItem(key(thing)) ?? 'null') as Draft | null;
        } catch {
            return null;
        }
    }

    return {
        read,
        /** Keeps `text`, which was typed while the server had `now`, or was on the way to it. */
        keep(thing: string, text: string, now: string): void {
            const after = [...new Set([...(read(thing)?.after ?? []), now])];
            try {
                sessionStorage.setItem(key(thing), JSON.stringify({ text, after }));
            } catch {
                return;
            }
        },
        drop(thing: string): void {
            sessionStorage.removeItem(key(thing));
        },
    };
}
