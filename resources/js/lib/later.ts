import { defineAsyncComponent, type Component } from 'vue';

/** Milliseconds between two tries to load a part of the page. */
const PAUSE = 3000;

/** A part of the page that is loaded when the page is already shown, such as a dialog. Tried again until the server is reached. */
export function later<C extends Component>(load: () => Promise<{ default: C }>): C {
    return defineAsyncComponent({
        loader: async () => (await load()).default,
        onError: (_error, retry) => setTimeout(retry, PAUSE),
    });
}
