<script setup lang="ts">
import { computed, reactive } from 'vue';
import { useScreen } from '@/lib/screen';
import type { ScenesPicture, TriggerPicture } from '@/types/generated/responses';
import EditFrame from './EditFrame.vue';

/** Form of a trigger for a scene or a show. */
const props = defineProps<{ trigger: TriggerPicture | null; board: ScenesPicture }>();
const emit = defineEmits<{ close: [] }>();
const { change } = useScreen();
const DAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'];
const of = props.trigger;
const pad = (n: number) => String(n).padStart(2, '0');
const form = reactive({
    by: of?.by ?? 'clock',
    on: of?.on ?? '',
    days: [...(of?.days ?? [])],
    time: of?.by === 'clock' ? `${pad(Math.floor(of.minutes / 60))}:${pad(of.minutes % 60)}` : '18:00',
    offset: of && of.by !== 'clock' ? String(of.minutes) : '0',
    plays: of?.plays ?? props.board.scenes[0]?.id ?? 'off',
    priority: String(of?.priority ?? 5),
    after: String(of?.after ?? 0),
});
const sun = computed(() => ['sunrise', 'sunset'].includes(form.by));
const timed = computed(() => form.by === 'clock' || sun.value);
const number = (text: string) => Number(text.replace(',', '.').replace('−', '-')) || 0;

/** Of the day by the clock, before or after the sun; invalid times have none. */
function minutesOf(): number {
    if (form.by === 'clock') {
        const [hours, minutes] = form.time.split(':').map(Number);
        return 60 * (hours ?? 0) + (minutes ?? 0);
    }
    return sun.value ? Math.round(number(form.offset)) : 0;
}

async function keep(gone = false): Promise<void> {
    const kept = await change({
        kind: 'SetTrigger',
        trigger: of?.id ?? null,
        ...(gone ? { gone } : {}),
        by: form.by,
        on: timed.value ? '' : form.on,
        days: timed.value ? form.days : [],
        minutes: minutesOf(),
        plays: form.plays,
        priority: Math.round(number(form.priority)) || 5,
        after: timed.value ? 0 : number(form.after),
    });
    if (kept) {
        emit('close');
    }
}
</script>

<template>
    <EditFrame keep="Save trigger" :there="!!of" @keep="keep()" @out="keep(true)" @leave="emit('close')">
        <div class="flex flex-wrap items-baseline gap-x-5 gap-y-2">
            <label class="flex items-baseline gap-2"
                >What
                <select v-model="form.by" class="pick" data-first>
                    <option v-for="k in board.starts.kinds" :key="k.key" :value="k.key">{{ k.says }}</option>
                </select></label
            >
            <label v-if="form.by === 'clock'" class="flex items-baseline gap-2"
                >Time <input v-model="form.time" type="time" class="fig field !w-28" required
            /></label>
            <label v-if="sun" class="flex items-baseline gap-2"
                >Minutes after it <input v-model="form.offset" class="fig field !w-16" inputmode="numeric" />
                <span class="text-[13px] text-ink2">before it below 0</span></label
            >
            <label v-if="!timed" class="flex items-baseline gap-2"
                >Where <input v-model="form.on" class="field !w-32" maxlength="40" placeholder="stairs"
            /></label>
            <label class="flex items-baseline gap-2"
                >starts
                <select v-model="form.plays" class="pick">
                    <option v-for="s in board.scenes" :key="s.id" :value="s.id">{{ s.name }}</option>
                    <option v-for="s in board.shows" :key="s.id" :value="s.id">{{ s.name }} (show)</option>
                    <option value="off">everything off</option>
                </select></label
            >
            <template v-if="!timed">
                <label class="flex items-baseline gap-2"
                    >and stays on for
                    <input v-model="form.after" class="fig field !w-16" inputmode="decimal" /> s</label
                >
                <label class="flex items-baseline gap-2"
                    >Number <input v-model="form.priority" class="fig field !w-12" inputmode="numeric" />
                    <span class="text-[13px] text-ink2">1 is first, 9 is last</span></label
                >
            </template>
        </div>
        <fieldset v-if="timed" class="mt-2 flex flex-wrap gap-x-3">
            <legend class="float-left mr-3">On</legend>
            <label v-for="(day, n) in DAYS" :key="day" class="flex items-center gap-1"
                ><input v-model="form.days" type="checkbox" :value="n + 1" /> {{ day }}</label
            >
            <span class="text-[13px] text-ink2">{{ form.days.length ? '' : 'every day' }}</span>
        </fieldset>
    </EditFrame>
</template>
