import { useEventListener, useLocalStorage } from '@vueuse/core';

export type Shortcut = {
    key: string;
    what: string;
    act: (event: KeyboardEvent) => void;
    ctrl?: boolean;
    shift?: boolean;
};

/** Whether keys without Ctrl work, as chosen on this device: speech input types single letters by mistake. */
export const singleKeys = useLocalStorage('ember-dusk-keys', 'on', { onError: () => undefined });

/** Puts the choice on the page, which hides the marks of keys that do not work. */
export function applyKeys(): void {
    document.documentElement.dataset.keys = singleKeys.value;
}

export function turnKeys(): void {
    singleKeys.value = singleKeys.value === 'on' ? 'off' : 'on';
    applyKeys();
}

function inField(event: KeyboardEvent): boolean {
    const at = event.target as HTMLElement;
    return at.matches?.('input, textarea, select, [contenteditable]') ?? false;
}

/** Shortcuts of the open page. Without Ctrl they are inactive while typing, in a dialog, and where single keys are switched off. */
export function useKeys(shortcuts: () => Shortcut[]): void {
    function hear(event: KeyboardEvent): void {
        if (event.defaultPrevented || document.querySelector('[role=dialog]')) {
            return;
        }
        const ctrl = event.ctrlKey || event.metaKey;
        if (event.altKey || (!ctrl && (inField(event) || singleKeys.value === 'off'))) {
            return;
        }
        const found = shortcuts().find(
            (s) =>
                s.key.toLowerCase() === event.key.toLowerCase() &&
                (s.ctrl ?? false) === ctrl &&
                (s.shift === undefined || s.shift === event.shiftKey),
        );
        if (found) {
            event.preventDefault();
            found.act(event);
        }
    }
    useEventListener(window, 'keydown', hear);
}
