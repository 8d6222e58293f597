import { router } from '@inertiajs/vue3';
import { ref } from 'vue';
import { EXPIRED, IN_BETWEEN, NOT_REACHED, renewed } from './http';

/** Why the last page that was asked for did not come; empty when it did. */
export const pageRefusal = ref('');

const RENEWED = 'The page had expired and is renewed. What you entered is still here: press again.';
const REFUSALS: Record<number, string> = {
    403: 'Your role in the crew does not include this page. The owner of the crew can change it under People.',
    404: 'Not found: it was deleted, or belongs to another crew.',
    503: 'The database was busy for too long: this was not saved. Try again in a moment.',
    507: 'The disk of the server is full: this was not saved. Everything saved before is still there.',
};

/** A failed page visit leaves the open page as it is, with a message. */
export function watchPages(): void {
    router.on('httpException', (event) => {
        const { status, headers } = event.detail.response;
        event.preventDefault();
        if (!headers['x-ember-now']) {
            pageRefusal.value = IN_BETWEEN;
            return;
        }
        if (status === EXPIRED) {
            void renewed().then((ok) => (pageRefusal.value = ok ? RENEWED : NOT_REACHED));
            return;
        }
        pageRefusal.value = REFUSALS[status] ?? `The server answered ${status}. Try again; what was saved stays saved.`;
    });
    router.on('networkError', (event) => {
        event.preventDefault();
        pageRefusal.value = NOT_REACHED;
    });
    router.on('navigate', () => (pageRefusal.value = ''));
}
