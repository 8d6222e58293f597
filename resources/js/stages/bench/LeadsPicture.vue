<script setup lang="ts">
import { computed } from 'vue';
import type { BenchColours } from '@/types/generated/responses';

/** Outputs above, the strip's leads below: current position of each lead, and loose ones. */
const props = defineProps<{ colours: BenchColours }>();
const STEP = 66;
const x = (n: number) => 34 + n * STEP;
const width = computed(() => 68 + (props.colours.names.length - 1) * STEP);
/** “warm white” as “w. white”. */
const brief = (name: string) =>
    name.length <= 7
        ? name
        : name
              .split(' ')
              .map((word, n, all) => (n < all.length - 1 ? `${word[0]}.` : word.slice(0, 6)))
              .join(' ');
const said = computed(() =>
    props.colours.leads
        .map((l) => {
            const of = `output ${props.colours.names[l.output]}`;
            return l.state === 'loose' || l.state === 'open'
                ? `${of}: ${l.state === 'loose' ? 'loose' : 'not identified yet'}`
                : `${of}: lead of ${props.colours.names[l.to]}${l.state === 'touches' ? ', touches another' : ''}`;
        })
        .join('; '),
);
const INKS: Record<string, string> = { right: 'var(--ink-2)', open: 'var(--ink-3)' };
</script>

<template>
    <figure>
        <svg :viewBox="`0 0 ${width} 150`" class="w-full max-w-72" role="img" :aria-label="said">
            <g v-for="lead in colours.leads" :key="lead.output">
                <template v-if="lead.state === 'loose'">
                    <path :d="`M${x(lead.output)} 34V62`" stroke="var(--stop)" stroke-width="4" />
                    <path
                        :d="`M${x(lead.output) - 7} 68l14 14m0 -14l-14 14`"
                        stroke="var(--stop)"
                        stroke-width="2"
                        fill="none"
                    />
                </template>
                <path
                    v-else
                    :d="`M${x(lead.output)} 34C${x(lead.output)} 78 ${x(lead.to)} 72 ${x(lead.to)} 116`"
                    fill="none"
                    :stroke="INKS[lead.state] ?? 'var(--ember)'"
                    :stroke-width="lead.state === 'moved' || lead.state === 'touches' ? 4 : 3"
                    :stroke-dasharray="lead.state === 'open' ? '3 5' : undefined"
                />
            </g>
            <g v-for="(name, n) in colours.names" :key="name" class="fig" text-anchor="middle" font-size="10.5">
                <rect :x="x(n) - 30" y="12" width="60" height="22" fill="var(--sheet)" stroke="var(--ink)" />
                <text :x="x(n)" y="27" fill="var(--ink)">{{ brief(name) }}</text>
                <rect :x="x(n) - 28" y="116" width="56" height="18" fill="var(--copper)" />
                <text :x="x(n)" y="129" fill="#2a1a22">{{ brief(name) }}</text>
            </g>
        </svg>
        <figcaption class="text-[13px] text-ink2">
            {{
                colours.leads.some((l) => l.state === 'open')
                    ? 'Leads can be identified once the switch is set correctly.'
                    : 'Outputs above, the strip’s pads below.'
            }}
        </figcaption>
    </figure>
</template>
