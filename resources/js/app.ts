import '../css/app.css';
import { createInertiaApp } from '@inertiajs/vue3';
import { createApp, h, type DefineComponent } from 'vue';
import { applyFace } from './lib/face';

applyFace();

createInertiaApp({
    title: (title) => (title ? `${title} · Ember Dusk` : 'Ember Dusk'),
    resolve: async (name) => {
        const pages = import.meta.glob<{ default: DefineComponent }>('./pages/*.vue');
        const page = pages[`./pages/${name}.vue`];
        if (!page) {
            throw new Error(`There is no page ${name}.`);
        }
        return (await page()).default;
    },
    setup({ el, App, props, plugin }) {
        createApp({ render: () => h(App, props) })
            .use(plugin)
            .mount(el);
    },
    progress: { delay: 300, color: '#cf4a1b' },
});
