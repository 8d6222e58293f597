<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { stepDone } from '@/lib/guide';
import type { Figure } from '@/types/generated/responses';

withDefaults(defineProps<{ figure: Figure; large?: boolean; up?: boolean; right?: boolean; signed?: boolean }>(), {
    large: false,
    up: false,
    right: false,
    signed: false,
});

const PANEL =
    'panel absolute z-30 max-h-80 w-96 overflow-y-auto whitespace-normal p-4 text-left max-sm:fixed max-sm:inset-x-3 ' +
    'max-sm:bottom-3 max-sm:top-auto max-sm:mb-0 max-sm:w-auto';
</script>

<template>
    <Popover as="span" class="relative inline-block">
        <PopoverButton
            class="fig dotted whitespace-nowrap leading-tight"
            :class="large ? 'text-xl font-semibold' : ''"
            :data-figure="figure.label"
            @click="stepDone(3)"
        >
            <span class="sr-only">{{ figure.label }}: </span>{{ signed && figure.value > 0 ? '+' : '' }}{{ figure.text
            }}<span v-if="figure.unit" class="unit">{{ figure.unit }}</span
            ><span class="sr-only">, show its working</span>
        </PopoverButton>
        <PopoverPanel
            tabindex="0"
            :class="[PANEL, up ? 'bottom-full mb-2' : 'top-full mt-2', right ? 'right-0' : 'left-0']"
        >
            <h3 class="font-semibold">
                {{ figure.label }}
            </h3>
            <p class="fig mt-2 break-words">
                {{ figure.formula }} = <b>{{ figure.text }}</b> {{ figure.unit }}
            </p>
            <table class="fig mt-2 w-full text-[12.5px]">
                <tbody>
                    <tr v-for="input in figure.inputs" :key="input.symbol" class="border-t border-rule2 align-top">
                        <th scope="row" class="pr-2 text-left font-semibold">{{ input.symbol }}</th>
                        <td class="pr-2 font-words text-ink2">
                            {{ input.meaning
                            }}<span v-if="input.path" class="ml-1 text-[11px] break-all">{{ input.path }}</span>
                        </td>
                        <td class="whitespace-nowrap text-right">{{ input.text }} {{ input.unit }}</td>
                    </tr>
                </tbody>
            </table>
            <p v-if="figure.range" class="mt-2">
                May vary from <span class="fig">{{ figure.range[0] }}</span> to
                <span class="fig">{{ figure.range[1] }}</span> {{ figure.unit }}.
            </p>
            <p v-if="figure.assumption" class="mt-2 text-ink2">{{ figure.assumption }}</p>
            <p v-if="figure.source" class="mt-1 text-ink2">Source: {{ figure.source }}</p>
        </PopoverPanel>
    </Popover>
</template>
