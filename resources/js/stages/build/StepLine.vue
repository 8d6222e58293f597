<script setup lang="ts">
import { computed, nextTick } from 'vue';
import type { BuildPicture, BuildSlot, BuildStep } from '@/types/generated/responses';
import FigureText from '@/ui/FigureText.vue';
import { hoursOf } from '@/lib/hours';

/** A step in the day's list: ticked with its minutes; when it is chosen, what it waits for and where it is moved. */
const props = defineProps<{
    build: BuildPicture;
    step: BuildStep;
    atTime?: BuildSlot;
    when: string;
    open: boolean;
    done: boolean;
    taken: number;
    waiting: boolean;
}>();
const emit = defineEmits<{
    choose: [];
    tick: [done: boolean, minutes: number];
    took: [minutes: number];
    wait: [after: string, on: boolean];
    move: [day: string, from: number];
    back: [];
}>();
const titles = computed(() => new Map(props.build.steps.map((s) => [s.id, s.title])));
const added = computed(() => props.build.added.filter((w) => w.step === props.step.id).map((w) => w.after));
const pinned = computed(() => props.build.pins.some((p) => p.step === props.step.id));
const others = computed(() =>
    props.build.steps.filter((s) => s.id !== props.step.id && !s.done && !props.step.after.includes(s.id)),
);
const at = computed(() => hoursOf(props.build.begins, props.atTime?.from ?? 0));

/** The box shows the counted state: a bounced press is ignored. */
async function press(box: HTMLInputElement): Promise<void> {
    emit('tick', box.checked, props.taken || props.step.minutes);
    await nextTick();
    box.checked = props.done;
}

function move(form: HTMLFormElement): void {
    const data = new FormData(form);
    const [hours = '0', minutes = '0'] = String(data.get('time')).split(':');
    emit('move', String(data.get('day')), Math.max(0, (Number(hours) - props.build.begins) * 60 + Number(minutes)));
}
</script>

<template>
    <li
        :data-step="step.id"
        class="grid grid-cols-[32px_1fr] items-baseline gap-x-3 border-b border-rule2 py-1.5 sm:grid-cols-[28px_110px_1fr_150px]"
        :class="{ 'bg-sheet': open }"
    >
        <input
            type="checkbox"
            class="row-span-3 size-7 self-center accent-ember sm:row-span-1 sm:size-5"
            :checked="done"
            :aria-label="`${step.title} is done`"
            @change="press($event.target as HTMLInputElement)"
        />
        <span class="fig text-ink2">{{ when }}</span>
        <span>
            <button
                type="button"
                class="text-left"
                :class="done ? 'text-ink2 line-through' : 'font-semibold'"
                :aria-expanded="open"
                @click="emit('choose')"
            >
                {{ step.title }}</button>{{ ' '
            }}<span class="text-ink2"
                >{{ step.place }}{{ (atTime?.people.length ?? 0) > 1 ? ', two people' : '' }}</span
            >
            <span v-if="atTime?.critical" class="ml-2 text-[12px] text-ember">delays the end</span>
            <span v-if="pinned" class="ml-2 text-[12px] text-dusk">moved here</span>
            <span v-if="waiting" class="ml-2 text-[12px] text-watch">not sent yet</span>
            <span class="block text-[13px] text-ink2"
                >{{ step.why }}{{ step.tools.length ? ` Bring: ${step.tools.join(', ')}.` : ''
                }}{{ atTime?.wait ? ` Then it cures ${atTime.wait / 60} h.` : ''
                }}{{ atTime && !atTime.last ? ' Continues the next day.' : '' }}</span
            >
            <span v-if="atTime?.short" class="block text-[13px] text-watch">It takes two people.</span>
            <span v-if="step.caution && !done" class="block border-l-4 border-watch pl-2 text-[13px]">{{
                step.caution
            }}</span>
            <span v-for="part in atTime?.waits ?? []" :key="part" class="block text-[13px] text-stop"
                >Waits for {{ part }}</span
            >
            <span v-if="open && !done" class="mt-1 flex flex-wrap items-baseline gap-x-4 gap-y-1 text-[13px]">
                <span>Comes after: {{ step.after.map((id) => titles.get(id)).join(', ') || 'nothing' }}.</span>
                <span v-for="after in added" :key="after"
                    >“{{ titles.get(after) ?? after }}” was added
                    <button type="button" class="act" @click="emit('wait', after, false)">
                        Do not wait for it
                    </button></span
                >
                <label
                    >Start after
                    <select
                        class="pick max-w-60"
                        value=""
                        @change="emit('wait', ($event.target as HTMLSelectElement).value, true)"
                    >
                        <option value="">choose a step</option>
                        <option v-for="one in others" :key="one.id" :value="one.id">
                            {{ one.title }}, {{ one.place }}
                        </option>
                    </select></label
                >
                <form
                    class="flex flex-wrap items-baseline gap-2"
                    @submit.prevent="move($event.target as HTMLFormElement)"
                >
                    <label
                        >Move it to
                        <input
                            name="day"
                            type="date"
                            class="fig border-b border-ink3 bg-transparent"
                            :value="atTime?.day"
                            required
                    /></label>
                    <input
                        name="time"
                        type="time"
                        step="300"
                        class="fig border-b border-ink3 bg-transparent"
                        :value="at"
                        aria-label="at"
                        required
                    />
                    <button class="act">Show the cost</button>
                </form>
                <button v-if="pinned" type="button" class="act" @click="emit('back')">Use the planned time</button>
            </span>
        </span>
        <span class="whitespace-nowrap text-[13px] text-ink2 sm:text-right">
            <template v-if="done"
                ><label
                    >took
                    <input
                        class="fig field !w-14 !py-0 text-right"
                        inputmode="numeric"
                        :value="taken"
                        :aria-label="`Minutes that ${step.title} took`"
                        @change="emit('took', Number(($event.target as HTMLInputElement).value) || step.minutes)"
                    />
                    min</label
                ></template
            >
            <template v-else
                >about <FigureText :figure="step.work" right />{{ ' '
                }}<span v-if="step.work.range" class="block text-[12px]"
                    >{{ step.work.range[0] }} to {{ step.work.range[1]
                    }}{{ step.timed ? `, from ${step.timed} of yours` : '' }}</span
                ></template
            >
        </span>
    </li>
</template>
