<script setup lang="ts">
import { computed } from 'vue';
import type { ReachPicture } from '@/types/generated/responses';

/** The devices of one radio in their rooms: who hears whom, who is not reached, and what depends on one node alone. */
const props = defineProps<{ reach: ReachPicture }>();
const WIDE = 880;
const PAD = 26;
const scale = computed(() =>
    Math.min(46, (WIDE - 2 * PAD) / Math.max(1, props.reach.wide), 340 / Math.max(1, props.reach.high)),
);
const x = (metres: number) => PAD + metres * scale.value;
const at = computed(() => Object.fromEntries(props.reach.nodes.map((n) => [n.id, n])));
const height = computed(() => 2 * PAD + props.reach.high * scale.value);
/** Links longer than the route to the hub would hide the rest: only the strongest of each node are drawn. */
const links = computed(() => [...props.reach.links].sort((a, b) => a.spare - b.spare));
function filled(node: ReachPicture['nodes'][number]): string {
    if (node.hops === null) {
        return 'var(--sheet)';
    }
    return node.passes ? 'var(--ink)' : 'var(--paper)';
}
</script>

<template>
    <figure class="m-0">
        <svg :viewBox="`0 0 ${WIDE} ${height}`" class="w-full" role="img" :aria-label="reach.lines.join('. ')">
            <g v-for="room in reach.rooms" :key="room.name">
                <rect
                    :x="x(room.x)"
                    :y="x(room.y)"
                    :width="room.w * scale"
                    :height="room.h * scale"
                    fill="var(--sheet)"
                    stroke="var(--rule)"
                />
                <text :x="x(room.x) + 5" :y="x(room.y + room.h) - 5" class="fill-ink2 text-[11.5px]">
                    {{ room.name }}
                </text>
            </g>
            <line
                v-for="link in links"
                :key="`${link.from} ${link.to}`"
                :x1="x(at[link.from]!.x)"
                :y1="x(at[link.from]!.y)"
                :x2="x(at[link.to]!.x)"
                :y2="x(at[link.to]!.y)"
                stroke="var(--ink-3)"
                :stroke-width="link.spare > 25 ? 1.6 : 1"
                :stroke-dasharray="link.spare > 15 ? undefined : '4 3'"
                opacity="0.7"
            />
            <g v-for="node in reach.nodes" :key="node.id">
                <path
                    v-if="node.cut"
                    :d="`M${x(node.x)},${x(node.y) - 15}l15,15l-15,15l-15,-15z`"
                    fill="none"
                    stroke="var(--stop)"
                    stroke-width="1.6"
                />
                <circle
                    :cx="x(node.x)"
                    :cy="x(node.y)"
                    r="9"
                    :fill="filled(node)"
                    :stroke="node.hops === null ? 'var(--stop)' : 'var(--ink)'"
                    :stroke-dasharray="node.guessed ? '3 2' : undefined"
                    stroke-width="1.6"
                />
                <text
                    :x="x(node.x)"
                    :y="x(node.y) + 3.5"
                    text-anchor="middle"
                    class="text-[10px] font-semibold"
                    :style="{ fill: node.hops !== null && node.passes ? 'var(--paper)' : 'var(--ink)' }"
                >
                    {{ node.hops ?? '?' }}
                </text>
                <text :x="x(node.x) + 12" :y="x(node.y) + (node.below ? 16 : -7)" class="fill-ink text-[11.5px]">
                    {{ node.label }} {{ node.name.toLowerCase() }}
                </text>
            </g>
        </svg>
        <figcaption class="mt-1 text-[13px] text-ink2">
            In the circle: hops from {{ at[reach.from]?.label }}; ? is not reached. Hollow passes nothing on; broken is
            where nobody has measured; a diamond stands around what others depend on alone. Thin broken links have
            little to spare. Rooms stand at their size, and side by side only in this picture.
        </figcaption>
    </figure>
</template>
