import { defineConfig } from 'vite';
import laravel from 'laravel-vite-plugin';
import vue from '@vitejs/plugin-vue';
import tailwindcss from '@tailwindcss/vite';

export default defineConfig({
    plugins: [laravel({ input: ['resources/js/app.ts'] }), vue(), tailwindcss()],
    resolve: { alias: { '@': '/resources/js' } },
});
