import { computed, ref, shallowRef } from 'vue';
import type { BuildPicture, MoveCost, Pin } from '@/types/generated/responses';
import { ask, inWords } from '@/lib/http';

const STEP = 15;

/** A step that a hand moves along the lanes: what it would cost is asked for at every place, one question in flight, the newest last. */
export function useMoving(job: number, build: () => BuildPicture | null, refuse: (message: string) => void) {
    const aim = ref<Pin | null>(null);
    const cost = shallowRef<MoveCost | null>(null);
    let asking = false;
    let again = false;

    async function look(): Promise<void> {
        if (asking) {
            again = true;
            return;
        }
        asking = true;
        do {
            again = false;
            const at = aim.value;
            if (!at) {
                break;
            }
            try {
                const said = await ask<MoveCost>('POST', `/jobs/${job}/build/move`, { ...at, keep: false });
                cost.value = again || aim.value !== at ? cost.value : said;
            } catch (error) {
                refuse(inWords(error));
            }
        } while (again);
        asking = false;
    }

    function to(pin: Pin): void {
        const picture = build();
        if (!picture) {
            return;
        }
        const from = Math.max(0, Math.min(picture.dayMinutes - STEP, Math.round(pin.from / 5) * 5));
        const same =
            aim.value &&
            aim.value.step === pin.step &&
            aim.value.day === pin.day &&
            aim.value.from === from &&
            aim.value.person === pin.person;
        if (!same) {
            aim.value = { ...pin, from };
            cost.value = null;
            void look();
        }
    }

    /** By so many quarters of an hour and days of work from where it is. */
    function nudge(step: string, quarters: number, days: number): void {
        const picture = build();
        const slot = picture?.slots.find((s) => s.id === step);
        if (!picture || !slot) {
            return;
        }
        const at =
            aim.value?.step === step
                ? aim.value
                : { step, day: slot.day, from: slot.from, person: slot.people[0] ?? 0 };
        const known = [...new Set([...picture.days.map((d) => d.day), picture.next, at.day])].sort();
        const day = known[Math.max(0, Math.min(known.length - 1, known.indexOf(at.day) + days))] ?? at.day;
        to({ ...at, day, from: at.from + quarters * STEP });
    }

    return {
        aim,
        cost,
        to,
        nudge,
        drop: () => (aim.value = cost.value = null),
        allowed: computed(() => cost.value !== null && cost.value.broken.length === 0),
    };
}
