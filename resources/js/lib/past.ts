import { router } from '@inertiajs/vue3';

/** Drops the browser's copy of a page on going back, before the page is built: the server's answer is newer. */
export function forgetKeptPage(): void {
    const [way] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
    if (way?.type === 'back_forward') {
        history.replaceState(null, '');
    }
}

/** Back and forward show the current state of a page, not the one when it was left. */
export function watchPast(): void {
    window.addEventListener('popstate', () => {
        // After the router has shown its copy. If signed out meanwhile, the answer is the sign-in page.
        setTimeout(() =>
            router.visit(window.location.href, { replace: true, preserveScroll: true, preserveState: false }),
        );
    });
    // A whole page that the browser kept alive.
    window.addEventListener('pageshow', (event) => event.persisted && window.location.reload());
}

/** Leaves for the sign-in page as a new document: nothing of the pages before it is kept. */
export function leaveFor(url: string): void {
    window.location.replace(url);
}
