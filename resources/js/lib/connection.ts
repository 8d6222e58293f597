import { router } from '@inertiajs/vue3';
import { ref } from 'vue';
import { IN_BETWEEN, NOT_REACHED } from './http';

/** Why the last page that was asked for did not come; empty when it did. */
export const pageRefusal = ref('');

const REFUSALS: Record<number, string> = {
    404: 'This is not there any more, or belongs to another crew.',
    419: 'The page is too old. Load it again, then sign in.',
};

/** A page that does not come leaves the one that is open as it is, and says so. */
export function watchPages(): void {
    router.on('invalid', (event) => {
        const { status, headers } = event.detail.response;
        event.preventDefault();
        if (!headers['x-ember-now']) {
            pageRefusal.value = IN_BETWEEN;
            return;
        }
        pageRefusal.value = REFUSALS[status] ?? `The server answered ${status}. Try again; what is kept stays kept.`;
    });
    router.on('exception', (event) => {
        event.preventDefault();
        pageRefusal.value = NOT_REACHED;
    });
    router.on('navigate', () => (pageRefusal.value = ''));
}
