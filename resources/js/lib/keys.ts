import { useEventListener } from '@vueuse/core';

export type Shortcut = {
    key: string;
    what: string;
    act: (event: KeyboardEvent) => void;
    ctrl?: boolean;
    shift?: boolean;
};

function inField(event: KeyboardEvent): boolean {
    const at = event.target as HTMLElement;
    return at.matches?.('input, textarea, select, [contenteditable]') ?? false;
}

/** Shortcuts of the open page. Without Ctrl they are inactive while typing or in a dialog. */
export function useKeys(shortcuts: () => Shortcut[]): void {
    function hear(event: KeyboardEvent): void {
        if (event.defaultPrevented || document.querySelector('[role=dialog]')) {
            return;
        }
        const ctrl = event.ctrlKey || event.metaKey;
        if (event.altKey || (!ctrl && inField(event))) {
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
