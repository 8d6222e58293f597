import { ref } from 'vue';

/** Text that was typed and is not confirmed by the server. `after`: the texts that the server may have when it is read again. */
interface Draft {
    text: string;
    after: string[];
    /** Name of the text, and the page on which it goes on. */
    name?: string;
    url?: string;
}

const PREFIX = 'ember-dusk-draft:';
/** Counts up whenever a draft is kept or dropped, so that lists of drafts are read again. */
const changes = ref(0);

function parsed(key: string): Draft | null {
    try {
        return JSON.parse(localStorage.getItem(key) ?? 'null') as Draft | null;
    } catch {
        return null;
    }
}

/** Drafts of a person on this device with a page on which they go on. */
export function draftsOf(person: number | undefined): { name: string; url: string }[] {
    // A value that is read is followed.
    if (changes.value < 0 || person === undefined) {
        return [];
    }
    try {
        return Object.keys(localStorage)
            .filter((key) => key.startsWith(`${PREFIX}${person}:`))
            .map(parsed)
            .flatMap((draft) => (draft?.name && draft.url ? [{ name: draft.name, url: draft.url }] : []));
    } catch {
        return [];
    }
}

/**
 * Drafts of one person on this device: a page that is closed, or a phone that is switched off, while an edit is not with the server loses nothing.
 * Storage that is full or switched off keeps none.
 */
export function drafts(owner: string) {
    const key = (thing: string) => `${PREFIX}${owner}:${thing}`;

    return {
        read: (thing: string) => parsed(key(thing)),
        /** Keeps `text`, which was typed while the server had `now`, or was on the way to it. */
        keep(thing: string, text: string, now: string, where?: { name: string; url: string }): void {
            const after = [...new Set([...(parsed(key(thing))?.after ?? []), now])];
            try {
                localStorage.setItem(key(thing), JSON.stringify({ text, after, ...where }));
                changes.value++;
            } catch {
                return;
            }
        },
        drop(thing: string): void {
            localStorage.removeItem(key(thing));
            changes.value++;
        },
    };
}
