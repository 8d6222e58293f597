<script setup lang="ts">
import { Head, Link } from '@inertiajs/vue3';
import { toString } from 'qrcode';
import { computed, onMounted, ref } from 'vue';
import ConnectionNote from '@/ui/ConnectionNote.vue';
import type { Label } from '@/types/generated/responses';

/** Labels of a job on sheets of common sizes; the code on each opens its place in the job. */
const props = defineProps<{ job: number; name: string; labels: Label[] }>();
type Sheet = { id: string; name: string; columns: number; rows: number; width: number; height: number };
const SHEETS: Sheet[] = [
    { id: 'a', name: '24 on A4, 70 x 37 mm', columns: 3, rows: 8, width: 70, height: 37 },
    { id: 'b', name: '40 on A4, 52 x 29 mm', columns: 4, rows: 10, width: 52, height: 29 },
    { id: 'c', name: '65 on A4, 38 x 21 mm', columns: 5, rows: 13, width: 38, height: 21 },
];
const sheet = ref(SHEETS[0]!);
const codes = ref<Record<string, string>>({});
const pages = computed(() => {
    const each = sheet.value.columns * sheet.value.rows;
    return Array.from({ length: Math.ceil(props.labels.length / each) }, (_, n) =>
        props.labels.slice(n * each, (n + 1) * each),
    );
});
onMounted(async () => {
    const made = await Promise.all(
        props.labels.map(
            async (l) =>
                [
                    l.key,
                    await toString(`${window.location.origin}/jobs/${props.job}/${l.stage}#${l.of}`, {
                        type: 'svg',
                        margin: 0,
                        errorCorrectionLevel: 'M',
                    }),
                ] as const,
        ),
    );
    codes.value = Object.fromEntries(made);
});
const print = () => window.print();
</script>

<template>
    <Head :title="`Labels, ${name}`" />
    <main class="p-6 print:p-0">
        <header class="mb-4 flex flex-wrap items-baseline gap-4 print:hidden">
            <h1 class="font-head text-xl font-semibold">Labels, {{ name }}</h1>
            <span class="text-ink2"
                ><span class="fig">{{ labels.length }}</span> labels on <span class="fig">{{ pages.length }}</span>
                {{ pages.length === 1 ? 'sheet' : 'sheets' }}</span
            >
            <label
                >Sheet
                <select v-model="sheet" class="pick">
                    <option v-for="s in SHEETS" :key="s.id" :value="s">{{ s.name }}</option>
                </select></label
            >
            <button type="button" class="press" @click="print">Print</button>
            <Link :href="`/jobs/${job}/parts`" class="act">Back to Parts</Link>
        </header>
        <ConnectionNote />
        <p v-if="labels.length === 0">Nothing to label yet: lay cables at Wire first.</p>
        <section
            v-for="(page, n) in pages"
            :key="n"
            :aria-label="`Sheet ${n + 1}`"
            class="page"
            :style="{
                gridTemplateColumns: `repeat(${sheet.columns}, ${sheet.width}mm)`,
                gridAutoRows: `${sheet.height}mm`,
            }"
        >
            <article v-for="label in page" :key="label.key" class="label">
                <!-- eslint-disable vue/no-v-html -- drawn by the code library from the page's own address -->
                <div
                    class="code"
                    :style="{ width: `${sheet.height * 0.55}mm` }"
                    aria-hidden="true"
                    v-html="codes[label.key] ?? ''"
                />
                <!-- eslint-enable vue/no-v-html -->
                <div class="min-w-0">
                    <h2 class="fig font-semibold" :style="{ fontSize: `${sheet.height * 0.17}mm` }">
                        {{ label.title }}
                    </h2>
                    <p
                        v-for="line in label.lines"
                        :key="line"
                        :style="{ fontSize: `${sheet.height * 0.085}mm`, lineHeight: 1.2 }"
                    >
                        {{ line }}
                    </p>
                </div>
            </article>
        </section>
    </main>
</template>

<style scoped>
.page {
    display: grid;
    width: 210mm;
    min-height: 297mm;
    margin-bottom: 8mm;
    background: #fff;
    color: #000;
    break-after: page;
    align-content: start;
    justify-content: center;
}
.label {
    display: flex;
    gap: 2mm;
    align-items: center;
    padding: 2mm;
    overflow: hidden;
    outline: 0.2mm dashed #bbb;
}
.code {
    flex: none;
}
@media print {
    .page {
        margin: 0;
    }
    .label {
        outline: none;
    }
    @page {
        size: A4;
        margin: 0;
    }
}
</style>
