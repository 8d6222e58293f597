import { useLocalStorage } from '@vueuse/core';

/** Day or night, as chosen on this device. A browser without storage still switches the page. */
export const face = useLocalStorage('ember-dusk-face', 'day', { onError: () => undefined });

/** Puts the chosen face on the page. */
export function applyFace(): void {
    document.documentElement.dataset.face = face.value;
}

export function turnFace(): void {
    face.value = face.value === 'day' ? 'night' : 'day';
    applyFace();
}
