<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Slip } from '@/types/generated/responses';

const props = defineProps<{ slips: Slip[]; label: string; words: string[] }>();
const text = defineModel<string>({ required: true });
/** The line that the caret is in; 0 while nothing is typed. */
const typed = defineModel<number>('typed', { default: 0 });
const area = ref<HTMLTextAreaElement>();
const emit = defineEmits<{ back: [what: 'undo' | 'redo'] }>();

type Bit = { text: string; kind: string };

/** A line in bits: numbers, words of the notation, names, remarks, and the slips underlined where they stand. */
function bits(line: string, number: number): Bit[] {
    const slip = props.slips.find((s) => s.line === number);
    const cut = slip
        ? [
              line.slice(0, slip.column),
              line.slice(slip.column, slip.column + slip.length),
              line.slice(slip.column + slip.length),
          ]
        : [line];
    return cut.flatMap((part, n) => {
        if (n === 1 || (slip && n === 0 && slip.length === 0)) {
            const kind = number === typed.value ? 'unfinished' : 'slip';
            return [...(n === 1 ? [] : plain(part)), { text: n === 1 ? part || ' ' : '', kind }].filter(
                (b) => b.text !== '',
            );
        }
        return plain(part);
    });
}

function kindOf(word: string): Bit['kind'] {
    if (word.startsWith('#')) {
        return 'remark';
    }
    if (/^\d/.test(word)) {
        return 'number';
    }
    return props.words.includes(word.toLowerCase()) ? 'word' : 'name';
}

function plain(part: string): Bit[] {
    return [...part.matchAll(/#.*|\d+(?:[.,x]\d+)*|\p{L}[\p{L}\p{N}_-]*|[^\p{L}\p{N}#]+/gu)].map(([word]) => ({
        text: word,
        kind: kindOf(word),
    }));
}

const lines = computed(() =>
    text.value.split('\n').map((line, n) => ({
        number: n + 1,
        bits: bits(line, n + 1),
        slip: n + 1 !== typed.value && props.slips.some((s) => s.line === n + 1),
    })),
);

/** The line of the caret, from the browser's own events. */
function follow(): void {
    const field = area.value;
    typed.value = field ? field.value.slice(0, field.selectionStart).split('\n').length : 0;
}

function keys(event: KeyboardEvent): void {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        event.stopPropagation();
        emit('back', event.shiftKey ? 'redo' : 'undo');
    }
}

defineExpose({
    /** Puts words in where the caret stands. */
    put(words: string): void {
        const field = area.value;
        if (field) {
            field.focus();
            field.setRangeText(words, field.selectionStart, field.selectionEnd, 'end');
            text.value = field.value;
        }
    },
    /** Puts the caret into a line. */
    goTo(line: number): void {
        const at =
            text.value
                .split('\n')
                .slice(0, line - 1)
                .join('\n').length + (line > 1 ? 1 : 0);
        area.value?.focus();
        area.value?.setSelectionRange(at, at);
    },
});
</script>

<template>
    <div class="editor fig">
        <div class="behind" aria-hidden="true">
            <div v-for="line in lines" :key="line.number" class="line" :class="{ slipped: line.slip }">
                <span class="no">{{ line.number }}</span><span
                    v-for="(bit, n) in line.bits"
                    :key="n"
                    :class="bit.kind"
                    >{{ bit.text }}</span
                >
            </div>
        </div>
        <textarea
            ref="area"
            v-model="text"
            :aria-label="label"
            :aria-invalid="slips.length > 0"
            spellcheck="false"
            autocapitalize="off"
            autocomplete="off"
            @keydown="keys"
            @input="follow"
            @keyup="follow"
            @click="follow"
            @focus="follow"
            @blur="typed = 0"
        />
    </div>
</template>

<style scoped>
.editor {
    position: relative;
    font-size: 14px;
    line-height: 28px;
    min-height: 256px;
}
.behind {
    min-height: 256px;
    pointer-events: none;
}
.line {
    min-height: 28px;
    padding-left: 34px;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
    box-shadow: inset 0 -1px var(--rule);
    position: relative;
}
.slipped {
    background: var(--strip);
    box-shadow:
        inset 3px 0 var(--ember),
        inset 0 -1px var(--rule);
}
.no {
    position: absolute;
    left: 8px;
    font-size: 11px;
    color: var(--ink-2);
}
textarea {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    padding: 0 0 0 34px;
    border: 0;
    resize: none;
    background: transparent;
    color: var(--ink);
    -webkit-text-fill-color: transparent;
    caret-color: var(--ink);
    font: inherit;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
    overflow: hidden;
}
textarea:focus-visible {
    outline-offset: 4px;
}
.number {
    color: var(--ember);
    font-weight: 600;
}
.name {
    color: var(--dusk);
}
.remark {
    color: var(--ink-2);
    font-style: italic;
}
.unfinished {
    text-decoration: underline dotted var(--ink-2);
    text-underline-offset: 5px;
}
.slip {
    color: var(--stop);
    text-decoration: underline wavy var(--stop);
    text-underline-offset: 5px;
}
</style>
