import { ref } from 'vue';

const KEY = 'ember-dusk-face';

function kept(): string {
    try {
        return localStorage.getItem(KEY) ?? 'day';
    } catch {
        return 'day';
    }
}

export const face = ref(kept());

/** Puts the chosen face, day or night, on the page. */
export function applyFace(): void {
    document.documentElement.dataset.face = face.value;
}

export function turnFace(): void {
    face.value = face.value === 'day' ? 'night' : 'day';
    try {
        localStorage.setItem(KEY, face.value);
    } catch {
        // A browser that keeps nothing still turns the page.
    }
    applyFace();
}
