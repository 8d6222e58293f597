import '../css/app.css';
import { createInertiaApp, router } from '@inertiajs/vue3';
import { createApp, h, type DefineComponent } from 'vue';
import { keptAt, startTaken } from '@/lib/along';
import { heardTime, liveIn } from '@/lib/clock';
import { watchPages } from '@/lib/connection';
import { applyFace } from '@/lib/face';
import { applyKeys } from '@/lib/keys';
import { forgetKeptPage, watchPast } from '@/lib/past';
import { startOutbox } from '@/lib/outbox';
import { person } from '@/lib/person';

applyFace();
applyKeys();
forgetKeptPage();

createInertiaApp({
    title: (title) => (title ? `${title} · Ember Dusk` : 'Ember Dusk'),
    resolve: async (name) => {
        const pages = import.meta.glob<{ default: DefineComponent }>('./stages/*/*Page.vue');
        const page = Object.entries(pages).find(([path]) => path.endsWith(`/${name}Page.vue`))?.[1];
        if (!page) {
            throw new Error(`There is no page ${name}.`);
        }
        return (await page()).default;
    },
    setup({ el, App, props, plugin }) {
        // The page was in progress for up to as long as it took to come.
        const now = Number(props.initialPage.props.now);
        const [way] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
        // One that the browser brought back, or that was taken along, may be hours old.
        if (now && way?.type !== 'back_forward' && keptAt() === null) {
            heardTime(now, Date.now() - performance.now(), Date.now());
        }
        liveIn(String(props.initialPage.props.zone));
        createApp({ render: () => h(App, props) })
            .use(plugin)
            .mount(el);
        watchPages();
        watchPast();
        startOutbox();
        let who = person()?.id;
        void startTaken().catch(() => undefined);
        router.on('success', () => {
            if (person()?.id !== who) {
                who = person()?.id;
                void startTaken().catch(() => undefined);
            }
        });
    },
    // Its style is in app.css: the page may not add style elements.
    progress: { delay: 300, includeCSS: false },
});
